@props(['figure', 'funnel' => true])
@foreach (['wide' => $figure, 'narrow' => $figure->narrow()] as $at => $drawn)
<figure class="drawn {{ $at }}">
<svg viewBox="0 0 {{ $drawn->width }} {{ $drawn::HEIGHT }}" role="img" aria-label="{{ $drawn->in->name }} against time: {{ $drawn->words() }}">
    @foreach ($drawn->value->ticks($drawn->value->step(4)) as $ph)
        <path class="guide" d="M58 {{ $drawn->value->at($ph) }}H{{ $drawn->width - 14 }}"/>
        <text x="50" y="{{ $drawn->value->at($ph) + 5 }}" text-anchor="end">{{ Rheacid\Core\Numbers::plain($ph) }}</text>
    @endforeach
    @foreach ($drawn->seconds() as $second)
        <text x="{{ $drawn->time->at($second) }}" y="{{ $drawn::HEIGHT - 10 }}" text-anchor="middle">{{ $second }}{{ $second == 0 ? ' s' : '' }}</text>
    @endforeach
    @if ($funnel)<path class="band" d="{{ $drawn->funnel() }}"/>@endif
    <path class="trace" d="{{ $drawn->line() }}"/>
    <circle class="bob" cx="{{ $drawn->end()['x'] }}" cy="{{ $drawn->end()['y'] }}" r="6"/>
</svg>
</figure>
@endforeach
