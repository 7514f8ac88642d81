@props(['figure'])
@foreach (['wide' => $figure, 'narrow' => $figure->narrow()] as $at => $drawn)
<figure class="drawn {{ $at }}">
<svg viewBox="0 0 {{ $drawn->width }} {{ $drawn::HEIGHT }}" role="img"
    aria-label="pH against mL of titrant, endpoint at {{ Rheacid\Core\Numbers::fixed($drawn->endpointMl, 2) }} mL, and its steepness beneath">
    @foreach ($drawn->ph->ticks($drawn->ph->step(5)) as $ph)<path class="guide" d="M52 {{ $drawn->ph->at($ph) }}H{{ $drawn->width - 14 }}"/>
        <text x="44" y="{{ $drawn->ph->at($ph) + 5 }}" text-anchor="end">{{ $loop->last ? 'pH ' : '' }}{{ Rheacid\Core\Numbers::plain($ph) }}</text>@endforeach
    @foreach ($drawn->ml->ticks($drawn->ml->step((int) ($drawn->width / 90))) as $ml)<text x="{{ $drawn->ml->at($ml) }}" y="{{ $drawn::HEIGHT - 8 }}"
        text-anchor="middle">{{ Rheacid\Core\Numbers::plain($ml) }}{{ $loop->first ? ' mL' : '' }}</text>@endforeach
    <path class="trace" d="{{ $drawn->path($drawn->points, $drawn->ph) }}"/>
    @foreach ($drawn->points as [$ml, $ph])<circle class="bob open" cx="{{ $drawn->ml->at($ml) }}" cy="{{ $drawn->ph->at($ph) }}" r="3"/>@endforeach
    <path class="guide" d="M52 {{ $drawn->steep->at(0) }}H{{ $drawn->width - 14 }}"/>
        <text x="56" y="{{ $drawn->steep->at($drawn->steep->high) + 12 }}">ΔpH/ΔmL</text>
    <path class="ahead" d="{{ $drawn->path($drawn->derivative, $drawn->steep) }}"/>
    <path class="plumb" d="M{{ $drawn->ml->within($drawn->endpointMl) }} {{ $drawn->ph->within($drawn->endpointPh) }}V{{ $drawn::HEIGHT - 34 }}"/>
        <circle class="bob" cx="{{ $drawn->ml->within($drawn->endpointMl) }}" cy="{{ $drawn->ph->within($drawn->endpointPh) }}" r="5"/>
    @php($isRight = $drawn->ml->within($drawn->endpointMl) > $drawn->width / 2)
    <text font-weight="700" x="{{ $drawn->ml->within($drawn->endpointMl) + ($isRight ? -9 : 9) }}" text-anchor="{{ $isRight ? 'end' : 'start' }}"
        y="{{ $drawn->ph->within($drawn->endpointPh) - 6 }}">{{ Rheacid\Core\Numbers::fixed($drawn->endpointMl,
        2) }} mL, pH {{ Rheacid\Core\Numbers::fixed($drawn->endpointPh, 2) }}</text>
</svg>
</figure>
@endforeach
