@foreach ($problems as $problem)
{!! $problem !!}

@endforeach
Head of the records: {!! $head !!}

Keep this letter: a head that was sent must still be found by bin/verify.

Sent by Rheacid each day because you gave this address and answer for the records, or audit them.
