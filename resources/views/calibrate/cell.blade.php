@php($pair = $screen->pair)
@php($cell = $pair->newestCell)
<x-house :title="'Calibrate · ' . $pair->electrode->code . ' on ' . $pair->name()" room="Calibrate">
    <ol class="stations" aria-label="Stations of this calibration">
        <li aria-current="step"><b>{{ $screen->proposed ? Rheacid\Core\Numbers::plain((float) $screen->proposed->standardValue) . ' ' . $screen->unit() : 'Standard' }}</b><span>now</span></li>
        <li><b>Verdict</b><span>{{ $screen->isConductivity ? 'cell factor' : 'offset' }}</span></li>
    </ol>
    <p class="verdict"><x-measures :is="$pair->electrode->measures" /> <x-pair-state :status="$screen->status" /></p>
    @if ($cell)
        <p class="verdict"><x-state :is="Rheacid\View\CalibrationScreen::sign($cell->verdict)">{{ ucfirst(Rheacid\Core\Words\StateWords::verdict($cell->verdict)) }}.</x-state> <span><b>{{ $screen->isConductivity ? 'cell factor ' . $screen->figure($cell) : $screen->figure($cell) . ' mV offset' }}</b>, {{ Rheacid\SiteClock::short($cell->at) }}. {{ $screen->sentence($cell) }} <span class="soft">{{ $screen->meaning($cell) }}</span></span></p>
    @endif
    @if (Gate::allows('record') && $pair->parting === null)
        <form id="accept" method="post" action="{{ route('cells.store', $pair) }}" data-keep>
            <x-form-id />
            <div class="fields">
                <x-field name="lot" label="Bottle of standard">
                    <select class="form-select" id="f-lot" name="lot">
                        @foreach ($screen->bottles as $bottle)
                            @php($objection = Rheacid\Shelf\Bottles::objectionToCell($bottle, $pair->electrode->measures))
                            <option value="{{ $bottle->code }}" @selected(old('lot', $screen->proposed?->code) === $bottle->code)>{{ $bottle->label }} · {{ $bottle->code }} · {{ $objection ?? Rheacid\Shelf\Bottles::left($bottle->status()) }}</option>
                        @endforeach
                    </select>
                </x-field>
            </div>
            @if ($screen->live)<input type="hidden" name="seen_s" value="{{ $screen->live->figure ? $screen->live->seenS : '' }}">@else<x-cell-typed :screen="$screen" />@endif
        </form>
        @if ($screen->live)
            <x-live :live="$screen->live" />
            <details class="apart" @if (old('reading')) open @endif><summary>Or typed, from a real meter</summary><x-cell-typed :screen="$screen" /><button class="do quiet apart" form="accept">Accept what was typed</button></details>
            <x-bench-strip :cups="$screen->cups" :action="route('cells.immerse', $pair)" :current="$screen->live->cupId" :speed="$screen->live->speed" :next="$screen->live->next($screen->cups[0] ?? null)" />
        @endif
        <x-slot:act><x-accept-bar form="accept" label="Accept the reading" :live="$screen->live" /></x-slot>
    @endif
    <h2>Before</h2>
    <table class="stack">
        <thead><tr><th>When</th><th>{{ $screen->isConductivity ? 'Cell factor' : 'Offset' }}</th><th>Standard</th><th>Read</th><th>By</th><th></th></tr></thead>
        @forelse ($screen->history as $earlier)
            <tr><td>{{ Rheacid\SiteClock::short($earlier->at) }}</td><td class="num">{{ $screen->figure($earlier) }}</td><td><a class="cell-link" href="{{ route('lots.show', $earlier->lot) }}">{{ $earlier->lot->code }}</a> {{ Rheacid\Core\Numbers::plain($earlier->standard_value) }} {{ $screen->unit() }}</td><td>{{ Rheacid\Core\Numbers::plain($earlier->reading) }} {{ $screen->unit() }} at {{ Rheacid\Core\Celsius::at($earlier->celsius, 1) }}</td><td>{{ $earlier->person->name }}</td><td><x-state :is="Rheacid\View\CalibrationScreen::sign($earlier->verdict)">{{ Rheacid\Core\Words\StateWords::verdict($earlier->verdict) }}{{ $earlier->settled ? '' : ', unsettled: ' . $earlier->reason }}{{ $earlier->source === Rheacid\Bench\Source::Simulated ? ', simulated' : '' }}</x-state></td></tr>
        @empty
            <tr><td colspan="6" class="soft">Never calibrated.</td></tr>
        @endforelse
    </table>
    <x-slot:evidence>
        <h2>Now</h2>
        <ul class="steps">
            <li>Rinse with distilled water, shake off, rinse once with the standard.</li>
            @if ($screen->isConductivity)<li>Dip past the vent holes, knock bubbles off.</li><li>Compensation off: the correction of 2 % per °C is made here. A pen that cannot switch it off is told so beside the number.</li>@else<li>Ring or pin clean, junction wet.</li><li>Compare only standards told against the same reference electrode: mixing them costs 45 mV.</li>@endif
            <li>Wait until it stands still.</li>
        </ul>
        <p><a href="{{ route('pairs.show', $pair) }}">Its care and history</a></p>
        <h2>What is accepted</h2>
        <p>{{ $screen->isConductivity ? 'Cell factor 0.9–1.1 passes; 0.8–1.2 is usable with care. A second standard within two hours, like 12.88 mS/cm after 1413 µS/cm, gives the offset as well: up to 5 % of the lower one passes, 10 % is usable with care.' : 'Offset up to ±10 mV passes; up to ±20 mV is usable with care.' }} Common practice.</p>
        <p class="note">{{ $screen->isConductivity ? 'Not for brine: 2 % salt is already 33 mS/cm, beyond the standards. Weigh the salt, or use a hydrometer.' : 'A redox check gives an offset only; there is no slope.' }} Pour used standard away.</p>
    </x-slot>
</x-house>
