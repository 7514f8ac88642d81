<x-house :title="$pair->electrode->code . ' on ' . $pair->name()" room="Ready">
    <p class="verdict"><x-pair-state :standing="$standing" /></p>
    <h2>Calibrations</h2>
    <table class="stack">
        <thead><tr><th>When</th><th>Slope</th><th>Offset</th><th>Read back</th><th>By</th><th>Verdict</th></tr></thead>
        @forelse ($pair->calibrations->reverse() as $calibration)
            <tr>
                <td><a class="cell-link" href="{{ route('calibrations.show', $calibration) }}">{{ Rheacid\Plant::short($calibration->at) }}</a></td>
                <td class="num">{{ $calibration->slope_percent === null ? '–' : Rheacid\Core\Numbers::fixed($calibration->slope_percent, 1) . ' %' }}</td>
                <td>{{ $calibration->offset_mv === null ? '–' : Rheacid\Core\Numbers::fixed($calibration->offset_mv, 1) . ' mV' }}</td>
                <td>{{ $calibration->read_back_error_ph === null ? '–' : Rheacid\Core\Numbers::fixed($calibration->read_back_error_ph, 3) . ' pH off' }}</td>
                <td>{{ $calibration->person->name }}</td>
                <td><x-state :is="Rheacid\View\CalibrationScreen::sign($calibration->verdict)">{{ Rheacid\Core\Words\StateWords::verdict($calibration->verdict) }}{{ $calibration->void ? ', voided' : '' }}</x-state></td>
            </tr>
        @empty
            <tr><td colspan="6" class="soft">Never calibrated.</td></tr>
        @endforelse
    </table>
    <x-slot:act><a href="{{ route('checks.show', $pair) }}">Check buffers</a><a class="do" href="{{ route('runs.create', $pair) }}" data-primary>Calibrate <kbd>Enter</kbd></a></x-slot>
    <x-slot:evidence>
        <h2>Electrode</h2>
        <dl><dt>{{ $pair->electrode->name }}</dt><dd>{{ $pair->electrode->kind }}<br>in use since {{ Rheacid\Plant::day($pair->electrode->first_used_on) }}</dd><dt>{{ $pair->meter->name }}</dt><dd>shows {{ Rheacid\Core\Numbers::plain($pair->meter->resolution_ph) }} pH, {{ $pair->meter->shows_mv ? Rheacid\Core\Numbers::plain($pair->meter->resolution_mv) . ' mV' : 'no mV' }}</dd></dl>
        <h2>Care</h2>
        <dl>
            @forelse ($pair->electrode->careEvents->reverse() as $event)
                <dt>{{ str_replace('-', ' ', $event->kind) }}, {{ Rheacid\Plant::short($event->at) }}</dt><dd>{{ $event->note }}@if ($event->until_at), until {{ Rheacid\Plant::short($event->until_at) }}@endif ({{ $event->person->name }})</dd>
            @empty
                <dt>Nothing on record</dt><dd>no soak, no cleaning</dd>
            @endforelse
        </dl>
        <p class="note">Store the tip wet in 3 M KCl, never in distilled water: it leaches the reference.</p>
    </x-slot>
</x-house>
