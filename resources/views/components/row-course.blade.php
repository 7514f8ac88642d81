@props(['figure'])
@php($id = 'row-' . Illuminate\Support\Str::random(6))
<figure {{ $attributes->class('row-course') }}><svg viewBox="0 0 {{ $figure::WIDTH }} {{ $figure::HEIGHT }}" role="img" aria-label="{{ $figure->words() }}">
    <defs><pattern id="{{ $id }}" width="7" height="7" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path class="hatch" d="M0 0v7"/>
        </pattern></defs>
    @foreach ($figure->walls() as $wall)
        <path class="edge later" d="M0 {{ $wall['y'] }}H{{ $wall['x'] }}"/>
        <rect x="{{ $wall['x'] }}" y="{{ $wall['top'] }}" width="{{ $wall['width'] }}" height="{{ $wall['height'] }}" fill="url(#{{ $id }})"
            @unless ($wall['due']) opacity="0.5" @endunless/>
        <path class="edge" d="M{{ $wall['x'] }} {{ $wall['top'] }}v{{ $wall['height'] }}M{{ $wall['x'] }} {{ $wall['y'] }}h{{ $wall['width'] }}"/>
    @endforeach
    <path class="now" d="M{{ $figure->now() }} 0V{{ $figure::HEIGHT }}"/>
    <path class="trace" d="{{ $figure->line() }}"/>
    @if ($newest = $figure->newest())
        <path class="whisker" d="M{{ $newest['x'] }} {{ $newest['top'] }}V{{ $newest['foot'] }}"/>
            <circle class="bob" cx="{{ $newest['x'] }}" cy="{{ $newest['y'] }}" r="4"/>
    @endif
</svg></figure>
