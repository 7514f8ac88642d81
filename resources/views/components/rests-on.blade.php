@props(['calibration', 'pair', 'check', 'method'])
<h2>Rests on</h2>
<dl>
    <dt><a class="nowrap" href="{{ route('pairs.show', $pair) }}">{{ $pair->electrode->code }}</a> on {{ $pair->name() }}</dt>
    <dd><x-state :is="Rheacid\View\CalibrationScreen::sign($calibration->verdict)"><a href="{{ route('calibrations.show', $calibration) }}">calibrated {{ Rheacid\Plant::short($calibration->at) }}</a></x-state><br>slope {{ Rheacid\Core\Numbers::fixed($calibration->slope_percent, 1) }} %, offset {{ Rheacid\Core\Numbers::fixed($calibration->offset_mv, 1) }} mV</dd>
    <dt>Bracket</dt>
    <dd>pH {{ Rheacid\Core\Numbers::fixed($calibration->bracket_low_ph, 2) }}–{{ Rheacid\Core\Numbers::fixed($calibration->bracket_high_ph, 2) }}, bottles
        @foreach ($calibration->points->filter(fn ($point) => $point->isFitted()) as $point)<a href="{{ route('lots.show', $point->lot_id) }}">{{ $point->lot->code }}</a>{{ $loop->last ? '' : ', ' }}@endforeach</dd>
    <dt><a href="{{ route('thermometers.show', $check->thermometer) }}">{{ $check->thermometer->name }}</a></dt>
    <dd><x-state :is="$check->due_at->isPast() ? 'care' : 'met'">checked {{ Rheacid\Plant::short($check->at) }}</x-state><br>{{ $check->correction_c == 0 ? 'no correction' : 'correction ' . Rheacid\Core\Numbers::fixed($check->correction_c, 1) . ' °C applied' }}</dd>
    <dt>Method</dt>
    <dd>{{ $method->name }}, version {{ $method->version }}</dd>
</dl>
