@foreach ($problems as $problem)
{!! $problem !!}

@endforeach
Ledger head: {!! $head !!}

Keep this e-mail. bin/verify must find this head later.

Rheacid sends this every day to leads and auditors who gave an address.
