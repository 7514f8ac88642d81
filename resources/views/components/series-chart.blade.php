@props(['figure'])
@php($facts = $figure->facts)
@foreach (['wide' => $figure, 'narrow' => $figure->narrow()] as $at => $figure)
@php($id = 'hatch-' . Illuminate\Support\Str::random(6))
@php($bottom = $figure->bottom())
<figure class="drawn {{ $at }}">
<svg viewBox="0 0 {{ $figure->width }} {{ $figure->height }}" role="img"
    aria-label="pH against time, {{ count($facts->readings) }} readings{{ $facts->band === [] ? '' : ', with the middle half of earlier batches' }}">
    <defs>
        <pattern id="{{ $id }}" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path class="hatch" d="M0 0v8"/></pattern>
        <clipPath id="{{ $id }}-in"><rect x="48" y="0" width="{{ $figure->width - 56 }}" height="{{ $figure->height }}"/></clipPath>
    </defs>
    @if ($target = $figure->target())
        <rect class="band" x="52" y="{{ $target['y'] }}" width="{{ $figure->width - 64 }}" height="{{ $target['height'] }}"/>
        <text class="band-label" x="60" y="{{ $target['y'] + $target['height'] - 6 }}">{{ $target['label'] }}</text>
    @endif
    @foreach ($figure->ph->ticks(0.5) as $ph)
        <path class="guide" d="M52 {{ $figure->ph->at($ph) }}H{{ $figure->width - 12 }}"/>
        <text x="44" y="{{ $figure->ph->at($ph) + 5 }}" text-anchor="end">{{ $loop->last ? 'pH ' : '' }}{{ Rheacid\Core\Numbers::fixed($ph, 1) }}</text>
    @endforeach
    @foreach ($figure->walls() as $wall)
        @if ($wall['due'])<rect x="{{ $wall['x'] }}" y="{{ $wall['y'] }}" width="{{ $wall['width'] }}" height="{{ $wall['height'] }}"
            fill="url(#{{ $id }})"/>@endif
        <path @class(['edge', 'later' => !$wall['due']]) d="M{{ $wall['x'] }} {{ $wall['y'] }}v{{ $wall['height'] }}h{{ $wall['width'] }}"/>
        <text @class(['strong' => $wall['due']]) x="{{ $figure->width - 18 }}" y="{{ $wall['y'] + $wall['height'] + 17 }}"
            text-anchor="end">{{ $wall['label'] }}</text>
    @endforeach
    @foreach ($figure->hours->times($figure->width) as $time)
        <text x="{{ $time['x'] }}" y="{{ $figure->height - 8 }}" text-anchor="{{ $loop->first ? 'start' : 'middle' }}">{{ $time['label'] }}</text>
    @endforeach
    <g clip-path="url(#{{ $id }}-in)">
    @if ($earlier = $figure->earlier())
        <path class="earlier" d="{{ $earlier['area'] }}"/><path class="earlier-middle" d="{{ $earlier['median'] }}"/>
    @endif
    @foreach ($figure->marks() as $mark)
        <path class="done-mark" d="M{{ $mark['x'] }} 14V{{ $bottom }}"/>
            <text class="done-label" x="{{ $mark['x'] + 4 }}" y="{{ $mark['y'] }}">{{ $mark['label'] }}</text>
    @endforeach
    @if ($facts->nowHours > $figure->hours->low && $facts->nowHours <= $figure->hours->high)
        @php($now = $figure->hours->at($facts->nowHours))
        <path class="now" d="M{{ $now }} 14V{{ $bottom }}"/>
        <text x="{{ $now < 100 ? $now + 6 : $now - 6 }}" y="{{ $bottom - 6 }}" text-anchor="{{ $now < 100 ? 'start' : 'end' }}">now</text>
    @endif
    @if ($ahead = $figure->ahead())
        @if ($ahead['cone'])<path class="cone" d="{{ $ahead['cone'] }}"/>@endif
        <path class="ahead" d="{{ $ahead['line'] }}"/>
    @endif
    <path class="trace" d="{{ $figure->line() }}"/>
    @foreach ($facts->readings as $reading)
        @php($x = $figure->hours->at($reading['hours']))
        @php($top = $figure->ph->at($reading['value'] + $reading['u']))
        @php($foot = $figure->ph->at($reading['value'] - $reading['u']))
        <path class="whisker" d="M{{ $x - 5 }} {{ $top }}h10M{{ $x }} {{ $top }}V{{ $foot }}M{{ $x - 5 }} {{ $foot }}h10"/>
        <circle @class(['bob', 'open' => !$reading['trusted']]) cx="{{ $x }}" cy="{{ $figure->ph->at($reading['value']) }}" r="3.5"/>
    @endforeach
    </g>
    @foreach ($figure->strips() as $strip)
        <path class="guide" d="M52 {{ $strip['y'] }}H{{ $figure->width - 12 }}"/>
        <text x="52" y="{{ $strip['y'] + 17 }}">{{ $strip['label'] }}</text>
        <text x="44" y="{{ $strip['y'] + 30 }}" text-anchor="end">{{ $strip['high'] }}</text><text x="44" y="{{ $strip['y'] + 58 }}"
            text-anchor="end">{{ $strip['low'] === $strip['high'] ? '' : $strip['low'] }}</text>
        <path class="trace" d="{{ $strip['path'] }}"/>
        @foreach ($strip['dots'] as [$x, $y])<circle class="bob" cx="{{ $x }}" cy="{{ $y }}" r="2.5"/>@endforeach
    @endforeach
</svg>
</figure>
@endforeach
