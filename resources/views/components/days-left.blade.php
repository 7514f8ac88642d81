@props(['lot'])
@php($left = (int) max(0, ceil(now()->diffInDays($lot->usableUntil()->endOfDay(), false))))
@php($all = max(1, $lot->openedOn() === null ? 365 : (int) $lot->openedOn()->diffInDays($lot->usableUntil())))
<svg class="left" viewBox="0 0 100 10" aria-hidden="true"><rect class="all" x="0.5" y="0.5" width="99" height="9"/><rect class="rest" x="0" y="0" width="{{ min(100, round(100 * $left / $all)) }}" height="10"/></svg>
<span class="soft">{{ $left === 1 ? 'one day' : "$left days" }}</span>
