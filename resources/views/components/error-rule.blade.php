@props(['figure'])
@foreach (['wide' => $figure, 'narrow' => $figure->narrow()] as $at => $figure)
@php($id = 'hatch-' . Illuminate\Support\Str::random(6))
@php($walls = $figure->walls())
@php($plumb = $figure->plumb())
<figure class="drawn {{ $at }}">
<svg viewBox="0 0 {{ $figure->width }} {{ $figure::HEIGHT }}" role="img" aria-label="{{ $figure->words() }}">
    <defs><pattern id="{{ $id }}" width="8" height="8" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path class="hatch" d="M0 0v8"/>
        </pattern></defs>
    <rect x="30" y="16" width="{{ $walls['low'] - 30 }}" height="62" fill="url(#{{ $id }})"/>
    <rect x="{{ $walls['high'] }}" y="16" width="{{ $figure->width - 30 - $walls['high'] }}" height="62" fill="url(#{{ $id }})"/>
    <path class="edge" d="M{{ $walls['low'] }} 10v74M{{ $walls['high'] }} 10v74"/>
    <path class="axis" d="M30 78H{{ $figure->width - 30 }}"/>
    @foreach ($figure->ticks() as $x)<path class="tick" d="M{{ $x }} 78v6"/>@endforeach
    <path class="whisker" d="M{{ $plumb['from'] }} 58H{{ $plumb['to'] }}M{{ $plumb['from'] }} 51v14M{{ $plumb['to'] }} 51v14"/>
    <path class="plumb" d="M{{ $plumb['x'] }} 30V78"/>
    <circle class="bob" cx="{{ $plumb['x'] }}" cy="30" r="7"/>
    <text x="{{ $walls['low'] }}" y="106" text-anchor="middle">−{{ $walls['label'] }}</text>
    <text x="{{ $figure->x(0) }}" y="106" text-anchor="middle">0 {{ Rheacid\Core\Celsius::unit() }} error</text>
    <text x="{{ $walls['high'] }}" y="106" text-anchor="middle">+{{ $walls['label'] }}</text>
</svg>
</figure>
@endforeach
