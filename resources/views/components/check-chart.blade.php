@props(['figure'])
<figure>
<svg viewBox="0 0 {{ $figure::WIDTH }} {{ $figure::HEIGHT }}" role="img" aria-label="Control chart of {{ $figure->of }}. {{ $figure->words() }}">
    @foreach ($figure->lines() as $line)
        <path @class(['guide' => !$line['acts'], 'edge' => $line['acts'], 'later' => $line['acts']]) d="M76 {{ $line['y'] }}H{{ $figure::WIDTH - 12 }}"/>
        <text x="68" y="{{ $line['y'] + 5 }}" text-anchor="end">{{ $line['label'] }}</text>
    @endforeach
    @if ($figure->points() !== [])
        <path class="trace" d="M{{ implode(' L', array_map(fn ($point) => $point['x'] . ' ' . $point['y'], $figure->points())) }}"/>@endif
    @foreach ($figure->points() as $point)
        <circle class="{{ $point['signal'] === null ? 'bob' : 'check' }}" cx="{{ $point['x'] }}" cy="{{ $point['y'] }}" r="5"/>
    @endforeach
</svg>
</figure>
<p class="what">{{ $figure->words() }}</p>
