@php($batch = $screen->batch)
<x-house :title="'Measure · ' . $batch->code" room="Measure">
    <p class="what">{{ $batch->product->name }} · {{ $batch->vessel }} · day {{ (int) $batch->started_at->diffInDays(now()) }}</p>
    @unless ($screen->ready)
        <p class="verdict"><x-state is="care">No pair is calibrated.</x-state> You can take a reading, but it proves nothing. <a
            href="{{ route('calibrate') }}">Calibrate first</a></p>
    @endunless
    @if ($screen->sample->waiting)
        <p class="verdict"><x-state
            is="care">A sample is not complete.</x-state> <span>The sample drawn {{ Rheacid\Site\SiteClock::short($screen->sample->waiting->drawn_at) }}
            lacks {{ implode(', ', $screen->sample
                ->lacking) }}. This reading belongs to it. To start a new sample, open “change” and choose “a new sample”.</span></p>
    @endif
    @if (Gate::allows('record'))
    <form id="begin" method="post" action="{{ route('drafts.store', $batch) }}" data-keep>
        <x-form-id />
        @if ($screen->stop)<input type="hidden" name="stop" value="{{ $screen->stop->id }}">@endif
        <details class="plan" @if ($errors->any() || $screen->ready === null) open @endif><summary>{{ $screen->line() }}<span> · change</span></summary>
            <div class="fields apart">
                <x-choice name="pair" label="Pair" :options="$screen->pairOptions()" :value="$screen->ready?->id" />
                <x-choice name="thermometer" label="Thermometer" :options="collect($screen->thermometers)->mapWithKeys(fn ($one) => [$one->id => $one->code
                    . ' · ' . Rheacid\Queries\Ready\Thermometers::words($one->status())])" :value="$screen->thermometer()?->id" />
                <x-sample :batch="$batch" :stage="$screen->stage()->value" :place="$screen->samplePlace()" />
                <x-together :occasions="$screen->sample->together" :joins="$screen->sample->joins?->id" />
            </div>
            <x-radios name="source" label="Readings" class="apart"
                :options="['simulated' => 'from the simulated bench', 'typed' => 'typed from a real meter', 'imported' => 'from a meter’s log file']"
                :value="$screen->source->value" />
        </details>
        <div class="fields apart"><x-sample-treatment :method="$batch->product->method" :last-ph="$screen->lastPh()" /></div>
        @foreach ($screen->asks as $i => $condition)
            <fieldset class="apart">
                <legend class="form-label">{{ $condition }}?</legend>
                @foreach (['yes' => 'yes', 'no' => 'no', '' => 'not known yet (limits that depend on it stay open)'] as $value => $words)
                    <label class="form-check" for="f-answers-{{ $i }}-{{ $loop->index }}">
                        <input class="form-check-input" type="radio" id="f-answers-{{ $i }}-{{ $loop->index }}" name="answers[{{ $i }}]" value="{{ $value }}"
                        @checked(old("answers.$i", '') === $value)> {{ $words }}</label>@endforeach
            </fieldset>
        @endforeach
    </form>
    @else
        <p class="what">Auditors read here and record nothing.</p>
    @endif
    <h2>What is next for {{ $batch->code }}</h2>
    <p class="verdict"><x-state
        :is="$screen->next->sign">{{ $screen->next->word }}.</x-state> <span>{{ $screen->next->line }}
        @if ($screen->next->advice)<b>{{ $screen->next->advice }}</b>@endif</span></p>
    @if ($screen->course)<x-row-course :figure="$screen->course" class="large" />@endif
    @if (Gate::allows('record'))
        <x-slot:act><button class="do" form="begin" data-primary>Start measuring <kbd>Enter</kbd></button></x-slot>
    @endif
    <x-slot:evidence>
        @if (Gate::allows('record'))
            <p><a href="{{ route('others.create', $batch) }}">Another quantity</a> · <a href="{{ route('titrations.create', $batch) }}">Titrate</a> · <a
                href="{{ route('late.create', $batch) }}">Readings from paper</a></p>@endif
        <h2>{{ $batch->product->method->name }}</h2>
        <ul class="steps">@foreach ($batch->product->method->steps as $step)<li>{{ $step }}</li>@endforeach</ul>
        <p class="caution">Hot samples scald and can crack glass. Let them cool first. Follow your site’s rules and local codes.</p>
        <p class="note">Never put an electrode into a vessel. Draw a sample, measure it and throw it away. Inspect the glass before and after.</p>
        @foreach ($batch->product->cautions() as $caution)<p class="note">{{ $caution }}</p>@endforeach
    </x-slot>
</x-house>
