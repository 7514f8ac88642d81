@props(['calibration'])
@if ($calibration->slope_percent === null)
    the meter keeps slope and offset to itself
@else
    slope {{ Rheacid\Core\Numbers::fixed($calibration->slope_percent, 1) }} %, offset {{ Rheacid\Core\Numbers::fixed($calibration->offset_mv, 1) }} mV
@endif
