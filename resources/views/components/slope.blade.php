@props(['calibration'])
@if ($calibration->slope_percent === null)
    the meter does not show slope and offset
@else
    slope {{ Rheacid\Core\Numbers::fixed($calibration->slope_percent, 1) }} %, offset {{ Rheacid\Core\Numbers::fixed($calibration->offset_mv, 1) }} mV
@endif
