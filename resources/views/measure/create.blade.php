@php($batch = $screen->batch)
<x-house :title="'Measure · ' . $batch->code" room="Measure">
    <p class="what">{{ $batch->product->name }} · {{ $batch->vessel }} · day {{ (int) $batch->started_at->diffInDays(now()) }}</p>
    @unless ($screen->ready)
        <p class="verdict"><x-state is="care">No pair is calibrated.</x-state> A reading can be taken, but it proves nothing. <a href="{{ route('calibrate') }}">Calibrate first</a></p>
    @endunless
    @if ($screen->waiting)
        <p class="verdict"><x-state is="care">A sample waits.</x-state> <span>The one drawn {{ Rheacid\SiteClock::short($screen->waiting->drawn_at) }} lacks {{ implode(', ', $screen->lacking) }}: this goes on with it. For a fresh sample choose “nothing” under “Drawn together with”.</span></p>
    @endif
    @if (Gate::allows('record'))
    <form id="begin" method="post" action="{{ route('drafts.store', $batch) }}" data-keep>
        <x-form-id />
        @if ($screen->stop)<input type="hidden" name="stop" value="{{ $screen->stop->id }}">@endif
        <div class="fields">
            <x-field name="pair" label="Pair">
                <select class="form-select" id="f-pair" name="pair">
                    @foreach ($screen->pairs as $pair)
                        <option value="{{ $pair->id }}" @selected((int) old('pair', $screen->ready?->id) === $pair->id)>{{ $pair->code }} on {{ $pair->name }} · {{ Rheacid\Shelf\Readiness::words($pair->status()) }}{{ $batch->product->method->matrix?->suits($pair->kind) === false ? ' · not for insertion: only a spear is pushed into food' : '' }}</option>@endforeach
                </select>
            </x-field>
            <x-field name="thermometer" label="Thermometer">
                <select class="form-select" id="f-thermometer" name="thermometer">
                    @foreach ($screen->thermometers as $thermometer)
                        <option value="{{ $thermometer->id }}" @selected((int) old('thermometer', $screen->stop?->round->thermometer_id ?? $screen->usual?->thermometer->id) === $thermometer->id)>{{ $thermometer->code }} · {{ Rheacid\Shelf\Thermometers::words($thermometer->status()) }}</option>@endforeach
                </select>
            </x-field>
            <x-sample :batch="$batch" :stage="$screen->joins?->stage->value ?? $screen->stop?->stage->value ?? $screen->usual?->stage->value ?? 'underway'" :place="$screen->place ?? $screen->usual?->place" />
            <x-together :occasions="$screen->together" :joins="$screen->joins?->id" />
            @foreach ($screen->asks as $i => $condition)
                <fieldset class="wide">
                    <legend class="form-label">{{ $condition }}?</legend>
                    @foreach (['yes' => 'yes', 'no' => 'no', '' => 'not known yet: what hangs on it stays open'] as $value => $words)
                        <label class="form-check"><input class="form-check-input" type="radio" name="answers[{{ $i }}]" value="{{ $value }}" @checked(old("answers.$i", '') === $value)> {{ $words }}</label>@endforeach
                </fieldset>
            @endforeach
        </div>
        <h2>Where the readings come from</h2>
        <label class="form-check"><input class="form-check-input" type="radio" name="source" value="simulated" @checked(old('source', $screen->source->value) === 'simulated')> the simulated bench</label>
        <label class="form-check"><input class="form-check-input" type="radio" name="source" value="typed" @checked(old('source', $screen->source->value) === 'typed')> typed: what a real meter shows</label>
        <label class="form-check"><input class="form-check-input" type="radio" name="source" value="imported" @checked(old('source', $screen->source->value) === 'imported')> the log of a meter, as a file</label>
    </form>
    @else
        <p class="what">Checkers and leads do this. What was recorded can be read.</p>
    @endif
    @if (Gate::allows('record'))
        <x-slot:act><button class="do" form="begin" data-primary>Begin measuring <kbd>Enter</kbd></button></x-slot>
    @endif
    <x-slot:evidence>
        @if (Gate::allows('record'))
            <p><a href="{{ route('others.create', $batch) }}">Another quantity than pH</a> · <a href="{{ route('titrations.create', $batch) }}">Titrate</a> · <a href="{{ route('late.create', $batch) }}">Readings from paper</a></p>@endif
        <h2>{{ $batch->product->method->name }}</h2>
        <ul class="steps">@foreach ($batch->product->method->steps as $step)<li>{{ $step }}</li>@endforeach</ul>
        <p class="caution">Hot samples scald and crack glass: let them cool first. Follow your site’s rules and local codes.</p>
        <p class="note">Never an electrode in a vessel: draw a sample, measure it, throw it away. Look at the glass before and after.</p>
        @foreach ($batch->product->cautions() as $caution)<p class="note">{{ $caution }}</p>@endforeach
    </x-slot>
</x-house>
