@props(['bottle'])
@php($left = $bottle->status()->usesLeft)
@php($allowed = $bottle->facts->usesAllowed)
@if ($left === null)
    <span class="soft">not counted</span>
@else
    <svg class="left" viewBox="0 0 100 10" role="img" aria-label="{{ $left }} of {{ $allowed }} uses left">
        <rect class="all" x="0.5" y="0.5" width="99" height="9"/><rect class="rest" x="0" y="0" width="{{ 100 * $left / max(1, $allowed) }}" height="10"/></svg>
    <span class="nowrap">{{ $left }} of {{ $allowed }}</span>
@endif
