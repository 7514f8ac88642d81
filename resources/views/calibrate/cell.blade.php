@php($pair = $screen->pair)
@php($cell = $pair->newestCell)
<x-house :title="'Calibrate · ' . $pair->electrode->code . ' on ' . $pair->name()" room="Calibrate">
    <ol class="stations" aria-label="Steps of this calibration">
        <li aria-current="step"><b>{{ $screen->proposed ? Rheacid\Core\Numbers::plain((float) $screen->proposed->contents->standardValue) . ' '
            . $screen->unit()
            : 'Standard' }}</b><span>now</span></li>
        <li><b>Verdict</b><span>{{ $screen->isConductivity ? 'cell factor' : 'offset' }}</span></li>
    </ol>
    <p class="verdict"><x-measures :is="$pair->electrode->measures" /> <x-pair-state :status="$screen->status" /></p>
    @if ($cell)
        <p class="verdict"><x-state :is="Rheacid\View\Calibrate\CalibrationScreen::sign($cell->verdict)">{{ ucfirst(Rheacid\Core\Words\StateWords::verdict($cell
            ->verdict)) }}.</x-state> <span><b>{{ $screen->isConductivity ? 'cell factor ' . $screen->figure($cell) : $screen->figure($cell)
            . ' mV offset' }}</b>, {{ Rheacid\Site\SiteClock::short($cell->at) }}. {{ $screen->sentence($cell) }} <span
            class="soft">{{ $screen->meaning($cell) }}</span></span></p>
    @endif
    @if (Gate::allows('record') && $pair->parting === null)
        <form id="accept" method="post" action="{{ route('cells.store', $pair) }}" data-keep>
            <x-form-id />
            <div class="fields">
                <x-choice name="lot" label="Standard" :options="collect($screen->bottles)->mapWithKeys(fn ($bottle) => [$bottle->code => $bottle->label . ' · '
                    . $bottle->code . ' · ' . (Rheacid\Queries\Ready\Bottles::objectionToCell($bottle, $pair->electrode->measures)
                    ?? Rheacid\Queries\Ready\Bottles::left($bottle->status()))])" :value="$screen->proposed?->code" />
            </div>
            @if ($screen->live)<input type="hidden" name="seen_s" value="{{ $screen->live->figure ? $screen->live->seenS : '' }}">@else
                <x-cell-typed :screen="$screen" />@endif
        </form>
        @if ($screen->live)
            <x-live :live="$screen->live" />
            <details class="apart" @if (old('reading')) open @endif><summary>Or type from a real meter</summary>
                <x-cell-typed :screen="$screen" /><button class="do quiet apart" form="accept">Accept typed reading</button></details>
            <x-bench-strip :cups="$screen->cups" :action="route('cells.immerse', $pair)" :current="$screen->live->cupId" :speed="$screen->live->speed"
                :next="$screen->live->next($screen->cups[0] ?? null)" />
        @endif
        <x-slot:act><x-accept-bar form="accept" label="Accept reading" :live="$screen->live" /></x-slot>
    @endif
    <h2>Earlier calibrations</h2>
    <table class="stack">
        <caption class="visually-hidden">Earlier calibrations</caption>
        <thead><tr><th scope="col">Time</th><th scope="col">{{ $screen->isConductivity ? 'Cell factor' : 'Offset' }}</th><th scope="col">Standard</th>
            <th scope="col">Reading</th><th scope="col">By</th><th scope="col">Verdict</th></tr></thead>
        @forelse ($screen->history as $earlier)
            <tr><td>{{ Rheacid\Site\SiteClock::short($earlier->at) }}</td><td class="num">{{ $screen->figure($earlier) }}</td><td>
                <a class="cell-link" href="{{ route('lots.show', $earlier->lot) }}">{{ $earlier->lot->code }}</a> {{ Rheacid\Core\Numbers::plain($earlier
                ->standard_value) }} {{ $screen->unit() }}</td><td>
                {{ Rheacid\Core\Numbers::plain($earlier->reading) }} {{ $screen->unit() }} at {{ Rheacid\Core\Celsius::at($earlier->celsius, 1) }}</td><td>
                {{ $earlier->person->name }}</td><td>
                <x-state :is="Rheacid\View\Calibrate\CalibrationScreen::sign($earlier->verdict)">{{ Rheacid\Core\Words\StateWords::verdict($earlier
                ->verdict) }}{{ $earlier->settled ? '' : ', not stable: ' . $earlier->reason }}{{ $earlier->source === Rheacid\Core\Measuring\Source::Simulated
                ? ', simulated' : '' }}</x-state></td></tr>
        @empty
            <tr><td colspan="6" class="soft">Never calibrated.</td></tr>
        @endforelse
    </table>
    <x-slot:evidence>
        <h2>Now</h2>
        <ul class="steps">
            <li>Rinse with distilled water, shake it off, then rinse once with the standard.</li>
            @if ($screen->isConductivity)<li>Immerse past the vent holes and knock off bubbles.</li><li>
                Switch temperature compensation off: Rheacid corrects by 2 % per °C. If the meter cannot switch it off, tick the box.</li>@else<li>
                Clean the ring or pin and keep the junction wet.</li><li>
                Use only standards stated for the same reference electrode. Mixing them causes an error of 45 mV.</li>@endif
            <li>Wait until the display is stable.</li>
        </ul>
        <p><a href="{{ route('pairs.show', $pair) }}">Care and history</a></p>
        <h2>What is accepted</h2>
        @if ($screen->isConductivity)
            <p>A cell factor of 0.9–1.1 passes; 0.8–1.2 is usable with care. A second standard within two hours, such as 12.88 mS/cm after
                1413 µS/cm, also gives the offset: up to 5 % of the lower standard passes, up to 10 % is usable with care. Common practice, no source.</p>
        @else
            <p>An offset up to ±10 mV passes; up to ±20 mV is usable with care. Common practice, no source.</p>
        @endif
        <p class="note">{{ $screen->isConductivity ? 'Not for brine: 2 % salt already gives 33 mS/cm, beyond the standards. Weigh the salt or use a hydrometer.'
            : 'A redox standard gives an offset only, no slope.' }} Pour used standard away.</p>
    </x-slot>
</x-house>
