@props(['lot'])
@if ($lot->usesLeft() === null)
    <span class="soft">not counted</span>
@else
    <svg class="left" viewBox="0 0 100 10" role="img" aria-label="{{ $lot->usesLeft() }} of {{ $lot->uses_allowed }} uses left"><rect class="all" x="0.5" y="0.5" width="99" height="9"/><rect class="rest" x="0" y="0" width="{{ 100 * $lot->usesLeft() / max(1, $lot->uses_allowed) }}" height="10"/></svg>
    <span class="nowrap">{{ $lot->usesLeft() }} of {{ $lot->uses_allowed }}</span>
@endif
