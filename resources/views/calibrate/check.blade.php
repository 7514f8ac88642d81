@php($pair = $screen->pair)
@php($calibration = $pair->newestCalibration)
@php($writes = Gate::allows('record'))
<x-house :title="'Check buffer · ' . $pair->electrode->code . ' on ' . $pair->name()" room="Calibrate">
    @if (session('failed'))<p class="verdict" role="alert"><x-state is="fail">Check failed.</x-state> {{ session('failed') }}</p>@endif
    @php($newest = $screen->checks->first())
    @if ($screen->standing !== [] && !session('failed'))<p class="verdict answer"><x-state is="care">In doubt.</x-state> <span>{{ $screen->standing[0] }}</span>
        </p>@endif
    @if ($newest && !session('failed'))<p @class(['verdict', 'answer' => $screen->standing === []])>
        <x-state :is="match ($newest->passed) { true => 'met', false => 'fail', null => 'care' }">{{ match ($newest->passed) { true => 'Passed.',
        false => 'Failed.', null => 'Does not count.' } }}</x-state> <span>{{ $newest->error() > 0 ? '+' : '' }}{{ Rheacid\Core\Numbers::fixed($newest->error(),
        3) }} pH error in {{ $newest->lot->code }}; ± {{ Rheacid\Core\Numbers::plain($newest->limit_ph) }} is allowed;
        {{ Rheacid\Site\SiteClock::short($newest->at) }}. <b>{{ match ($newest->passed) { true => '',
        false => 'Calibrate. Then measure a fresh sample of each batch read since.', null => 'Read it again and wait until it is stable.' } }}</b></span>
        </p>@endif
    @if ($calibration === null || $calibration->void !== null || $calibration->verdict === Rheacid\Core\Electrode\Verdict::Fail)
        <p class="verdict"><x-state is="care">Nothing to check.</x-state> This pair has no valid calibration. <a
            href="{{ route('runs.create', $pair) }}">Calibrate</a></p>
    @elseif ($writes)
        @foreach (array_slice($screen->standing, 1) as $doubt)<p class="verdict"><x-state is="care">In doubt.</x-state> {{ $doubt }}</p>@endforeach
        <form id="accept" method="post" action="{{ route('checks.store', $pair) }}" data-keep>
            <x-form-id />
            @if (is_string(request('round', old('round'))))<input type="hidden" name="round" value="{{ request('round', old('round')) }}">@endif
            <div class="fields">
                <x-choice name="lot" label="Check buffer" help="a bottle that this calibration did not use"
                    :options="collect($screen->bottles)->mapWithKeys(fn ($bottle) => [$bottle->code => $bottle->label . ' · ' . $bottle->code . ' · '
                    . Rheacid\Queries\Ready\Bottles::left($bottle->status())])" />
                <x-choice name="thermometer" label="Temperature in the cup read by" :options="$screen->thermometers->options"
                    :value="$screen->thermometers->usual" />
                @if ($screen->live)<x-field name="cup_c" label="Temperature by that thermometer (optional)"
                    :help="'if it is not the meter’s own probe; ' . Rheacid\Core\Celsius::example()" inputmode="decimal" />@endif
                <x-choice name="moment" label="When"
                    :options="collect(Rheacid\Models\SessionMoment::cases())->mapWithKeys(fn ($moment) => [$moment->value => $moment->words()])" />
            </div>
            @if ($screen->live)<input type="hidden" name="seen_s" value="{{ $screen->live->figure ? $screen->live->seenS : '' }}">@else
                <x-typed-reading :window="30" form="accept" :meter="$pair->meter" />@endif
        </form>
        @if ($screen->live)
            <x-live :live="$screen->live" />
            <details class="apart"><summary>Or type from a real meter</summary>
                <x-typed-reading :window="30" form="accept" :meter="$pair->meter" /><button class="do quiet apart" form="accept">Accept typed reading</button>
                </details>
            <x-bench-strip :cups="$screen->cups" :action="route('checks.immerse', $pair)" :current="$screen->live->cupId" :speed="$screen->live->speed"
                :next="$screen->live->next($screen->cups[0] ?? null)" />
        @endif
        <x-slot:act><x-accept-bar form="accept" label="Accept check" :live="$screen->live" /></x-slot>
    @endif
    @if ($screen->doubtful->isNotEmpty())
        <h2>Readings in doubt</h2>
        <ul class="todo">
            @foreach ($screen->doubtful as $reading)
                <li><div><b>{{ $reading->occasion->batch->code }} · pH {{ Rheacid\Core\Numbers::fixed($reading->occasion->decision->value,
                    2) }}</b><small>{{ Rheacid\Site\SiteClock::full($reading->observed_at) }}</small></div>
                    <a class="do quiet" href="{{ route('readings.show', $reading) }}">Open</a></li>
            @endforeach
        </ul>
    @endif
    @if ($screen->checks->isNotEmpty())
        <h2>Checks</h2>
        <x-check-chart :figure="$screen->chart" />
        <table class="stack">
            <caption class="visually-hidden">Checks</caption>
            <thead><tr><th scope="col">Time</th><th scope="col">Bottle</th><th scope="col">pH read</th><th scope="col">Error</th><th scope="col">Result</th>
                </tr></thead>
            @foreach ($screen->checks as $check)
                <tr>
                    <td class="nowrap">{{ Rheacid\Site\SiteClock::short($check->at) }}, {{ $check->moment->words() }}</td>
                    <td><a class="cell-link" href="{{ route('lots.show', $check->lot_id) }}">{{ $check->lot->code }}</a></td>
                    <td class="num">{{ Rheacid\Core\Numbers::fixed($check->ph, 2) }} <small>in {{ Rheacid\Core\Numbers::fixed($check->buffer_ph,
                        2) }}</small></td>
                    <td>{{ Rheacid\Core\Numbers::fixed($check->error(), 3) }}</td>
                    <td><x-state :is="match ($check->passed) { true => 'met', false => 'fail', null => 'care' }">{{ match ($check->passed) { true => 'within '
                        . Rheacid\Core\Numbers::plain($check->limit_ph), false => 'failed',
                        null => 'not stable: does not count' } }}{{ $check->source === Rheacid\Core\Measuring\Source::Simulated ? ', simulated'
                        : '' }}</x-state></td>
                </tr>
            @endforeach
        </table>
    @endif
    <x-slot:evidence>
        <h2>Why a check buffer</h2>
        <p>A calibration cannot detect a bad buffer, because the bottle confirms itself. A buffer from another lot can, best from another maker and near the
            limit.</p>
        <p>Critical limits need one at the start, every ten samples or two hours, and at the end.</p>
        @if ($calibration)
            <h2>Calibration</h2>
            <dl><dt><a href="{{ route('calibrations.show', $calibration) }}">{{ Rheacid\Site\SiteClock::short($calibration->at) }}</a></dt><dd>
                <x-slope :calibration="$calibration" /></dd><dt>Allowed error</dt><dd>{{ Rheacid\Core\Numbers::plain($pair->policy->read_back_limit_ph) }} pH
                </dd></dl>
        @endif
    </x-slot>
</x-house>
