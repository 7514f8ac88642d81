@props(['bottle'])
@php($until = Carbon\CarbonImmutable::parse($bottle->status()->usableUntil))
@php($left = (int) max(0, ceil(now()->diffInDays($until->endOfDay(), false))))
@php($opened = $bottle->facts->openedOn)
@php($all = max(1, $opened === null ? 365 : (int) Carbon\CarbonImmutable::parse($opened)->diffInDays($until)))
<svg class="left" viewBox="0 0 100 10" aria-hidden="true"><rect class="all" x="0.5" y="0.5" width="99" height="9"/>
    <rect class="rest" x="0" y="0" width="{{ min(100, round(100 * $left / $all)) }}" height="10"/></svg>
<span class="soft">{{ $left === 1 ? 'one day' : "$left days" }}</span>
