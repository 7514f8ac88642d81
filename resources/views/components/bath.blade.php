@props(['screen'])
@php($method = $screen->method->value)
@php($random = new Random\Randomizer(new Random\Engine\Mt19937(5)))
{{-- The bath with its probe; what is ticked is drawn as done. --}}
<svg class="bath-drawing" viewBox="0 0 250 290" role="img" aria-label="The probe in its bath: {{ implode('; ', $screen->ticks()) }}">
    @if ($method === 'boiling')
        <path class="water" d="M40 100h150l-4 150h-142z"/>
        @foreach (range(1, 26) as $i)<circle class="bubble" cx="{{ $random->getInt(52, 178) }}" cy="{{ $random->getInt(110, 240) }}"
            r="{{ $random->getInt(3, 7) }}"/>@endforeach
        @foreach ([70, 110, 150] as $x)<path class="steam" d="M{{ $x }} 92c-8-10 8-16 0-28s8-16 0-26"/>@endforeach
        <path class="vessel" d="M34 84l10 172h142l10-172"/>
    @elseif ($method === 'comparison')
        <path class="water" d="M40 90h150v164h-150z"/>
        <path class="vessel" d="M34 74v184h162v-184"/>
        <rect class="probe other" x="132" y="20" width="9" height="180" rx="4"/>
        <path class="mark mark-stirred" d="M60 236a26 8 0 1 0 52 0a26 8 0 1 0-52 0"/>
    @else
        <path class="water" d="M38 86h154l-7 168h-140z"/>
        @foreach (range(0, 11) as $row)
            @foreach (range(0, 8) as $column)
                @php([$x, $y] = [52 + $column * 15 + $random->getInt(-4, 4), 92 + $row * 14 + $random->getInt(-4, 4)])
                <path class="ice" transform="translate({{ $x }} {{ $y }}) rotate({{ $random->getInt(0, 60) }})" d="M-6-3 0-7 6-3 5 4-1 7-6 3z"/>
            @endforeach
        @endforeach
        <path class="vessel" d="M30 66l8 192h154l8-192"/>
    @endif
    <rect class="probe head" x="96" y="6" width="38" height="26" rx="3"/>
    <rect class="probe" x="111" y="30" width="8" height="{{ $method === 'comparison' ? 170 : 156 }}" rx="4"/>
    <g class="mark mark-depth"><path d="M212 88v{{ $method === 'comparison' ? 112 : 98 }}m-6 0h12m-12-{{ $method === 'comparison' ? 112 : 98 }}h12"/></g>
    <g class="mark mark-clear"><path d="M46 214h62m-62-5v10m62-10v10M115 190v62m-5 0h10"/></g>
</svg>
