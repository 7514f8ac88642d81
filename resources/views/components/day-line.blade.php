@props(['figure'])
<figure class="day">
<svg viewBox="0 0 {{ $figure::WIDTH }} {{ $figure->height() }}" role="img" aria-label="The day as a time line. The list below says the same in words.">
    @foreach ($figure->hours() as $hour)<text @class(['between' => $loop->index % 3 !== 2]) x="{{ $hour['x'] }}" y="14"
        text-anchor="middle">{{ $hour['label'] }}</text>@endforeach
    @foreach ($figure->lanes as $i => $lane)
        @php($y = $figure->y($i))
        <text class="lane" x="0" y="{{ $y + 19 }}">@if ($lane['thing'] !== '')<tspan class="aside">{{ $lane['thing'] }} </tspan>@endif{{ $lane['code'] }}</text>
        <path class="guide" d="M0 {{ $y + 33 }}H{{ $figure::WIDTH }}"/>
        @foreach ($lane['boxes'] as $box)
            @php($x = $figure->x($box['from']))
            @php($width = max(8, $figure->x($box['to']) - $x))
            <rect class="box {{ $box['kind'] }}" x="{{ $x }}" y="{{ $y + 5 }}" width="{{ $width }}" height="20" rx="3"/>
            @if ($box['label'] !== '')<text class="box-label" x="{{ $width > 190 && $box['kind'] !== 'plan' ? $x + 8 : $x + $width + 6 }}"
                y="{{ $y + 20 }}">{{ $box['label'] }}</text>@endif
        @endforeach
        @if ($deadline = $lane['deadline'])
            @php($x = $figure->x($deadline['at']))
            @php($seen = $figure->isInView($deadline['at']))
            @if ($seen)<path class="edge {{ $deadline['sign'] }}" d="M{{ $x }} {{ $y + 2 }}v28"/>@endif
            <text class="due {{ $deadline['sign'] }}" x="{{ $seen ? $x - 6 : $figure::WIDTH - 4 }}" y="{{ $y + 20 }}"
                text-anchor="end">{{ $deadline['label'] }}<tspan class="aside">{{ $deadline['forecast'] }}</tspan>{{ !$seen && $deadline['at'] > $figure->now
                ? ' →' : '' }}</text>
        @endif
    @endforeach
    @foreach ($figure->blocks as $block)
        @php($x = $figure->x($block['at']))
        <path class="block" d="M{{ $x }} {{ $figure->y($block['from']) + 26 }}V{{ $figure->y($block['to']) + 4 }}"/>
    @endforeach
    @php($now = $figure->x($figure->now))
    <path class="now" d="M{{ $now }} 20V{{ $figure->height() - 2 }}"/>
</svg>
</figure>
