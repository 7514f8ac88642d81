{!! $code !!}, {!! $product !!}, {!! $vessel !!}

{!! $words !!}

While the clock still runs: measure again with a second verified instrument, keep it warm, extend the time or acidify. After a missed critical deadline only holding, diverting, discarding or the written word of a process authority is left.

{!! $page !!}

Sent by Rheacid because you gave this address. Your local codes and, where required, a licensed process authority decide.
