@props(['figure', 'slope', 'offset'])
@foreach (['wide' => $figure, 'narrow' => $figure->narrow()] as $at => $figure)
<figure class="drawn {{ $at }}">
<svg viewBox="0 0 {{ $figure->width }} {{ $figure::HEIGHT }}" role="img" aria-label="Response line: slope {{ $slope }}, offset {{ $offset }}">
    @foreach ($figure->mv->ticks($figure->mv->step(5)) as $mv)
        <path class="guide" d="M58 {{ $figure->mv->at($mv) }}H{{ $figure->width - 16 }}"/>
        <text x="50" y="{{ $figure->mv->at($mv) + 5 }}" text-anchor="end">{{ Rheacid\Core\Numbers::plain($mv) }}</text>
    @endforeach
    @foreach ($figure->ph->ticks(1) as $ph)
        <text x="{{ $figure->ph->at($ph) }}" y="{{ $figure::HEIGHT - 8 }}"
            text-anchor="middle">{{ Rheacid\Core\Numbers::plain($ph) }}{{ $loop->first ? ' pH' : '' }}</text>
    @endforeach
    <path class="band" d="{{ $figure->wedge() }}"/>
    @php($ideal = $figure->idealLine())
    <path class="ideal" d="M{{ $ideal['x1'] }} {{ $ideal['y1'] }}L{{ $ideal['x2'] }} {{ $ideal['y2'] }}"/>
    @foreach ($figure->lines() as $line)
        <path class="trace" d="M{{ $line['x1'] }} {{ $line['y1'] }}L{{ $line['x2'] }} {{ $line['y2'] }}"/>
        @if ($line['label'])<text class="band-label" x="{{ ($line['x1'] + $line['x2']) / 2 - 8 }}" y="{{ ($line['y1'] + $line['y2']) / 2 + 22 }}"
            text-anchor="end">{{ $line['label'] }}</text>@endif
    @endforeach
    @foreach ($figure->points() as $point)
        <circle class="{{ $point['fitted'] ? 'bob' : 'check' }}" cx="{{ $point['x'] }}" cy="{{ $point['y'] }}" r="{{ $point['fitted'] ? 6 : 5 }}"/>
    @endforeach
    <text class="band-label" x="{{ $figure->width - 24 }}" y="26" text-anchor="end">offset {{ $offset }}</text>
</svg>
<figcaption>Dashed: ideal. Shaded: allowed by the policy. Open circle: read-back.</figcaption>
</figure>
@endforeach
