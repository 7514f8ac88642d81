{!! $code !!}, {!! $product !!}, {!! $vessel !!}

{!! $words !!}

Before the deadline: measure again with a second verified instrument, keep the batch warm, extend the time or acidify. After a missed critical deadline you can
    only hold, divert or discard the batch, or follow a process authority’s written statement.

{!! $page !!}

Sent by Rheacid because this address is on your page. Your local codes and, where required, a licensed process authority decide.
