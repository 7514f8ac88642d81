@props(['figure'])
@foreach (['wide' => $figure, 'narrow' => $figure->narrow()] as $at => $drawn)
<figure class="drawn {{ $at }} history">
<svg viewBox="0 0 {{ $drawn->width }} {{ $drawn::HEIGHT }}" role="img"
    aria-label="Temperatures over time since the start{{ $drawn->gaps === [] ? '' : '; hatched: no data' }}">
    @foreach ($drawn->celsius->ticks($drawn->celsius->step(5)) as $celsius)
        <path class="guide" d="M52 {{ $drawn->celsius->at($celsius) }}H{{ $drawn->width - 12 }}"/>
        <text x="44" y="{{ $drawn->celsius->at($celsius) + 5 }}"
            text-anchor="end">{{ Rheacid\Core\Celsius::bare($celsius, Rheacid\Core\Style::isFahrenheitFirst() ? 0 : null) }}{{ $loop->last ? ' '
            . Rheacid\Core\Celsius::unit() : '' }}</text>
    @endforeach
    @foreach ($drawn->hours->times($drawn->width) as $time)
        <text x="{{ $time['x'] }}" y="{{ $drawn::HEIGHT - 8 }}" text-anchor="middle">{{ $time['label'] }}</text>@endforeach
    <defs><pattern id="gap-{{ $at }}" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)">
        <path class="unknown" d="M0 0V7"/></pattern></defs>
    @foreach ($drawn->gaps as [$from, $to])
        <rect x="{{ $drawn->hours->at($from) }}" y="14" width="{{ max(2, round($drawn->hours->at($to) - $drawn->hours->at($from), 1)) }}"
            height="{{ $drawn::HEIGHT - 48 }}" fill="url(#gap-{{ $at }})"/>@if ($drawn->hours->at($to) - $drawn->hours->at($from) > 60)
        <text x="{{ round(($drawn->hours->at($from) + $drawn->hours->at($to)) / 2, 1) }}" y="30" text-anchor="middle">no data</text>@endif @endforeach
    @foreach ($drawn->lines as $i => $line)<path class="trace line-{{ $i % 4 }}" d="{{ $drawn->path($line['points']) }}"/>@endforeach
</svg>
</figure>
@endforeach
