@use(Rheacid\Core\Solutions\BottleEvent)
@use(Rheacid\Core\Solutions\ComesAs)
@use(Rheacid\Core\Solutions\SolutionKind)
@php($lot = $screen->lot)
@php($until = Carbon\CarbonImmutable::parse($screen->status->usableUntil))
<x-house :title="'Bottle ' . $lot->code" room="Ready">
    <div class="big"><span class="n">{{ $lot->nominal_ph === null ? $lot->code : Rheacid\Core\Numbers::fixed($lot->nominal_ph, 2) }}</span><span
        class="unit">{{ $lot->label }}<br>{{ Rheacid\Queries\Ready\Bottles::left($screen->status) }}</span></div>
    <p class="verdict">@if ($screen->spent)<x-state is="fail">{{ ucfirst($screen->spent) }}</x-state>@elseif ($lot->isBarred())<x-state
        is="care">Not for critical limits</x-state> {{ $lot->happened(BottleEvent::Dipped) ? 'The bottle was dipped into.'
        : 'It was made up with tap water.' }}@elseif ($lot->isBuffer())<x-state
        is="met">Usable until {{ Rheacid\Site\SiteClock::day($until) }}</x-state>@elseif ($lot->kind->isStandard())<x-state
        is="met">Usable until {{ Rheacid\Site\SiteClock::day($until) }}</x-state> {{ ucfirst($lot->kind->value) }}, not for pH calibration.@else<x-state
        is="idle">{{ ucfirst($lot->kind->value) }}, not for pH calibration</x-state>@endif</p>
    @if (Gate::allows('record') && $lot->happened(BottleEvent::Discarded) === null)
        <form class="care-log" method="post" action="{{ route('lots.log', $lot) }}" id="bottle">
            <x-form-id />
            <x-enter-sends-nothing />
            @error('kind')<p class="problem">{{ $message }}</p>@enderror
            @if ($lot->comes_as === ComesAs::Powder && $lot->openedOn() === null)
                <div class="fields">
                    <x-field name="volume_ml" label="Volume, mL" help="for the whole packet, usually 250 mL" inputmode="decimal" value="250" />
                    <x-choice name="water" label="Water" :options="['distilled' => 'distilled', 'tap' => 'tap (then not for critical limits)']" />
                </div>
                <button class="do quiet" name="kind" value="made-up">Record: made up and dissolved</button>
            @elseif ($lot->openedOn() === null)
                <button class="do quiet" name="kind" value="opened">Open bottle now</button>
            @endif
            @unless ($lot->isBarred())<details><summary>Dipped into</summary><p class="form-text">
                An electrode or a cloth was in the bottle itself. The bottle can then not be used for critical limits.</p>
                <button class="do quiet" name="kind" value="dipped">Mark as dipped into</button></details>@endunless
            <details><summary>Discard</summary><x-field name="note" label="Reason (optional)" maxlength="400" />
                <button class="do quiet apart" name="kind" value="discarded">Discard bottle</button></details>
        </form>
    @endif
    @if ($lot->kind === SolutionKind::Titrant)
        <h2>Strength</h2>
        <table class="stack">
            <caption class="visually-hidden">Strength</caption>
            @forelse ($screen->strengths as $strength)<tr><th scope="row">{{ Rheacid\Site\SiteClock::short($strength->at) }}</th><td class="num">
                {{ Rheacid\Core\Numbers::fixed($strength->normality, 4) }} N <small>± {{ Rheacid\Core\Numbers::fixed($strength->expanded_u, 4) }}</small></td>
                <td>{{ count($strength->runs) }} runs</td></tr>@empty<tr><td class="soft">Not standardised yet. Standardise it before you titrate.</td></tr>
                @endforelse
        </table>
        @if (Gate::allows('record') && $lot->happened(BottleEvent::Discarded) === null)
            <p class="caution">{{ Rheacid\Core\Words\CareWords::lye() }}</p>
            <form id="strength" method="post" action="{{ route('lots.standardise', $lot) }}" data-keep><x-form-id />
                <div class="fields apart"><x-field name="runs" :label="'Potassium hydrogen phthalate in g, titrant in mL'" class="wide"
                    :help="'one run per line, at least three, like ' . Rheacid\Core\Numbers::fixed(0.5102, 4) . '; ' . Rheacid\Core\Numbers::fixed(24.98, 2)">
                    <textarea class="form-control" id="f-runs" name="runs" rows="4" aria-describedby="f-runs-help" @error('runs') aria-invalid="true"
                    @enderror>{{ is_string(old('runs')) ? old('runs') : '' }}</textarea></x-field>
                    <x-field name="purity" label="Purity, %" value="100" inputmode="decimal" /></div>
                <button class="do quiet apart">Record strength</button>
            </form>
        @endif
    @endif
    <h2>Used by</h2>
    <table class="stack">
        <caption class="visually-hidden">Used by</caption>
        @forelse ($screen->uses as $use)
            @php($by = $use->run ?? $use->cell)
            <tr><th scope="row">{{ Rheacid\Site\SiteClock::short($use->at) }}</th><td>
                <a class="cell-link" href="{{ $use->run ? route('runs.show', $use->run) : route('cells.show', $use->cell->pair_id) }}">{{ $by->pair->electrode
                ->code }}</a></td><td>{{ $use->run ? $use->run->holder->name : $use->cell->person->name }}</td></tr>
        @empty
            <tr><td class="soft">Not used yet.</td></tr>
        @endforelse
    </table>
    @if ($screen->events->isNotEmpty())
        <h2>History</h2>
        <table class="stack"><caption class="visually-hidden">History</caption>@foreach ($screen->events as $event)<tr><th scope="row">
            {{ Rheacid\Site\SiteClock::short($event->at) }}</th><td>
            {{ str_replace('-', ' ', $event->kind->value) }}{{ $event->volume_ml ? ' with ' . Rheacid\Core\Numbers::plain($event->volume_ml) . ' mL of '
            . $event->water?->value . ' water' : '' }}{{ $event->note ? ', ' . $event->note : '' }}</td><td>{{ $event->person->name }}</td></tr>
            @endforeach</table>
    @endif
    <x-slot:act><a href="{{ route('labels', ['code' => $lot->code]) }}">Label</a><a href="{{ route('ready') }}">Back</a></x-slot>
    <x-slot:evidence>
        <h2>On the label</h2>
        <dl>
            <dt>Printed expiry</dt><dd>{{ Rheacid\Site\SiteClock::day($lot->expires_on) }}</dd>
            <dt>Opened</dt><dd>{{ $lot->openedOn() ? Rheacid\Site\SiteClock::day($lot->openedOn()) . ', good for ' . $lot->days_after_opening
                . ($lot->days_after_opening === 1 ? ' day' : ' days') : 'not opened' }}</dd>
            @if ($lot->standard_value !== null)<dt>Value at 25 °C</dt><dd>
                {{ Rheacid\Core\Numbers::plain($lot->standard_value) }} {{ $lot->kind === SolutionKind::Redox ? 'mV against ' . ($lot->reference
                ?? 'its reference') : 'µS/cm' }}</dd>@endif
            @if ($lot->expanded_u_ph !== null)<dt>Uncertainty</dt><dd>± {{ Rheacid\Core\Numbers::plain($lot->expanded_u_ph) }} pH (k = 2)</dd>@endif
        </dl>
        @if ($lot->isBuffer())
            <h2>pH by temperature</h2>
            <dl>@foreach ([15, 20, 25, 30] as $celsius)@if ($lot->buffer()->covers($celsius))<dt>{{ $celsius }} °C</dt><dd>
                {{ Rheacid\Core\Numbers::fixed($lot->buffer()->phAt($celsius), 3) }}</dd>@endif @endforeach</dl>
        @endif
    </x-slot>
</x-house>
