@props(['replicates', 'calibration', 'meter' => null])
@php($calibratedAt = $calibration->calibrationFunction()->referenceCelsius())
<table class="stack">
    <thead><tr><th scope="col">Portion</th><th scope="col">pH</th><th scope="col">Temperature</th><th scope="col">Display</th><th scope="col">Response time</th>
        </tr></thead>
    @foreach ($replicates as $replicate)
        <tr>
            <th scope="row">{{ $replicate->position }}</th>
            <td class="num">{{ Rheacid\Core\Numbers::fixed($replicate->value, 2) }}@if ($replicate->outside_by_ph > 0) <small><x-state
                is="care">{{ Rheacid\Core\Numbers::fixed($replicate->outside_by_ph, 2) }} outside the buffers</x-state></small>@endif</td>
            <td>{{ Rheacid\Core\Celsius::at($replicate->celsius, 1) }} @if ($replicate->correction_c != 0)<span
                class="soft">(shown {{ Rheacid\Core\Celsius::bare($replicate->shown_c,
                1) }}, correction {{ Rheacid\Core\Celsius::bareBy($replicate->correction_c,
                1) }})</span>@endif @if (Rheacid\Core\Electrode\TemperatureGap::isFar($replicate->celsius, $calibratedAt))<small><x-state
                is="care">calibrated at {{ Rheacid\Core\Celsius::at($calibratedAt, 1) }}</x-state></small>@endif</td>
            <td>{{ $replicate->mv === null ? 'pH ' . Rheacid\Core\Numbers::fixed($replicate->shown_ph, 2) : Rheacid\Core\Numbers::fixed($replicate->mv, 1)
                . ' mV' }}</td>
            <td>@if ($replicate->settled){{ Rheacid\Core\Words\StateWords::response($replicate->response_time_s) }}@else<x-state
                is="care">accepted before it was stable</x-state>@endif @if ($replicate->stability === Rheacid\Core\Settling\Stability::Said)<x-state
                is="care">stable by the checker’s word</x-state>@endif @if ($replicate->reason)<span class="soft">{{ $replicate->reason }}</span>@endif <small
                class="soft">{{ $replicate->source->words() }}</small>@if ($replicate->dilution_parts > 0) <small
                class="soft">{{ Rheacid\Core\Measuring\SampleDilution::words($replicate->dilution_parts) }} water</small>@endif</td>
        </tr>
    @endforeach
    {{ $slot }}
</table>
@if ($meter && $first = $replicates->first())
    <p class="soft">{{ match (true) { $first->mv !== null => 'Temperature compensation by Rheacid, with the temperature of each portion',
        $meter->compensates => 'Temperature compensation by the meter’s sensor',
        default => 'Temperature compensation by the temperature set on the meter' } }}. An error of {{ Rheacid\Core\Celsius::by(1) }} would change the result by
        {{ Rheacid\Core\Numbers::fixed(abs(Rheacid\Core\Electrode\Nernst::compensationError($first->value, (float) $first->celsius, $first->celsius + 1)),
        3) }} pH. Compensation corrects the electrode, not the sample.</p>
@endif
