@props(['figure'])
@foreach (['wide' => $figure, 'narrow' => $figure->narrow()] as $at => $drawn)
<figure class="drawn {{ $at }}">
<svg viewBox="0 0 {{ $drawn->width }} {{ $drawn::HEIGHT }}" role="img" aria-label="Value against dose, {{ count($drawn->trial) }} portions">
    @foreach ($drawn->value->ticks($drawn->value->step(5)) as $value)<path class="guide" d="M60 {{ $drawn->value->at($value) }}H{{ $drawn->width - 16 }}"/>
        <text x="52" y="{{ $drawn->value->at($value) + 5 }}" text-anchor="end">{{ Rheacid\Core\Numbers::plain($value) }}</text>@endforeach
    @foreach ($drawn->dose->ticks($drawn->dose->step((int) ($drawn->width / 90))) as $dose)<text x="{{ $drawn->dose->at($dose) }}" y="{{ $drawn::HEIGHT - 8 }}"
        text-anchor="middle">{{ Rheacid\Core\Numbers::plain($dose) }}</text>@endforeach
    <path class="trace" d="{{ $drawn->path() }}"/>
    @foreach ($drawn->trial as [$dose, $value])<circle class="bob open" cx="{{ $drawn->dose->at($dose) }}" cy="{{ $drawn->value->at($value) }}" r="3.5"/>
        @endforeach
    <path class="plumb" d="M{{ $drawn->dose->at($drawn->point[0]) }} {{ $drawn->value->at($drawn->point[1]) }}V{{ $drawn::HEIGHT - 34 }}"/>
        <circle class="bob" cx="{{ $drawn->dose->at($drawn->point[0]) }}" cy="{{ $drawn->value->at($drawn->point[1]) }}" r="5"/>
</svg>
</figure>
@endforeach
