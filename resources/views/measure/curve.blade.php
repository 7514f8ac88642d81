{{-- The curve beside its table, as far as it is typed. --}}
@if ($figure)
    <x-titration :figure="$figure" />
@endif
<p class="what">{{ $words }}</p>
