@props(['live'])
<div id="live" hx-get="{{ $live->url }}" hx-trigger="every 1s" hx-swap="innerHTML">
    @include('calibrate.live', ['live' => $live])
</div>
<noscript><p><a class="do quiet" href="{{ url()->current() }}">Show the newest points</a></p></noscript>
