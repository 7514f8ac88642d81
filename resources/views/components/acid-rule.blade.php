@props(['rule', 'small' => false])
@php($id = 'hatch-' . Illuminate\Support\Str::random(6))
@php($line = Rheacid\View\Figures\AcidRule::LINE_Y)
@php($width = Rheacid\View\Figures\AcidRule::WIDTH)
<figure {{ $attributes->class(['small' => $small]) }}>
<svg viewBox="0 {{ $small ? 52 : 0 }} {{ $width }} {{ $small ? 72 : Rheacid\View\Figures\AcidRule::HEIGHT }}" role="img" aria-label="{{ $rule->words() }}">
    <defs><pattern id="{{ $id }}" width="{{ $small ? 16 : 7 }}" height="{{ $small ? 16 : 7 }}" patternUnits="userSpaceOnUse" patternTransform="rotate(45)"><path class="hatch" d="M0 0v{{ $small ? 16 : 7 }}"/></pattern></defs>
    @if (!$small && ($target = $rule->target()))
        <rect class="band" x="{{ $target['x'] }}" y="40" width="{{ $target['width'] }}" height="{{ $line - 40 }}"/>
        <text class="band-label" x="{{ $target['x'] + $target['width'] / 2 }}" y="16" text-anchor="middle">{{ $target['label'] }}</text>
    @endif
    @foreach ($rule->hatched() as $wall)
        <rect x="{{ $wall['x'] }}" y="40" width="{{ $wall['width'] }}" height="{{ $line - 40 }}" fill="url(#{{ $id }})"/>
    @endforeach
    @foreach ($rule->edges() as $edge)
        @continue($small && (!$edge['due'] || !$edge['binds']))
        <path @class(['edge', 'later' => !$edge['due'], 'gentle' => $edge['due'] && !$edge['binds']]) d="M{{ $edge['x'] }} {{ $edge['row'] ? 18 : 36 }}V{{ $line + 4 }}"/>
        @unless ($small)
            <text @class(['strong' => $edge['due'] && $edge['binds']]) x="{{ $edge['x'] + ($edge['anchor'] === 'end' ? -5 : 5) }}" y="{{ $edge['row'] ? 16 : 34 }}" text-anchor="{{ $edge['anchor'] }}">{{ $edge['label'] }}{{ $edge['due'] ? '' : ' later' }}</text>
        @endunless
    @endforeach
    <path class="axis" d="M20 {{ $line }}H{{ $width - 20 }}"/>
    @unless ($small)
        @foreach ($rule->ticks() as $tick)
            <path class="tick" d="M{{ $tick['x'] }} {{ $line }}v{{ $tick['length'] }}"/>
            @if ($tick['label'] !== null)<text x="{{ $tick['x'] }}" y="{{ $line + 28 }}" text-anchor="middle">{{ $tick['label'] }}</text>@endif
        @endforeach
        @foreach ($rule->earlier as $ph)
            <path class="earlier" d="M{{ $rule->scale->at($ph) }} {{ $line }}v-14"/>
        @endforeach
    @endunless
    @if ($bracket = $rule->bracket())
        <rect class="bracket" x="{{ $bracket['x'] }}" y="{{ $line - ($small ? 5 : 2.5) }}" width="{{ $bracket['width'] }}" height="{{ $small ? 10 : 5 }}"/>
        @unless ($small)
            @foreach ($rule->buffers as $ph)
                <path class="notch" d="M{{ $rule->scale->at($ph) }} {{ $line - 8 }}l6 8-6 8-6-8z"/>
            @endforeach
        @endunless
    @endif
    @if ($rule->value !== null)
        @php($x = $rule->scale->at($rule->value))
        <path class="plumb" d="M{{ $x }} {{ $small ? 64 : 54 }}V{{ $line }}"/>
        <circle class="bob" cx="{{ $x }}" cy="{{ $small ? 64 : 54 }}" r="{{ $small ? 11 : 6 }}"/>
        @if (!$small && $rule->expandedU !== null)
            @php($from = $rule->scale->at($rule->value - $rule->expandedU))
            @php($to = $rule->scale->at($rule->value + $rule->expandedU))
            <path class="whisker" d="M{{ $from }} 73v12M{{ $from }} 79H{{ $to }}M{{ $to }} 73v12"/>
        @endif
    @endif
</svg>
</figure>
