@props(['calibration', 'pair', 'check', 'method', 'ph' => null])
<h2>Based on</h2>
<dl>
    <dt><a class="nowrap" href="{{ route('pairs.show', $pair) }}">{{ $pair->electrode->code }}</a> on {{ $pair->name() }}</dt>
    <dd><x-state :is="Rheacid\View\Calibrate\CalibrationScreen::sign($calibration->verdict)"><a
        href="{{ route('calibrations.show', $calibration) }}">calibrated {{ Rheacid\Site\SiteClock::short($calibration->at) }}</a></x-state><br><x-slope
        :calibration="$calibration" :ph="$ph" /></dd>
    <dt>Bracket</dt>
    <dd>pH {{ Rheacid\Core\Numbers::fixed($calibration->bracket_low_ph, 2) }}–{{ Rheacid\Core\Numbers::fixed($calibration->bracket_high_ph, 2) }}, bottles
        @foreach ($calibration->points->filter(fn ($point) => $point->isFitted()) as $point)<a
            href="{{ route('lots.show', $point->lot_id) }}">{{ $point->lot->code }}</a>{{ $loop->last ? '' : ', ' }}@endforeach</dd>
    <dt><a href="{{ route('thermometers.show', $check->thermometer) }}">{{ $check->thermometer->name }}</a></dt>
    <dd><x-state :is="$check->toCore()->isFailed() ? 'fail' : ($check->due_at->isPast() ? 'care' : 'met')"><a
        href="{{ route('verifications.show', $check) }}">{{ $check->toCore()->isFailed() ? 'failed its check of'
        : 'checked' }} {{ Rheacid\Site\SiteClock::short($check->at) }}</a></x-state><br>{{ abs($check->corrected(20) - 20) < 0.0005 ? 'no correction'
        : 'correction ' . Rheacid\Core\Celsius::by($check->corrected(20) - 20, 1) . ' applied' }}</dd>
    <dt>Check buffer</dt>
    <dd><a href="{{ route('checks.show', $pair) }}">Read a check buffer, or see earlier ones</a></dd>
    <dt>Method</dt>
    <dd>{{ $method->name }}, version {{ $method->version }}</dd>
</dl>
