@php($screen = $certificate->screen)
@php($calibration = $screen->calibration)
@php($pair = $calibration->pair)
<table>
    <tr><th>Electrode</th><td>{{ $pair->electrode->code }} · {{ $pair->electrode->name }}, {{ $pair->electrode->kind->words() }}</td></tr>
    <tr><th>Readings</th><td>{{ $screen->source }}</td></tr>
    <tr><th>On meter</th><td>{{ $pair->name() }}; the calibration is valid for this pair only</td></tr>
    <tr><th>Calibrated</th><td>
        {{ Rheacid\Site\SiteClock::full($calibration->at) }},
        by {{ $calibration->people() }}, policy {{ $calibration->policy->name }} version {{ $calibration->policy->version }}</td></tr>
    @foreach ($calibration->points as $point)
        <tr>
            <th>{{ $point->isFitted() ? 'Fitted' : 'Read-back' }}</th>
            <td>{{ $point->lot->label }}, bottle {{ $point->lot->code }}: pH {{ Rheacid\Core\Numbers::fixed($point->buffer_ph,
                3) }} at {{ Rheacid\Core\Celsius::at($point->celsius, 1) }} by {{ $point->thermometer === null ? 'the meter’s own probe'
                : $point->thermometer->code . ($point->verification === null ? ' (never checked)' : ' (checked '
                . Rheacid\Site\SiteClock::short($point->verification->at) . ')') }}, display {{ $point->shown() }}, {{ $point->settled ? 'response time: '
                . Rheacid\Core\Words\StateWords::response($point->response_time_s)
                : 'accepted before it was stable' }}{{ $point->stability === Rheacid\Core\Settling\Stability::Said ? ', stable by the checker’s word'
                : '' }}{{ $point->reasons() === '' ? '' : ', reason: ' . $point->reasons() }}{{ $point->twin ? ', may be ' . $point->twin
                : '' }}{{ $point->against_recognition ? ', reads like another buffer' : '' }}; as found {{ $point->as_found_ph === null ? 'not known' : 'error '
                . Rheacid\Core\Numbers::fixed($point->asFoundError(), 3) . ' pH' }}, as left {{ $screen->asLeft($point) }}</td>
        </tr>
    @endforeach
    @php($policy = $calibration->policy)
    @php([$low, $high] = [Rheacid\Core\Numbers::plain($policy->slope_low_percent), Rheacid\Core\Numbers::plain($policy->slope_high_percent)])
    <tr><th>Slope</th><td>{{ $screen->figures->slope }}{{ $screen->figures->hasSlope ? ' of the ideal' : '' }}; the policy requires {{ $low }} to {{ $high }} %
        </td></tr>
    <tr><th>Offset</th><td>{{ $screen->figures->offset }} at pH 7{{ $calibration->zero_point_ph === null ? '' : ', zero point pH '
        . Rheacid\Core\Numbers::fixed($calibration->zero_point_ph, 2) }}</td></tr>
    <tr><th>Read-back</th><td>{{ $calibration->read_back_error_ph === null ? 'none' : 'error ' . Rheacid\Core\Numbers::fixed($calibration->read_back_error_ph,
        3) . ' pH' }}; the policy allows {{ Rheacid\Core\Numbers::plain($calibration->policy->read_back_limit_ph) }} pH</td></tr>
    <tr><th>Verdict</th><td><strong>{{ $screen->first->head }}</strong> {{ implode(' ', array_column($screen->findings, 'sentence')) }}</td></tr>
    @foreach ($calibration->run->events as $event)@continue($event->kind !== 'asked')<tr><th>Asked at the start</th><td>{{ $event->reason }}</td></tr>
        @endforeach
    @foreach ($screen->doubts as $doubt)<tr><th>In doubt</th><td>{{ $doubt }}</td></tr>@endforeach
    @if ($screen->figures->asFound)<tr><th>As found</th><td>{{ $screen->figures->asFound }}</td></tr>@endif
    @if ($calibration->void)<tr><th>Voided</th><td>
        {{ Rheacid\Site\SiteClock::full($calibration->void->at) }}, by {{ $calibration->void->person->name }}: {{ $calibration->void->reason }}</td></tr>@endif
    <tr><th>Bracket</th><td>
        pH {{ Rheacid\Core\Numbers::fixed($calibration->bracket_low_ph, 2) }} to {{ Rheacid\Core\Numbers::fixed($calibration->bracket_high_ph, 2) }}</td></tr>
    <tr><th>Due again</th><td>{{ Rheacid\Site\SiteClock::full($calibration->due_at) }} at the latest, and at once after anything that may change the electrode
        </td></tr>
</table>
<p>{{ Rheacid\Core\Words\FindingWords::unseen() }} Calculated by core {{ $calibration->core_version }}. Ledger head at printing: {{ $certificate->head }}</p>
