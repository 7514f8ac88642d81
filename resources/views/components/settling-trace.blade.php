@props(['figure', 'funnel' => true])
<figure>
<svg viewBox="0 0 {{ $figure::WIDTH }} {{ $figure::HEIGHT }}" role="img" aria-label="{{ $figure->in->name }} against time: {{ $figure->words() }}">
    @foreach ($figure->value->ticks($figure->value->step(4)) as $ph)
        <path class="guide" d="M58 {{ $figure->value->at($ph) }}H{{ $figure::WIDTH - 14 }}"/>
        <text x="50" y="{{ $figure->value->at($ph) + 5 }}" text-anchor="end">{{ Rheacid\Core\Numbers::plain($ph) }}</text>
    @endforeach
    @foreach ($figure->seconds() as $second)
        <text x="{{ $figure->time->at($second) }}" y="{{ $figure::HEIGHT - 10 }}" text-anchor="middle">{{ $second }}{{ $second == 0 ? ' s' : '' }}</text>
    @endforeach
    @if ($funnel)<path class="band" d="{{ $figure->funnel() }}"/>@endif
    <path class="trace" d="{{ $figure->line() }}"/>
    <circle class="bob" cx="{{ $figure->end()['x'] }}" cy="{{ $figure->end()['y'] }}" r="6"/>
</svg>
</figure>
