@php($calibration = $screen->calibration)
<x-house :title="'Calibration · ' . $calibration->pair->electrode->code . ' on ' . $calibration->pair->name()" room="Calibrate">
    <p class="what">{{ Rheacid\Site\SiteClock::full($calibration->at) }}, by {{ $calibration->people() }}, policy {{ $calibration->policy->name }} ·
        {{ $screen->source }}</p>
    <p class="verdict answer">
        <x-state :is="$screen->first->sign">{{ $screen->first->head }}</x-state> <span>{{ $screen->first->sentence }}
        @if ($screen->first->advice)<b>{{ $screen->first->advice }}</b>@endif</span></p>
    @foreach ($screen->doubts as $doubt)<p class="verdict"><x-state is="care">Not yet for critical or legal limits.</x-state> {{ $doubt }}</p>@endforeach
    @if ($screen->isUncertain)<p class="verdict"><x-state
        is="care">Not for critical or legal limits.</x-state> It may read acidic samples too low, so it cannot prove these limits.</p>@endif
    @if ($screen->figures->jump)<p class="verdict"><x-state is="care">The offset changed suddenly.</x-state> {{ $screen->figures->jump }}</p>@endif
    @if ($screen->figures->asFound)<p class="verdict"><x-state is="care">Earlier readings.</x-state> {{ $screen->figures->asFound }}</p>@endif
    @if ($diagnosis = $calibration->diagnosis)
        <div class="diagnosis">
            <p class="verdict"><x-state is="care">Likely cause.</x-state> {{ Rheacid\Core\Words\DiagnosisWords::likely($diagnosis, $screen->kind(),
                $calibration->alsoDiagnosed()) }}</p>
            <p>{{ Rheacid\Core\Words\DiagnosisWords::otherwise($diagnosis) }}</p>
            @if ($screen->nextStep)<p class="soft">Today lists it until it is done: {{ implode(', then ', array_map(Rheacid\Core\Words\CareWords::step(...),
                Rheacid\Core\Care\FollowUp::of($diagnosis, $screen->kind(), $calibration->alsoDiagnosed()))) }}.</p>@endif
        </div>
    @endif
    @foreach ($screen->findings as $finding)
        @continue(str_contains($screen->first->sentence, $finding['sentence']))
        <p class="verdict"><x-sign :is="$finding['sign']" /> <span>{{ $finding['sentence'] }} @if ($finding['advice'] && !$calibration->diagnosis
            && $finding['advice'] !== $screen->first->advice)<span class="soft">{{ $finding['advice'] }}</span>@endif</span></p>
    @endforeach
    @if ($calibration->void)<p class="verdict"><x-state
        is="fail">Voided.</x-state> {{ $calibration->void->reason }} ({{ $calibration->void->person->name }},
        {{ Rheacid\Site\SiteClock::short($calibration->void->at) }})</p>@endif
    @if ($calibration->fit === null)
        <div class="big"><span class="n">{{ Rheacid\Core\Numbers::fixed($calibration->read_back_error_ph, 2) }}</span><span
            class="unit">pH error at the read-back<br>{{ $calibration->slope_percent === null ? 'the meter does not show slope and offset'
            : 'shown by the meter: slope ' . $screen->figures->slope . ', offset ' . $screen->figures->offset }}</span></div>
    @elseif (!$screen->figures->hasSlope)
        <div class="big"><span class="n">One buffer</span><span
            class="unit">no slope measured: for screening only<br>offset {{ $screen->figures->offset }}</span></div>
    @else
        <div class="big"><span class="n">{{ Rheacid\Core\Numbers::fixed($calibration->slope_percent, 1) }}</span><span class="pm">% slope</span><span
            class="unit">offset {{ $screen->figures->offset }}@if ($calibration->read_back_error_ph !== null) · read-back error
            {{ Rheacid\Core\Numbers::fixed($calibration->read_back_error_ph, 3) }} pH @endif</span></div>
    @endif
    @if (count($screen->line?->lines() ?? []) > 1)<p class="what">Slope {{ $screen->figures->slope }}</p>@endif
    @if ($screen->line)<x-response-line :figure="$screen->line" :slope="$screen->figures->slope" :offset="$screen->figures->offset" />@endif
    <table class="stack">
        <caption class="visually-hidden">{{ 'Calibration · ' . $calibration->pair->electrode->code . ' on ' . $calibration->pair->name() }}</caption>
        <thead><tr><th scope="col">Buffer</th><th scope="col">Bottle</th><th scope="col">Display</th><th scope="col">{{ Rheacid\Core\Celsius::unit() }}</th>
            <th scope="col">Response time</th><th scope="col">As found</th><th scope="col">As left</th></tr></thead>
        @foreach ($calibration->points as $point)
            <tr>
                <td class="num">{{ Rheacid\Core\Numbers::fixed($point->buffer_ph, 3) }} <small>{{ $point->isFitted() ? '' : 'read-back' }}</small></td>
                <td><a class="cell-link" href="{{ route('lots.show', $point->lot) }}">{{ $point->lot->code }}</a></td>
                <td>{{ $point->shown() }}</td>
                <td>{{ Rheacid\Core\Celsius::bare($point->celsius, 1) }} <small class="soft">{{ $point->thermometer?->code ?? 'own probe' }}</small></td>
                <td>@if ($point->settled){{ Rheacid\Core\Words\StateWords::response($point->response_time_s) }}@else<x-state
                    is="care">accepted before it was stable</x-state>@endif @if ($point->stability === Rheacid\Core\Settling\Stability::Said)<br><span
                    class="soft">stable by the checker’s word</span>@endif @if ($point->reasons() !== '')<br><span
                    class="soft">{{ $point->reasons() }}</span>@endif @if ($point->twin)<br><x-state
                    is="care">may be {{ $point->twin }}</x-state>@endif @if ($point->against_recognition)<br><x-state
                    is="care">reads like another buffer</x-state>@endif</td>
                <td>@if ($point->as_found_ph === null)–@else<x-state
                    :is="$screen->asFoundSign($point)">{{ Rheacid\Core\Numbers::fixed($point->asFoundError(), 3) }} pH off</x-state>@endif</td>
                <td>{{ $screen->asLeft($point) }}</td>
            </tr>
        @endforeach
    </table>
    <x-slot:act>
        @if ($calibration->pair->parting)
            @can('record')<a class="do" href="{{ route('pairing') }}" data-primary>Pair meter and electrode <kbd>Enter</kbd></a>@endcan
        @elseif (!$screen->isInForce)
            @if ($screen->nextStep)<a href="{{ route('runs.create', $calibration->pair_id) }}">Calibrate again</a><a class="do"
                href="{{ route('pairs.show', $calibration->pair_id) }}"
                data-primary>{{ ucfirst(Rheacid\Core\Words\CareWords::step($screen->nextStep)) }} <kbd>Enter</kbd></a>
            @else<a class="do" href="{{ route('runs.create', $calibration->pair_id) }}" data-primary>Calibrate again <kbd>Enter</kbd></a>@endif
        @elseif ($screen->doubts !== [])
            <a href="{{ route('runs.create', $calibration->pair_id) }}">Calibrate again</a>
            <a href="{{ route('measure') }}">Measure a batch</a>
            <a class="do" href="{{ route('checks.show', $calibration->pair_id) }}" data-primary>Read a check buffer <kbd>Enter</kbd></a>
        @else
            <a href="{{ route('runs.create', $calibration->pair_id) }}">Calibrate again</a>
            <a href="{{ route('checks.show', $calibration->pair_id) }}">Read a check buffer</a>
            <a class="do" href="{{ route('measure') }}" data-primary>Measure a batch <kbd>Enter</kbd></a>
        @endif
    </x-slot>
    <x-slot:evidence>
        <h2>Policy</h2>
        <dl>
            <dt>{{ $calibration->policy->name }}, version {{ $calibration->policy->version }}</dt>
            <dd>slope {{ Rheacid\Core\Numbers::plain($calibration->policy->slope_low_percent) }}–{{ Rheacid\Core\Numbers::plain($calibration->policy
                ->slope_high_percent) }} %<br>read-back within {{ Rheacid\Core\Numbers::plain($calibration->policy
                ->read_back_limit_ph) }} pH<br>@if ($calibration->policy->response_time_s) response up to {{ Rheacid\Core\Numbers::plain($calibration->policy
                ->response_time_s) }} s @endif</dd>
            <dt>Pair</dt><dd><a href="{{ route('pairs.show', $calibration->pair_id) }}">{{ $calibration->pair->electrode->code }} on
                {{ $calibration->pair->name() }}</a></dd>
            <dt>Calculated by</dt><dd>core {{ $calibration->core_version }}</dd>
        </dl>
        <p><a href="{{ route('calibrations.certificate', $calibration) }}">Certificate</a> · <a href="{{ route('calibrations.pdf', $calibration) }}">PDF</a></p>
        <h2>History</h2>
        <dl>@foreach ($calibration->run->events as $event)<dt>{{ str_replace('-', ' ', $event->kind) }}</dt><dd>
            {{ $event->person->name }}, {{ Rheacid\Site\SiteClock::short($event->at) }}@if ($event->reason): {{ $event->reason }}@endif</dd>@endforeach</dl>
        <p class="note">{{ Rheacid\Core\Words\FindingWords::unseen() }}</p>
    </x-slot>
</x-house>
