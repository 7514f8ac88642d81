@php($pair = $screen->pair)
@php($order = $screen->proposal->order)
@php($simulated = $screen->simulated)
@php($expected = $screen->expected)
@php($buffers = $screen->proposal->plan)
@php($asked = $errors->has('answer') ? preg_replace('/ (Start anyway|Give a reason), or change your choice\.$/', '', $errors->first('answer')) : $screen->asked)
<x-house :title="'Calibrate · ' . $pair->electrode->code . ' on ' . $pair->name()" room="Calibrate">
    @if ($screen->open)
        <p class="verdict"><x-state
            is="care">Calibration in progress.</x-state> {{ $screen->open->holder->name }} has been calibrating this pair since
            {{ Rheacid\Site\SiteClock::short($screen->open->opened_at) }}. <a href="{{ route('runs.show', $screen->open) }}">Open it</a></p>
    @endif
    @if ($screen->step)<p class="verdict"><x-state is="care">First:</x-state> {{ Rheacid\Core\Words\CareWords::step($screen->step) }}. <a
        href="{{ route('pairs.show', $pair) }}">Open electrode care</a></p>@endif
    @if (Gate::allows('record'))
    <form id="open-run" method="post" action="{{ route('runs.store', $pair) }}">
        <x-form-id />
        <h2>Buffers</h2>
        <details class="plan" @if ($errors->any() || $order === []) open @endif><summary>{{ $screen->line() }}<span> · change</span></summary>
        <div class="fields apart">
            @foreach (range(0, 4) as $i)
                <x-field name="lots[{{ $i }}]" :label="['First', 'Second', 'Third', 'Fourth', 'Fifth'][$i] . ($i > 1 ? ' (optional)' : '')"
                    :class="$i > max(2, count($order) - 1) ? 'more' : ''">
                    <select class="form-select" id="f-lots-{{ $i }}" name="lots[{{ $i }}]">
                        <option value="">none</option>
                        @foreach ($screen->usable() as ['line' => $bottle, 'words' => $words])
                            <option value="{{ $bottle->code }}" @selected(old("lots.$i", $order[$i] ?? '') === $bottle->code)>
                                {{ $bottle->label }} · {{ $bottle->code }} · {{ $words }}</option>
                        @endforeach
                        @if ($screen->barred() !== [])<optgroup label="Not usable">@foreach ($screen->barred() as ['line' => $bottle, 'words' => $words])
                            <option value="{{ $bottle->code }}" @selected(old("lots.$i", '') === $bottle->code)>
                            {{ $bottle->label }} · {{ $bottle->code }} · {{ $words }}</option>@endforeach</optgroup>@endif
                    </select>
                </x-field>
            @endforeach
            <x-field name="read_back" label="Read-back buffer">
                <select class="form-select" id="f-read_back" name="read_back">
                    <option value="">the first buffer again</option>
                    @foreach ($screen->usable() as ['line' => $bottle])
                        <option value="{{ $bottle->code }}" @selected(old('read_back', $screen->proposal->readBack ?? '') === $bottle->code)>
                        {{ $bottle->label }} · {{ $bottle->code }}</option>@endforeach
                </select>
            </x-field>
        </div>
        @error('lots')<p class="problem">{{ $message }}</p>@enderror
        @error('read_back')<p class="problem">{{ $message }}</p>@enderror
        <p class="form-text">Two to five buffers, at least two of them about 3 pH apart. A different bottle as read-back buffer also counts as the independent
            check.</p>
        @php([$order, $line] = [Rheacid\View\Ready\PolicyWords::order($pair->policy->buffer_order), Rheacid\View\Ready\PolicyWords::fit($pair->policy->fit)])
        <details class="apart"><summary>Order and calibration line: {{ $order }}, {{ $line }}</summary>
            <div class="fields apart">
                <x-choice name="order" label="Order" :options="collect(Rheacid\Core\Solutions\BufferOrder::cases())->mapWithKeys(fn ($one) => [$one
                    ->value => Rheacid\View\Ready\PolicyWords::order($one)])" :value="$pair->policy->buffer_order->value" />
                <x-choice name="fit" label="Calibration line" :options="collect(Rheacid\Core\Electrode\FitMethod::cases())->mapWithKeys(fn ($one) => [$one
                    ->value => Rheacid\View\Ready\PolicyWords::fit($one)])" :value="$pair->policy->fit->value" />
            </div>
        </details>
        </details>
        <x-radios name="source" label="Readings" class="apart"
            :options="($simulated ? ['simulated' => 'from the simulated bench'] : []) + ['typed' => 'typed from a real meter: ' . ($pair->meter->shows_mv ? 'mV'
            : 'pH') . ' and ' . Rheacid\Core\Celsius::unit()]" :value="$screen->source->value" />
        <x-choice name="thermometer" class="apart" label="Buffer temperature read by" help="the thermometer that stands in the cups"
            :options="$screen->thermometers->options" :value="$screen->thermometers->usual" />
        @if ($simulated)<a class="cell-link" href="{{ route('bench.show', $pair) }}">Set up the simulated bench</a>@endif
        @if ($asked !== '')
            <p class="verdict"><x-state is="care">Please check.</x-state> {{ $asked }}</p>
            <input type="hidden" name="seen" value="{{ $asked }}">
            <x-field name="answer" :label="str_contains($asked, Rheacid\Core\Electrode\RunQuestion::OneUseMore->words()) ? 'Reason to continue'
                : 'Reason to continue (optional)'" class="apart wide" maxlength="400" />
        @endif
        @if ($screen->status->state === Rheacid\Core\Care\PairState::Soaking)
            <x-field name="soak_reason" label="Reason not to wait for the soak" class="apart wide" maxlength="400"
                :help="'The electrode soaks until ' . Rheacid\Site\SiteClock::short($screen->status->until)
                . '. A dry electrode drifts; it is better to wait.'" />
        @endif
    </form>
    @else
        <p class="what">Auditors read here and record nothing.</p>
    @endif
    @if ($pair->meter->shows_mv && Gate::allows('record'))
        <h2>Or from a meter’s log</h2>
        <x-log-form :action="route('logs.pair', $pair)" />
        @if ($simulated)<p class="form-text">To try it, use <a href="{{ route('logs.sample', $pair) }}">a sample log from the simulated bench</a>.</p>@endif
    @endif
    <x-slot:act>
        @can('record')<button class="do" form="open-run" data-primary>{{ $asked === '' ? 'Start calibration'
            : 'Start anyway' }} <kbd>Enter</kbd></button>@endcan
    </x-slot>
    <x-slot:evidence>
        <h2>Pair</h2>
        <dl>
            <dt>{{ $pair->electrode->code }} on {{ $pair->name() }}</dt>
            <dd><x-pair-state :status="$screen->status" /></dd>
            @if ($last = $pair->newestCalibration)
                <dt>Last calibration</dt>
                <dd><a href="{{ route('calibrations.show', $last) }}">{{ Rheacid\Site\SiteClock::short($last->at) }}</a>, <x-slope :calibration="$last" /></dd>
            @endif
            <dt>Policy {{ $pair->policy->name }}</dt>
            <dd>slope {{ Rheacid\Core\Numbers::plain($pair->policy->slope_low_percent) }}–{{ Rheacid\Core\Numbers::plain($pair->policy->slope_high_percent) }}
                %, read-back within {{ Rheacid\Core\Numbers::plain($pair->policy->read_back_limit_ph) }} pH,
                {{ Rheacid\View\Ready\PolicyWords::interval($pair->policy) }}; {{ Rheacid\View\Ready\PolicyWords::buffers($pair->policy) }}</dd>
        </dl>
        <h2>Why these buffers</h2>
        @if ($expected === [])
            <p>No batch is running, so any two buffers about 3 pH apart will do.</p>
        @else
            <p>Today’s batches are expected at pH {{ Rheacid\Core\Numbers::fixed(min(array_column($expected, 0)),
                1) }}–{{ Rheacid\Core\Numbers::fixed(max(array_column($expected, 1)),
                1) }}. @if ($buffers->brackets()) These bottles bracket them. @elseif ($buffers->points !== []) These come closest. Readings outside them are
                marked and less certain. @endif</p>
        @endif
        @foreach ($buffers->rejected as $rejected)
            <p class="soft">{{ $rejected['lot'] }}: {{ $rejected['reason'] === 'expired' ? 'expired' : 'used up' }}</p>
        @endforeach
    </x-slot>
</x-house>
