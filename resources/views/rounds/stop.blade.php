@php($round = $screen->round)
@php($stop = $screen->stop)
@php($batch = $stop->batch)
@php($rules = $screen->rules())
@php($isCoded = $stop->cup_code !== null)
@php($isRepeat = $stop->cup() === Rheacid\Core\Sampling\Cup::Repeat)
@php($last = $screen->last['stop'] ?? null)
@php($meter = $round->pair->meter)
@php($writes = Gate::allows('record'))
@php($boxes = $rules->portions + ($errors->has('readings') ? 1 : 0))
<x-house :title="'Round · ' . $stop->position . ' of ' . $screen->stops->count()" room="Measure">
    @if ($screen->isCheckDue)
        <p class="verdict answer">
            <x-state is="care">Check buffer due.</x-state> <span>No check buffer covers {{ $round->pair->electrode->code }} now, so a reading would prove no
            binding limit. <b>Read the check buffer first.</b></span></p>
    @endif
    @if ($screen->last)
        @php($worst = $screen->last['lines']->worst())
        <p @class(['verdict', 'answer' => !$screen->isCheckDue && in_array($worst->sign, ['fail', 'care'], true)])>
            <x-state :is="$worst->sign">{{ $last->cup_code ? 'Cup ' . $last->cup_code . ', ' . $last->batch->vessel
            : ucfirst($last->batch->vessel) }}: {{ lcfirst($worst->head) }}.</x-state> <span>{{ $worst->tail }}
            @if ($screen->last['lines']->advice)<b>{{ $screen->last['lines']->advice }}</b>@endif</span></p>
    @endif
    <p class="stop"><span class="vessel">{{ $isCoded ? 'Cup ' . $stop->cup_code
        : $batch->vessel }}</span> <span>@if ($isCoded)read it as it comes; which vat it is from does not matter now @else{{ $isRepeat
        ? 'repeat, the second cup marked ' . $stop->second_code . ' · '
        : '' }}{{ $batch->code }} · {{ $batch->product->name }} · {{ $stop->place }} · {{ $stop->stage->words() }}@endif</span></p>
    @if (!$isCoded && !$isRepeat && $stop->second_code)<p class="verdict">
        <x-state is="idle">Two cups.</x-state> Draw both at once and mark the second one <b>{{ $stop->second_code }}</b>. You read it later as a repeat.
        </p>@endif
    <p class="what">Rinse and blot, then read this cup at {{ Rheacid\Core\Celsius::between($rules->lowC, $rules->highC) }}: {{ $rules->portions === 1
        ? 'one portion' : $rules->portions
        . ' portions' }}. Type what the display shows and watch it until the ring is full ({{ (int) $screen->windowS() }} s); a new number starts it again.</p>
    @if ($writes)
    <form id="read" method="post" action="{{ route('rounds.visit', [$round, $stop]) }}" data-keep data-chain>
        <x-form-id />
        @error('readings')<p class="problem" role="alert">{{ $message }}</p>@enderror
        <div class="lead-row"><div class="fields">
            @for ($i = 0; $i < $boxes; $i++)
                @php($label = ($meter->shows_mv ? 'Portion ' . ($i + 1) . ', mV' : 'Portion ' . ($i + 1) . ', pH display'))
                <x-field :name="'portions[' . $i . ']'" :label="$label" inputmode="decimal" enterkeyhint="next" :data-watched="'watched[' . $i . ']'"
                    :autofocus="!$screen->isCheckDue && $i === ($boxes > $rules->portions ? $boxes - 1 : 0)" />
                <input type="hidden" name="watched[{{ $i }}]" value="">
            @endfor
            <x-field name="celsius" :label="'Temperature by ' . $round->thermometer->code . ', ' . Rheacid\Core\Celsius::unit()" inputmode="decimal"
                enterkeyhint="done" />
            <x-sample-treatment :method="$batch->product->method" :last-ph="$screen->lastPh()" />
            @if ($round->is_still)
                <details class="wide" @if ($errors->has('reason') || old('reason')) open @endif><summary>This reading was not stable</summary>
                    <x-field name="reason" label="Reason to record it" help="it then proves nothing" maxlength="400" /></details>
            @else
                <x-tick name="still" class="wide" :checked="old('still')">Stable for {{ (int) $screen->windowS() }} s</x-tick>
                <x-field name="reason" label="If not stable: reason to record it" class="wide" maxlength="400" />
            @endif
        </div>
        <x-typed-ring :window="$screen->windowS()" /></div>
    </form>
    <details class="apart"><summary>{{ $isCoded || $isRepeat ? 'Skip' : 'Read live, skip' }}, or end the round</summary>
        @unless ($isCoded || $isRepeat)<p class="looks"><a
            href="{{ route('drafts.create', [$batch, 'stop' => $stop->id]) }}">Read this batch live or from a log file</a></p>@endunless
        <form method="post" action="{{ route('rounds.pass', $round) }}"><x-form-id /><input type="hidden" name="stop" value="{{ $stop->id }}">
            <div class="fields"><x-field name="reason" id="f-why" label="Reason to skip" :keeps="false" maxlength="400" /></div>
            <button class="do quiet apart">Skip this {{ $isCoded || $isRepeat ? 'cup' : 'batch' }}</button>
        </form>
        @if ($screen->leftCount() > 1)
        <form method="post" action="{{ route('rounds.pass', $round) }}"><x-form-id />
            <div class="fields"><x-field name="reason" id="f-end" label="Reason to end the round" :keeps="false" maxlength="400" /></div>
            <button class="do quiet apart">Skip all {{ $screen->leftCount() }} remaining</button>
        </form>
        @endif
    </details>
    <x-slot:act>
        <a href="{{ route('measure') }}">Continue later</a>
        @if ($screen->isCheckDue)
            <button class="do quiet" form="read">Record without check</button>
            @if ($screen->calibration === null || $screen->calibration->void !== null)
                <a class="do" href="{{ route('runs.create', $round->pair) }}" data-primary>Calibrate <kbd>Enter</kbd></a>
            @else
                <a class="do" href="{{ route('checks.show', [$round->pair, 'round' => $round->id]) }}" data-primary>Read check buffer <kbd>Enter</kbd></a>
            @endif
        @else
            <button class="do" form="read" data-primary>Record and next <kbd>Enter</kbd></button>
        @endif
    </x-slot>
    @endif
    <x-slot:evidence>
        <h2>Order</h2>
        <ol class="way">
            @foreach ($screen->stops as $one)
                @php($name = $one->label())
                <li @if ($one->id === $stop->id) aria-current="step" @endif>@if ($one->visit?->measurement_id)
                    <span class="soft">{{ $name }} · read {{ Rheacid\Site\SiteClock::short($one->visit->at) }}</span>@elseif ($one->visit)<x-state
                    is="care">{{ $name }}</x-state> <small class="soft">skipped</small>@else<x-state is="idle">{{ $name }}</x-state>@endif</li>
            @endforeach
        </ol>
        <h2>Based on</h2>
        <dl><dt><a href="{{ route('pairs.show', $round->pair) }}">{{ $round->pair->electrode->code }}</a> on {{ $round->pair->name() }}</dt><dd>
            @if ($screen->calibration)
            <a href="{{ route('calibrations.show', $screen->calibration) }}">calibrated {{ Rheacid\Site\SiteClock::short($screen->calibration->at) }}</a>@else
            no calibration @endif</dd><dt>Started</dt><dd>
            {{ Rheacid\Site\SiteClock::short($round->at) }}, {{ $round->person->name }}@if ($round->drawnAt())<br>all samples drawn
            {{ Rheacid\Site\SiteClock::short($round->drawnAt()) }}{{ $round->isChilled() ? ', kept cold' : '' }}@endif</dd></dl>
    </x-slot>
</x-house>
