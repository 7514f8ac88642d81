@php($pair = $screen->pair)
@php($line = $screen->line)
@php($health = $screen->health)
@php($cleaning = $screen->cleaning)
<x-house :title="$pair->electrode->code . ' on ' . $pair->name()" room="Ready">
    @php($isPh = $pair->electrode->measures === Rheacid\Models\Measures::Ph)
    @php($writes = Gate::allows('record') && $pair->parting === null)
    @if ($pair->parting)
        <p class="verdict"><x-state
            is="idle">Separated {{ Rheacid\Site\SiteClock::short($pair->parting->at) }}.</x-state> {{ $pair->parting->person->name }}{{ $pair->parting->reason
            ? ': ' . $pair->parting->reason : '' }}</p>
    @else
        <p class="verdict"><x-pair-state :status="$line->status()" /></p>
    @endif
    @if ($diagnosis = $line->calibration->diagnosis)
        <p class="verdict"><x-sign is="care" /> <span>{{ Rheacid\Core\Words\DiagnosisWords::likely($diagnosis, $line->kind,
            $line->calibration->alsoDiagnosed) }} <span
            class="soft">{{ Rheacid\Core\Words\DiagnosisWords::first($diagnosis,
            $line->kind) }} {{ Rheacid\Core\Words\DiagnosisWords::otherwise($diagnosis) }}</span></span></p>
    @endif
    @if ($writes)<x-care-buttons :pair="$pair" />@endif
    @if ($isPh)
        <h2>Health</h2>
        <p class="verdict"><x-sign :is="$health->sign" /> <span>{{ $health->sentence }}</span></p>
        @if ($cleaning)
            <p class="verdict"><x-sign :is="['better' => 'met', 'none' => 'idle', 'worse' => 'care'][$cleaning->proof?->effect->value
                ?? 'none']" /> <span>Cleaned {{ Rheacid\Site\SiteClock::short($cleaning->event->at) }}:
                {{ Rheacid\View\Ready\HealthScreen::cleaning($cleaning) }}</span></p>
        @endif
        @foreach ($health->charts as $chart)<x-history-chart :figure="$chart" />@endforeach
    <h2>Calibrations</h2>
    <table class="stack">
        <caption class="visually-hidden">Calibrations</caption>
        <thead><tr><th scope="col">Calibrated</th><th scope="col">Slope</th><th scope="col">Offset</th><th scope="col">Read-back</th><th scope="col">By</th>
            <th scope="col">Verdict</th></tr></thead>
        @forelse ($screen->calibrations as $calibration)
            <tr>
                <td><a class="cell-link" href="{{ route('calibrations.show', $calibration) }}">{{ Rheacid\Site\SiteClock::short($calibration->at) }}</a></td>
                <td class="num">{{ $calibration->measuredSlope() === null ? '–' : Rheacid\Core\Numbers::fixed($calibration->measuredSlope(), 1) . ' %' }}</td>
                <td>{{ $calibration->offset_mv === null ? '–' : Rheacid\Core\Numbers::fixed($calibration->offset_mv, 1) . ' mV' }}</td>
                <td>{{ $calibration->read_back_error_ph === null ? '–' : Rheacid\Core\Numbers::fixed($calibration->read_back_error_ph, 3) . ' pH off' }}</td>
                <td>{{ $calibration->person->name }}</td>
                <td><x-state :is="Rheacid\View\Calibrate\CalibrationScreen::sign($calibration->verdict)">{{ Rheacid\Core\Words\StateWords::verdict($calibration
                    ->verdict) }}{{ $calibration->void ? ', voided' : '' }}{{ $calibration->run->source === Rheacid\Core\Measuring\Source::Simulated
                    ? ', simulated' : '' }}</x-state></td>
            </tr>
        @empty
            <tr><td colspan="6" class="soft">Never calibrated.</td></tr>
        @endforelse
    </table>
    @endif
    <x-slot:act><a href="{{ route('labels', ['code' => $pair->electrode->code]) }}">Label</a>@if ($isPh)<a
        href="{{ route('checks.show', $pair) }}">Check buffers</a>@if ($pair->parting === null)<a class="do" href="{{ route('runs.create', $pair) }}"
        data-primary>Calibrate <kbd>Enter</kbd></a>@endif @elseif ($pair->parting === null)<a class="do" href="{{ route('cells.show', $pair) }}"
        data-primary>Calibrate <kbd>Enter</kbd></a>@endif</x-slot>
    <x-slot:evidence>
        <h2>Electrode</h2>
        <dl><dt>{{ $pair->electrode->name }}</dt><dd>
            {{ $pair->electrode->kind->words() }}<br>in use since {{ Rheacid\Site\SiteClock::day($pair->electrode->first_used_on) }}</dd><dt>
            {{ $pair->meter->name }}</dt><dd>shows {{ Rheacid\Core\Numbers::plain($pair->meter->resolution_ph) }} pH, {{ $pair->meter->shows_mv
            ? Rheacid\Core\Numbers::plain($pair->meter->resolution_mv) . ' mV' : 'no mV' }}</dd></dl>
        <h2>Policy</h2>
        <p><a href="{{ route('policies.show', $pair->policy) }}">{{ $pair->policy->name }}</a>: {{ Rheacid\View\Ready\PolicyWords::interval($pair->policy) }},
            {{ Rheacid\View\Ready\PolicyWords::buffers($pair->policy) }}</p>
        @if ($pair->parting === null && $isPh)
            <h2>Care due</h2>
            <dl>@foreach (Rheacid\View\Today\InstrumentTasks::schedule($line) as $due)<dt>{{ Rheacid\Core\Words\CareWords::toDo($due['kind']) }}</dt><dd>
                @if ($due['at'] < now())
                <x-state is="care">since {{ Rheacid\Site\SiteClock::day($due['at']) }}</x-state>@else by {{ Rheacid\Site\SiteClock::day($due['at']) }}@endif
                </dd>@endforeach</dl>
        @endif
        <h2>Care log</h2>
        <dl>
            @forelse ($screen->care as $event)
                <dt>{{ Rheacid\Core\Words\CareWords::happened($event->kind) }}, {{ Rheacid\Site\SiteClock::short($event->at) }}</dt><dd>
                    {{ implode(', ', array_filter([$event->dirt?->value, $event->note, $event->until_at ? 'until '
                    . Rheacid\Site\SiteClock::short($event->until_at) : null, $event->person->name])) }}</dd>
            @empty
                <dt>Nothing recorded</dt><dd>no soak, no cleaning</dd>
            @endforelse
        </dl>
        @if ($screen->others->isNotEmpty())<h2>Earlier meters</h2><dl>@foreach ($screen->others as $other)<dt>
            <a href="{{ route('pairs.show', $other) }}">{{ $other->name() }}</a></dt><dd>since {{ Rheacid\Site\SiteClock::day($other->paired_at) }}</dd>
            @endforeach</dl>@endif
        <p class="note">Store the tip wet in 3 M KCl, never in distilled water, which leaches the reference.</p>
    </x-slot>
</x-house>
