@props(['figure'])
<figure class="history">
<figcaption>{{ $figure->title }}@if (count($figure->series) > 1) · @foreach (array_keys($figure->series) as $name)<span
    class="key line-{{ $loop->index }}">{{ $name }}</span> @endforeach @endif</figcaption>
<svg viewBox="0 0 {{ $figure::WIDTH }} {{ $figure::HEIGHT }}" role="img" aria-label="{{ $figure->title }} over time">
    @php($bottom = $figure->value->at($figure->value->low))
    @if ($band = $figure->band())<rect class="band" x="58" y="{{ $band['y'] }}" width="{{ $figure::WIDTH - 72 }}" height="{{ $band['height'] }}"/>@endif
    @if ($reach = $figure->reach())<rect class="reach" x="{{ $reach['x'] }}" y="12" width="{{ $reach['width'] }}" height="{{ $bottom - 12 }}"/>@endif
    @foreach ($figure->value->ticks($figure->value->step(4)) as $tick)
        <path class="guide" d="M58 {{ $figure->value->at($tick) }}H{{ $figure::WIDTH - 14 }}"/>
        <text x="50" y="{{ $figure->value->at($tick) + 5 }}" text-anchor="end">{{ Rheacid\Core\Numbers::fixed($tick, $figure->decimals()) }}</text>
    @endforeach
    @foreach ($figure->months() as $month)<text x="{{ $month['x'] }}" y="{{ $figure::HEIGHT - 6 }}" text-anchor="middle">{{ $month['label'] }}</text>@endforeach
    @if ($figure->trend() !== '')<path class="ideal" d="{{ $figure->trend() }}"/>@endif
    @foreach ($figure->series as $points)
        <path class="trace line-{{ $loop->index }}" d="{{ $figure->path($points) }}"/>
        @foreach ($points as [$at, $value])<circle class="dot line-{{ $loop->parent->index }}" cx="{{ $figure->x($at) }}" cy="{{ $figure->value->at($value) }}"
            r="2.5"/>@endforeach
    @endforeach
    @php($now = $figure->x(Carbon\CarbonImmutable::now()))
    <path class="now" d="M{{ $now }} 12V{{ $bottom }}"/>
</svg>
</figure>
