@props(['rule'])
@foreach (['wide' => $rule, 'narrow' => $rule->narrow()] as $at => $drawn)
@php($id = 'hatch-' . Illuminate\Support\Str::random(6))
@php($line = $drawn::LINE_Y)
<figure class="drawn {{ $at }}">
<svg viewBox="0 0 {{ $drawn->width }} {{ $drawn::HEIGHT }}" role="img" aria-label="{{ $drawn->words() }}">
    <defs><pattern id="{{ $id }}" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path class="hatch" d="M0 0v7"/>
        </pattern></defs>
    @if ($target = $drawn->target())
        <rect class="band" x="{{ $target['x'] }}" y="40" width="{{ $target['width'] }}" height="{{ $line - 40 }}"/>
        <text class="band-label" x="{{ $target['x'] + $target['width'] / 2 }}" y="16" text-anchor="middle">{{ $target['label'] }}</text>
    @endif
    @foreach ($drawn->guards() as $guard)<rect class="guard" x="{{ $guard['x'] }}" y="40" width="{{ $guard['width'] }}" height="{{ $line - 40 }}"/>@endforeach
    @foreach ($drawn->hatched() as $wall)<rect x="{{ $wall['x'] }}" y="40" width="{{ $wall['width'] }}" height="{{ $line - 40 }}" fill="url(#{{ $id }})"/>
        @endforeach
    @foreach ($drawn->edges() as $edge)
        <path @class(['edge', 'later' => !$edge['due'], 'gentle' => $edge['due'] && !$edge['binds']])
            d="M{{ $edge['x'] }} {{ $edge['row'] ? 18 : 36 }}V{{ $line + 4 }}"/>
        <text @class(['strong' => $edge['due'] && $edge['binds']]) x="{{ $edge['x'] + ($edge['anchor'] === 'end' ? -5 : 5) }}" y="{{ $edge['row'] ? 16 : 34 }}"
            text-anchor="{{ $edge['anchor'] }}">{{ $edge['label'] }}{{ $edge['due'] ? '' : ' later' }}</text>
    @endforeach
    <path class="axis" d="M20 {{ $line }}H{{ $drawn->width - 20 }}"/>
    @foreach ($drawn->ticks() as $tick)
        <path class="tick" d="M{{ $tick['x'] }} {{ $line }}v{{ $tick['length'] }}"/>
        @if ($tick['label'] !== null)<text x="{{ $tick['x'] }}" y="{{ $line + 28 }}" text-anchor="middle">{{ $tick['label'] }}</text>@endif
    @endforeach
    @foreach ($drawn->earlier as $ph)@if ($drawn->isSeen($ph))<path class="earlier" d="M{{ $drawn->scale->at($ph) }} {{ $line }}v-14"/>@endif @endforeach
    @if ($bracket = $drawn->bracket())
        <rect class="bracket" x="{{ $bracket['x'] }}" y="{{ $line - 2.5 }}" width="{{ $bracket['width'] }}" height="5"/>
        @foreach ($drawn->notches() as $ph)<path class="notch" d="M{{ $drawn->scale->at($ph) }} {{ $line - 8 }}l6 8-6 8-6-8z"/>@endforeach
    @endif
    @if ($drawn->value !== null)
        @php($x = $drawn->scale->at($drawn->value))
        <path class="plumb" d="M{{ $x }} 54V{{ $line }}"/>
        <circle class="bob" cx="{{ $x }}" cy="54" r="6"/>
        @if ($drawn->expandedU !== null)
            @php($from = $drawn->scale->at($drawn->value - $drawn->expandedU))
            @php($to = $drawn->scale->at($drawn->value + $drawn->expandedU))
            <path class="whisker" d="M{{ $from }} 71v16M{{ $from }} 79H{{ $to }}M{{ $to }} 71v16"/>
        @endif
    @endif
</svg>
</figure>
@endforeach
