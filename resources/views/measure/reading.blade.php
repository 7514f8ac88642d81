@use(Rheacid\Core\Numbers)
@use(Rheacid\Site\SiteClock)
@php($reading = $screen->measurement)
@php($batch = $screen->batch)
@php($decision = $screen->decision)
@php($unit = $reading->acidityUnit())
<x-house :title="'Reading on ' . $batch->code" room="Batches">
    @if ($reading->successor)
        <p class="verdict"><x-state is="care">Corrected.</x-state> A newer entry replaces this one. <a
            href="{{ route('readings.show', $reading->successor) }}">Open the newer entry</a></p>
    @endif
    @if ($reading->isInDoubt())
        <p class="verdict"><x-state
            is="fail">In doubt.</x-state> {{ $reading->calibration->void->reason }} Measure a fresh sample with a new calibration.
            The decision below is the one made at the time.</p>
    @endif
    <p class="what">{{ $batch->product->name }} · batch <a
        href="{{ route('batches.show', $batch) }}"><b>{{ $batch->code }}</b></a> · {{ $reading->occasion->stage->words() }} · {{ $reading->sample->named() }},
        drawn {{ SiteClock::full($reading->sample->drawn_at) }}</p>
    <x-answer :lines="$screen->lines" :first="$screen->answer" />
    @if ($screen->isStale())
        <p class="verdict"><x-state
            is="care">Read {{ (int) $reading->sample->drawn_at->diffInMinutes($reading->observed_at) }} min after sampling, not kept cold.</x-state> A live
            sample goes on fermenting in its cup, so a deadline counts it from {{ SiteClock::short($reading->observed_at) }}, when it was read.</p>@endif
    <div class="big"><span class="n">{{ $screen->decided($decision->value) }}</span>@if ($decision->expanded_u !== null)<span
        class="pm">± {{ $screen->decidedBy($decision->expanded_u) }}</span>@endif<span
        class="unit">{{ trim($decision->measurand->name() . ($unit ? ', ' : ' ')
        . $screen->decidedUnit()) }}, the deciding portion<br>mean {{ $screen->decided($decision->mean) }}@unless ($decision->trusted) · <b>not
        trusted</b>@endunless</span></div>
    @if ($screen->rule)<x-acid-rule :rule="$screen->rule" />@endif
    <x-decision :lines="$screen->lines" />
    <p class="what">Judged {{ SiteClock::full($decision->at) }}{{ $decision->because->words() === null ? '' : ', '
        . $decision->because->words() }}. {{ $screen->lines->overall($decision->overall) }}</p>
    @if ($reading->superseded)
        <p class="verdict"><x-state is="idle">Correction.</x-state> {{ $reading->reason }} <a
            href="{{ route('readings.show', $reading->superseded) }}">Open the earlier entry</a></p>
    @endif
    <h2>Portions{{ $reading->measurand === Rheacid\Core\Measurands\Measurand::Ph ? '' : ': '
        . $reading->measurand->on((string) $reading->basis)->words() }}</h2>
    @if ($reading->calibration && $reading->titration === null)
        <x-replicates :replicates="$reading->replicates" :calibration="$reading->calibration" :meter="$reading->pair->meter" />
    @else
        <table class="stack"><caption class="visually-hidden">
            Portions{{ $reading->measurand === Rheacid\Core\Measurands\Measurand::Ph ? '' : ': ' . $reading->measurand->on((string) $reading->basis)->words() }}
            </caption>@foreach ($reading->replicates as $replicate)<tr><th scope="row">{{ $replicate->position }}</th>
            <td class="num">{{ $reading->quantity()->shown($replicate->value, $unit) }} {{ $reading->quantity()->unit($unit) }}</td>
            <td>{{ $replicate->shown_c === null ? '' : 'display ' . Rheacid\Core\Celsius::at($replicate->shown_c) }}{{ $replicate->expanded_u === null ? ''
                : '± ' . $reading->quantity()->shownBy($replicate->expanded_u, $unit, $reading->measurand->decimals() + 1) }}</td>
        </tr>@endforeach</table>
        @foreach ($screen->curves as $i => $curve)@if (count($screen->curves) > 1)<h2>Portion {{ $i + 1 }}</h2>@endif<x-titration :figure="$curve" />@endforeach
        @if ($screen->said !== [])
            <p>Expressed in {{ $reading->titration->unit()->words() }}. In g per {{ $reading->titration->sample_ml === null ? 'kg'
                : 'L' }}: {{ collect($screen->said)->map(fn ($grams, $acid) => Numbers::fixed($grams, 2) . ' as '
                . $acid)->join(', ') }}; {{ Numbers::fixed($screen->meq, 1) }} meq/{{ $reading->titration->sample_ml === null ? 'kg'
                : 'L' }}. Titrant {{ $reading->titration->standardisation->lot->code }}, {{ Numbers::fixed($reading->titration->standardisation->normality,
                4) }} N, standardised {{ SiteClock::short($reading->titration->standardisation->at) }}.@if ($reading->titration->sample_c !== null)
                Sample at {{ Rheacid\Core\Celsius::at($reading->titration->sample_c) }}{{ $reading->titration->compensation_c === $reading->titration->sample_c
                ? ', compensated' : '; the meter compensated at ' . Rheacid\Core\Celsius::at($reading->titration->compensation_c)
                . ', corrected in the curve' }}.@endif</p>@endif
        @php($bound = $screen->boundSo2())
        @if ($bound)<p @class(['verdict' => $bound['isImpossible']])>@if ($bound['isImpossible'])
            <x-state is="fail">Contradiction.</x-state> @endif{{ $bound['words'] }}</p>@endif
        @if ($screen->elsewhere?->so2_method?->caution())<p class="caution">{{ $screen->elsewhere->so2_method->caution() }}</p>@endif
        @if ($screen->elsewhere)
            <p>Measured by {{ $screen->elsewhere->measured_by }} with {{ $screen->elsewhere->measured_with }},
                {{ SiteClock::full($screen->elsewhere->measured_at) }}{{ $screen->elsewhere->certificate ? ', certificate ' . $screen->elsewhere->certificate
                : '' }}.</p>@endif
    @endif
    <x-slot:act>
        @can('correct', $reading)@unless ($reading->successor)<a href="{{ route('corrections.create', $reading) }}">Correct reading</a>@endunless @endcan
        @if ($screen->lacks !== [] && Gate::allows('record'))<a href="{{ route('batches.show', $batch) }}">Open batch {{ $batch->code }}</a><a class="do"
            href="{{ route('drafts.create', [$batch, 'joins' => $reading->occasion_id, 'place' => $screen->lacks[0]]) }}"
            data-primary>Measure {{ $screen->lacks[0] }} <kbd>Enter</kbd></a>@else<a class="do" href="{{ route('batches.show', $batch) }}"
            data-primary>Open batch {{ $batch->code }} <kbd>Enter</kbd></a>@endif
    </x-slot>
    <x-slot:evidence>
        @if ($reading->calibration && $reading->titration === null)<x-rests-on :calibration="$reading->calibration" :pair="$reading->pair"
            :check="$reading->verification" :method="$reading->method" :ph="$reading->replicates->max('value')" />@elseif ($reading->verification)
            <h2>Based on</h2><dl>
            <dt><a href="{{ route('verifications.show', $reading->verification) }}">{{ $reading->verification->thermometer->code }}</a></dt>
            <dd>checked {{ SiteClock::short($reading->verification->at) }}</dd></dl>@endif
        @if ($screen->budget)<h2>Uncertainty budget</h2><x-budget :bar="$screen->budget" />@endif
        @if (Gate::allows('record') && $reading->pair !== null && $reading->pair->parting === null)
            <h2>Clean the electrode</h2>
            <form class="hygiene" method="post" action="{{ route('care.store', $reading->pair) }}">
                <x-form-id />
                @foreach (Rheacid\Core\Care\CareKind::hygiene() as $kind)
                    <button class="do quiet" name="act"
                        value="{{ $kind->value }}">{{ ucfirst(Rheacid\Core\Words\CareWords::happened($kind)) }}</button>@endforeach
            </form>
            <p class="soft">{{ Rheacid\Core\Words\CareWords::how(Rheacid\Core\Care\CareKind::Sanitised, $reading->pair->electrode->kind) }}</p>
        @endif
        <h2>Recorded by</h2>
        <dl><dt>{{ $reading->person->name }}</dt>
            <dd>observed {{ SiteClock::full($reading->observed_at) }}<br>entered
                {{ SiteClock::full($reading->entered_at) }}@if (Rheacid\Core\Measuring\LateEntry::isLate($reading->observed_at,
                $reading->entered_at)) <br><x-state is="care">entered late</x-state>@endif</dd></dl>
        <p class="note">Your site’s food safety plan and local codes decide about the product. Rheacid shows which limit was met.</p>
    </x-slot>
</x-house>
