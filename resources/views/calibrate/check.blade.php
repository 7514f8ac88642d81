@php($pair = $screen->pair)
@php($calibration = $pair->newestCalibration)
@php($writes = Gate::allows('record'))
<x-house :title="'Check buffer · ' . $pair->electrode->code . ' on ' . $pair->name()" room="Calibrate">
    @if (session('failed'))<p class="verdict" role="alert"><x-state is="fail">Check failed.</x-state> {{ session('failed') }}</p>@endif
    @php($newest = $screen->checks->first())
    @if ($newest && !session('failed'))<p class="verdict answer"><x-state :is="match ($newest->passed) { true => 'met', false => 'fail', null => 'care' }">{{ match ($newest->passed) { true => 'Within.', false => 'Failed.', null => 'Vouches for nothing.' } }}</x-state> <span>{{ $newest->error() > 0 ? '+' : '' }}{{ Rheacid\Core\Numbers::fixed($newest->error(), 3) }} pH off in {{ $newest->lot->code }}, ± {{ Rheacid\Core\Numbers::plain($newest->limit_ph) }} is allowed; {{ Rheacid\SiteClock::short($newest->at) }}. <b>{{ match ($newest->passed) { true => '', false => 'Calibrate, and measure a fresh sample of what was read since.', null => 'Read it again, and wait until it stands still.' } }}</b></span></p>@endif
    @if ($calibration === null || $calibration->void !== null || $calibration->verdict === Rheacid\Core\Electrode\Verdict::Fail)
        <p class="verdict"><x-state is="care">Nothing to check.</x-state> This pair has no calibration in force. <a href="{{ route('runs.create', $pair) }}">Calibrate it</a></p>
    @elseif ($writes)
        <form id="accept" method="post" action="{{ route('checks.store', $pair) }}" data-keep>
            <x-form-id />
            @if (is_string(request('round', old('round'))))<input type="hidden" name="round" value="{{ request('round', old('round')) }}">@endif
            <div class="fields">
                <x-field name="lot" label="Bottle, not one that calibrated">
                    <select class="form-select" id="f-lot" name="lot">@foreach ($screen->bottles as $bottle)<option value="{{ $bottle->code }}" @selected(old('lot') === $bottle->code)>{{ $bottle->label }} · {{ $bottle->code }} · {{ Rheacid\Shelf\Bottles::left($bottle->status()) }}</option>@endforeach</select>
                </x-field>
                <x-field name="moment" label="Moment of the session">
                    <select class="form-select" id="f-moment" name="moment">@foreach (Rheacid\Models\SessionMoment::cases() as $moment)<option value="{{ $moment->value }}" @selected(old('moment') === $moment->value)>{{ $moment->words() }}</option>@endforeach</select>
                </x-field>
            </div>
            @if ($screen->live)<input type="hidden" name="seen_s" value="{{ $screen->live->figure ? $screen->live->seenS : '' }}">@else<x-typed-reading :window="30" form="accept" :meter="$pair->meter" />@endif
        </form>
        @if ($screen->live)
            <x-live :live="$screen->live" />
            <details class="apart"><summary>Or typed, from a real meter</summary><x-typed-reading :window="30" form="accept" :meter="$pair->meter" /><button class="do quiet apart" form="accept">Accept what was typed</button></details>
            <x-bench-strip :cups="$screen->cups" :action="route('checks.immerse', $pair)" :current="$screen->live->cupId" :speed="$screen->live->speed" :next="$screen->live->next($screen->cups[0] ?? null)" />
        @endif
        <x-slot:act><x-accept-bar form="accept" label="Accept the check" :live="$screen->live" /></x-slot>
    @endif
    @if ($screen->doubtful->isNotEmpty())
        <h2>Readings in doubt</h2>
        <ul class="todo">
            @foreach ($screen->doubtful as $reading)
                <li><div><b>{{ $reading->occasion->batch->code }} · pH {{ Rheacid\Core\Numbers::fixed($reading->occasion->decision->value, 2) }}</b><small>{{ Rheacid\SiteClock::full($reading->observed_at) }}</small></div><a class="do quiet" href="{{ route('readings.show', $reading) }}">Open</a></li>
            @endforeach
        </ul>
    @endif
    @if ($screen->checks->isNotEmpty())
        <h2>Checks</h2>
        <x-check-chart :figure="$screen->chart" />
        <table class="stack">
            <thead><tr><th>When</th><th>Bottle</th><th>Read</th><th>Off</th><th>Outcome</th></tr></thead>
            @foreach ($screen->checks as $check)
                <tr>
                    <td class="nowrap">{{ Rheacid\SiteClock::short($check->at) }}, {{ $check->moment->words() }}</td>
                    <td><a class="cell-link" href="{{ route('lots.show', $check->lot_id) }}">{{ $check->lot->code }}</a></td>
                    <td class="num">{{ Rheacid\Core\Numbers::fixed($check->ph, 2) }} <small>in {{ Rheacid\Core\Numbers::fixed($check->buffer_ph, 2) }}</small></td>
                    <td>{{ Rheacid\Core\Numbers::fixed($check->error(), 3) }}</td>
                    <td><x-state :is="match ($check->passed) { true => 'met', false => 'fail', null => 'care' }">{{ match ($check->passed) { true => 'within ' . Rheacid\Core\Numbers::plain($check->limit_ph), false => 'failed', null => 'had not settled: vouches for nothing' } }}{{ $check->source === Rheacid\Bench\Source::Simulated ? ', simulated' : '' }}</x-state></td>
                </tr>
            @endforeach
        </table>
    @endif
    <x-slot:evidence>
        <h2>Why</h2>
        <p>A run cannot see a bad buffer: the bottle confirms itself. A buffer of another lot, best of another maker and near the limit, can.</p>
        <p>A critical limit needs one at the start, every ten samples or two hours, and at the end.</p>
        @if ($calibration)
            <h2>Calibration</h2>
            <dl><dt><a href="{{ route('calibrations.show', $calibration) }}">{{ Rheacid\SiteClock::short($calibration->at) }}</a></dt><dd><x-slope :calibration="$calibration" /></dd><dt>Allowed</dt><dd>{{ Rheacid\Core\Numbers::plain($pair->policy->read_back_limit_ph) }} pH off</dd></dl>
        @endif
    </x-slot>
</x-house>
