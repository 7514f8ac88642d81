{{-- Whoever holds the work sees each second; whoever looks on, every fourth. --}}
@props(['live', 'isHeld' => true])
<div id="live" hx-get="{{ $live->url }}" hx-trigger="every {{ $isHeld ? 1 : 4 }}s" hx-swap="innerHTML">
    @include('calibrate.live', ['live' => $live])
</div>
<noscript><p><a class="do quiet" href="{{ url()->current() }}">Show the newest points</a></p></noscript>
