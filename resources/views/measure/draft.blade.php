@php($draft = $screen->draft)
@php($mine = $draft->isOpen() && $draft->holder_id === auth()->id())
@php($assessment = $screen->assessment)
@php($batch = $screen->batch)
@php($occasion = $draft->sample->occasion)
@php($rules = $screen->rules)
<x-house :title="'Measure · ' . $batch->code" room="Measure">
    <p class="what">{{ $batch->product->name }} · batch <b>{{ $batch->code }}</b> · {{ $batch->vessel }} · {{ $occasion->stage->words() }} ·
        {{ $draft->sample->place }}, drawn {{ Rheacid\Site\SiteClock::short($draft->sample->drawn_at) }}</p>
    @unless ($screen->isComplete())
        <h2>Portion {{ $draft->replicates->count() + 1 }}{{ $rules->degasses ? ($draft->replicates->isEmpty() ? ', degassed' : ', degassed again') : '' }}</h2>
        @if ($rules->degasses)<p class="what">
            Pour the sample between two cups or swirl it, then read. Repeat until two readings in a row agree within
            {{ Rheacid\Core\Numbers::plain($rules->agreeWithinPh) }} pH.</p>@endif
        @if ($screen->live)
            <x-live :live="$screen->live" :is-held="$mine" />
        @endif
    @endunless
    @if ($mine && !$screen->isComplete())
        @if ($draft->source === Rheacid\Core\Measuring\Source::Imported)
            <x-log-form :action="route('logs.draft', $draft)" />
        @else
        <form id="accept" method="post" action="{{ route('drafts.accept', $draft) }}" data-keep data-chain>
            <x-form-id />
            @if ($screen->live)<input type="hidden" name="seen_s" value="{{ $screen->live->figure ? $screen->live->seenS : '' }}">@endif
            @unless ($screen->live)<x-typed-reading :window="$draft->windowS()" form="accept" :meter="$draft->pair->meter" />@endunless
        </form>
        @endif
        @if ($screen->live)<x-bench-strip :cups="$screen->cups" :action="route('drafts.immerse', $draft)" :current="$screen->live->cupId"
            :speed="$screen->live->speed" :next="$screen->live->next($screen->cups[0] ?? null)">
            @php($treat = match ($draft->method->matrix) { Rheacid\Core\Measuring\Matrix::Sparkling => ['pour',
                match ($draft->pours) { 0 => 'Pour between two cups', 1 => 'Pour again (poured once)', default => "Pour again (poured {$draft->pours} times)" },
                true], Rheacid\Core\Measuring\Matrix::Slurry => ['dilute', $draft->diluted ? 'Stirred into water' : 'Stir into water', !$draft->diluted],
                default => null })
            @if ($treat)<form class="apart" method="post" action="{{ route('drafts.treat', $draft) }}">@csrf
                <input type="hidden" name="speed" value="{{ $screen->live->speed }}">
                <button name="what" value="{{ $treat[0] }}" @disabled(!$treat[2])>{{ $treat[1] }}</button></form>@endif
        </x-bench-strip>@endif
    @endif
    @if ($assessment)
        @unless ($screen->isComplete())<h2>So far</h2>@endunless
        <x-answer :lines="$screen->lines" />
        @if ($screen->proof)<p class="verdict"><x-state is="care">How to prove it.</x-state> {{ $screen->proof }}</p>@endif
        <div class="big"><span class="n">{{ Rheacid\Core\Numbers::fixed($assessment->replicate->value,
            2) }}</span>@if ($assessment->replicate->expandedU !== null)<span
            class="pm">± {{ Rheacid\Core\Numbers::fixed($assessment->replicate->expandedU, 2) }}</span>@endif<span
            class="unit">pH, {{ count($assessment->result->replicates) > 1 ? 'the deciding portion of ' . count($assessment->result->replicates)
            : 'one portion so far' }}<br>mean {{ Rheacid\Core\Numbers::fixed($assessment->result->mean(),
            2) }}@unless ($assessment->replicate->trusted) · <b>not trusted yet</b>@endunless</span></div>
        <x-acid-rule :rule="$screen->rule" />
        <x-decision :lines="$screen->lines" />
    @endif
    @if ($draft->replicates->isNotEmpty())
        <h2>Portions</h2>
        <x-replicates :replicates="$draft->replicates" :calibration="$draft->calibration" :meter="$draft->pair->meter">
            @if ($screen->isComplete() && $rules->agree($screen->values()))
                <tr class="ghost"><th>{{ $draft->replicates->count() + 1 }}</th><td colspan="4">
                    Not needed: {{ $rules->degasses ? 'the last two'
                    : 'the portions' }} agree within {{ Rheacid\Core\Numbers::plain($rules->agreeWithinPh) }} pH.</td></tr>
            @elseif (!$screen->isComplete() && $draft->replicates->count() >= $rules->portions)
                <tr class="ghost"><th>{{ $draft->replicates->count() + 1 }}</th><td colspan="4">
                    {{ $rules->degasses ? 'Degas and read again: the last two differ by more than'
                    : 'Needed: the portions differ by more than' }} {{ Rheacid\Core\Numbers::plain($rules->agreeWithinPh) }} pH.</td></tr>
            @endif
        </x-replicates>
    @endif
    @if ($mine)
        <x-slot:act>
            @if ($screen->isComplete())
                <form method="post" action="{{ route('drafts.leave', $draft) }}"><x-form-id /><button class="do link">Leave without recording</button></form>
                <form method="post" action="{{ route('readings.store', $draft) }}"><x-form-id />
                    <button class="do" data-primary>Record reading on {{ $batch->code }} <kbd>Enter</kbd></button></form>
            @elseif ($draft->source === Rheacid\Core\Measuring\Source::Imported)
                <form method="post" action="{{ route('drafts.leave', $draft) }}"><x-form-id /><button class="do link">Cancel</button></form>
            @else
                <x-accept-bar form="accept" :label="'Accept portion ' . ($draft->replicates->count() + 1)" :live="$screen->live"
                    :leave="route('drafts.leave', $draft)" />
            @endif
        </x-slot>
    @elseif ($draft->isOpen() && Gate::allows('record'))
        <x-slot:act>
            <p class="verdict"><x-state
                is="care">In progress.</x-state> {{ $draft->holder->name }} has been measuring since {{ Rheacid\Site\SiteClock::short($draft->opened_at) }}.</p>
            <form method="post" action="{{ route('drafts.take-over', $draft) }}"><x-form-id />
                <x-field name="reason" label="Reason to take over" maxlength="400" /><button class="do apart">Take over measurement</button></form>
        </x-slot>
    @endif
    <x-slot:evidence>
        <x-rests-on :calibration="$draft->calibration" :pair="$draft->pair" :check="$draft->verification" :method="$draft->method"
            :ph="$assessment?->replicate->value" />
        @if ($screen->budget)
            <h2>Uncertainty budget</h2>
            <x-budget :bar="$screen->budget" />
            @foreach (array_slice($screen->help, 0, 3) as $help)<p class="soft">
                {{ Rheacid\Core\Words\GainWords::what($help['gain']) }} would reduce ± {{ Rheacid\Core\Numbers::fixed($assessment->replicate->expandedU,
                2) }} to ± {{ Rheacid\Core\Numbers::fixed($help['expanded_u'], 2) }}.</p>@endforeach
        @endif
        @if (!$assessment)
            <h2>Steps</h2>
            <ul class="steps">@foreach ($draft->method->steps as $step)<li>{{ $step }}</li>@endforeach</ul>
        @endif
        <p class="note">Your site’s food safety plan and local codes decide about the product. Rheacid shows which limit was met.</p>
    </x-slot>
</x-house>
