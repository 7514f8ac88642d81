@php($pair = $screen->pair)
@php($order = $screen->order)
@php($simulated = $screen->simulated)
@php($expected = $screen->expected)
@php($buffers = $screen->buffers)
@php($asked = $errors->has('answer') ? Illuminate\Support\Str::before($errors->first('answer'), ' Begin all the same, or choose otherwise.') : $screen->asked)
<x-house :title="'Calibrate · ' . $pair->electrode->code . ' on ' . $pair->name()" room="Calibrate">
    @if ($screen->open)
        <p class="verdict"><x-state is="care">In hand.</x-state> {{ $screen->open->holder->name }} is calibrating this pair since {{ Rheacid\SiteClock::short($screen->open->opened_at) }}. <a href="{{ route('runs.show', $screen->open) }}">Open that run</a></p>
    @endif
    @if ($screen->step)<p class="verdict"><x-state is="care">First:</x-state> {{ Rheacid\Core\Words\CareWords::step($screen->step) }}. <a href="{{ route('pairs.show', $pair) }}">To its care</a></p>@endif
    @if (Gate::allows('record'))
    <form id="open-run" method="post" action="{{ route('runs.store', $pair) }}">
        <x-form-id />
        <h2>Buffers</h2>
        <details class="plan" @if ($errors->any() || $order === []) open @endif><summary>{{ $screen->line() }}<span> · change</span></summary>
        <div class="fields apart">
            @foreach (range(0, 4) as $i)
                <x-field name="lots[{{ $i }}]" :label="['First', 'Second', 'Third', 'Fourth', 'Fifth'][$i] . ($i > 1 ? ' (may stay empty)' : '')" :class="$i > max(2, count($order) - 1) ? 'more' : ''">
                    <select class="form-select" id="f-lots-{{ $i }}" name="lots[{{ $i }}]">
                        <option value="">none</option>
                        @foreach ($screen->usable() as ['line' => $bottle, 'words' => $words])
                            <option value="{{ $bottle->code }}" @selected(old("lots.$i", $order[$i] ?? '') === $bottle->code)>{{ $bottle->label }} · {{ $bottle->code }} · {{ $words }}</option>
                        @endforeach
                        @if ($screen->barred() !== [])<optgroup label="Not to be used">@foreach ($screen->barred() as ['line' => $bottle, 'words' => $words])<option value="{{ $bottle->code }}" @selected(old("lots.$i", '') === $bottle->code)>{{ $bottle->label }} · {{ $bottle->code }} · {{ $words }}</option>@endforeach</optgroup>@endif
                    </select>
                </x-field>
            @endforeach
            <x-field name="read_back" label="Read back in">
                <select class="form-select" id="f-read_back" name="read_back">
                    <option value="">the first one again</option>
                    @foreach ($screen->usable() as ['line' => $bottle])<option value="{{ $bottle->code }}" @selected(old('read_back', $screen->readBack ?? '') === $bottle->code)>{{ $bottle->label }} · {{ $bottle->code }}</option>@endforeach
                </select>
            </x-field>
        </div>
        @error('lots')<p class="problem">{{ $message }}</p>@enderror
        @error('read_back')<p class="problem">{{ $message }}</p>@enderror
        <p class="form-text">Two about 3 pH apart at least, up to five. A bottle that is not fitted, read back at the end, counts as the independent check as well.</p>
        <details class="apart"><summary>Order and line: {{ Rheacid\View\PolicyWords::order($pair->policy->buffer_order) }}, {{ Rheacid\View\PolicyWords::fit($pair->policy->fit) }}</summary>
            <div class="fields apart">
                <x-field name="order" label="Order"><select class="form-select" id="f-order" name="order">@foreach (Rheacid\Core\Solutions\BufferOrder::cases() as $school)<option value="{{ $school->value }}" @selected(old('order', $pair->policy->buffer_order->value) === $school->value)>{{ Rheacid\View\PolicyWords::order($school) }}</option>@endforeach</select></x-field>
                <x-field name="fit" label="Line"><select class="form-select" id="f-fit" name="fit">@foreach (Rheacid\Core\Electrode\FitMethod::cases() as $fit)<option value="{{ $fit->value }}" @selected(old('fit', $pair->policy->fit->value) === $fit->value)>{{ Rheacid\View\PolicyWords::fit($fit) }}</option>@endforeach</select></x-field>
            </div>
        </details>
        </details>
        <h2>Where the readings come from</h2>
        @if ($simulated)
            <label class="form-check"><input class="form-check-input" type="radio" name="source" value="simulated" @checked(old('source', $screen->source->value) === 'simulated')> the simulated bench</label> <a class="cell-link" href="{{ route('bench.show', $pair) }}">set its scene</a>
        @endif
        <label class="form-check"><input class="form-check-input" type="radio" name="source" value="typed" @checked(old('source', $screen->source->value) === 'typed')> typed: the {{ $pair->meter->shows_mv ? 'mV' : 'pH' }} and {{ Rheacid\Core\Celsius::unit() }} that a real meter shows</label>
        @if ($asked !== '')
            <p class="verdict"><x-state is="care">Asked.</x-state> {{ $asked }}</p>
            <input type="hidden" name="seen" value="{{ $asked }}">
            <x-field name="answer" label="Why all the same (may stay empty)" class="apart wide" maxlength="400" />
        @endif
        @if ($screen->status->state === Rheacid\Core\Care\PairState::Soaking)
            <x-field name="soak_reason" label="Why before the soak is over" class="apart wide" maxlength="400" :help="'The glass soaks until ' . Rheacid\SiteClock::short($screen->status->until) . '. A dry glass drifts; waiting is better.'" />
        @endif
    </form>
    @else
        <p class="what">Checkers and leads do this. What was recorded can be read.</p>
    @endif
    @if ($pair->meter->shows_mv && Gate::allows('record'))
        <h2>Or from the log of a meter</h2>
        <x-log-form :action="route('logs.pair', $pair)" />
        @if ($simulated)<p class="form-text">To try it: <a href="{{ route('logs.sample', $pair) }}">a log of the simulated bench</a>.</p>@endif
    @endif
    <x-slot:act>
        @can('record')<button class="do" form="open-run" data-primary>{{ $asked === '' ? 'Begin with the first buffer' : 'Begin all the same' }} <kbd>Enter</kbd></button>@endcan
    </x-slot>
    <x-slot:evidence>
        <h2>Pair</h2>
        <dl>
            <dt>{{ $pair->electrode->code }} on {{ $pair->name() }}</dt>
            <dd><x-pair-state :status="$screen->status" /></dd>
            @if ($last = $pair->newestCalibration)
                <dt>Last calibration</dt>
                <dd><a href="{{ route('calibrations.show', $last) }}">{{ Rheacid\SiteClock::short($last->at) }}</a>, <x-slope :calibration="$last" /></dd>
            @endif
            <dt>Policy {{ $pair->policy->name }}</dt>
            <dd>slope {{ Rheacid\Core\Numbers::plain($pair->policy->slope_low_percent) }}–{{ Rheacid\Core\Numbers::plain($pair->policy->slope_high_percent) }} %, read-back within {{ Rheacid\Core\Numbers::plain($pair->policy->read_back_limit_ph) }} pH, {{ Rheacid\View\PolicyWords::interval($pair->policy) }}; {{ Rheacid\View\PolicyWords::buffers($pair->policy) }}</dd>
        </dl>
        <h2>Why these buffers</h2>
        @if ($expected === [])
            <p>No batch is running.</p>
        @else
            <p>Today’s batches are expected at pH {{ Rheacid\Core\Numbers::fixed(min(array_column($expected, 0)), 1) }}–{{ Rheacid\Core\Numbers::fixed(max(array_column($expected, 1)), 1) }}. @if ($buffers->brackets()) These bottles bracket them. @elseif ($buffers->points !== []) These come nearest; a reading outside is marked and less certain. @endif</p>
        @endif
        @foreach ($buffers->rejected as $rejected)
            <p class="soft">{{ $rejected['lot'] }}: {{ $rejected['reason'] === 'expired' ? 'expired' : 'used up' }}</p>
        @endforeach
    </x-slot>
</x-house>
