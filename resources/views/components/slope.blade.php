@props(['calibration', 'ph' => null])
{{-- ph: of a reading, so that the slope of the segment is named that it rests on. --}}
@php($fit = $calibration->fitted())
@php($segment = $ph === null || $fit === null || count($fit->segments) === 1 ? null : $fit->segmentAt($ph))
@if ($calibration->bracket_low_ph >= $calibration->bracket_high_ph)
    one buffer: no slope measured, for screening only
@elseif ($calibration->slope_percent === null)
    the meter does not show slope and offset
@elseif ($segment)
    slope {{ Rheacid\Core\Numbers::fixed($segment->percent(), 1) }} % from pH {{ Rheacid\Core\Numbers::fixed($segment->fromPh,
        2) }} to {{ Rheacid\Core\Numbers::fixed($segment->toPh, 2) }}, offset {{ Rheacid\Core\Numbers::fixed($segment->offsetMv, 1) }} mV
@else
    slope {{ Rheacid\Core\Numbers::fixed($calibration->slope_percent, 1) }} %, offset {{ Rheacid\Core\Numbers::fixed($calibration->offset_mv, 1) }} mV
@endif
