@props(['figure'])
@foreach (['wide' => $figure, 'narrow' => $figure->narrow()] as $at => $drawn)
<figure class="drawn {{ $at }} history">
<svg viewBox="0 0 {{ $drawn->width }} {{ $drawn::HEIGHT }}" role="img" aria-label="temperatures against hours since the start">
    @foreach ($drawn->celsius->ticks($drawn->celsius->step(5)) as $celsius)
        <path class="guide" d="M52 {{ $drawn->celsius->at($celsius) }}H{{ $drawn->width - 12 }}"/>
        <text x="44" y="{{ $drawn->celsius->at($celsius) + 5 }}" text-anchor="end">{{ Rheacid\Core\Celsius::bare($celsius, Rheacid\Core\Style::isFahrenheitFirst() ? 0 : null) }}{{ $loop->last ? ' ' . Rheacid\Core\Celsius::unit() : '' }}</text>
    @endforeach
    @foreach ($drawn->hours->ticks($drawn->hours->step((int) ($drawn->width / 90))) as $hours)<text x="{{ $drawn->hours->at($hours) }}" y="{{ $drawn::HEIGHT - 8 }}" text-anchor="middle">{{ Rheacid\Core\Numbers::plain($hours) }}{{ $loop->first ? ' h' : '' }}</text>@endforeach
    @foreach ($drawn->lines as $i => $line)<path class="trace line-{{ $i % 4 }}" d="{{ $drawn->path($line['points']) }}"/>@endforeach
</svg>
</figure>
@endforeach
