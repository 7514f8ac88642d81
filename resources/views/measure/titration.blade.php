@use(Rheacid\Http\Requests\TitrationRequest)
@php($batch = $screen->batch)
<x-house :title="'Titrate · ' . $batch->code" room="Measure">
    <p class="what">{{ $batch->product->name }} · batch <a href="{{ route('batches.show', $batch) }}"><b>{{ $batch->code }}</b></a> · {{ $batch->vessel }}</p>
    @if ($screen->titrants->isEmpty())<p class="verdict answer"><x-state is="care">No titrant.</x-state> <span>None on the shelf was standardised. <b><a href="{{ route('ready') }}">Put its bottle on the shelf, and standardise it on its page.</a></b></span></p>@endif
    @if (Gate::allows('record'))
    @php($was = $screen->corrects)
    @php($titrated = $was?->titration)
    @php($per = $was === null ? null : substr((string) strrchr((string) $was->basis, ' '), 1))
    @if ($was)<p class="what">The entry of {{ Rheacid\SiteClock::full($was->observed_at) }} stays on record; this one takes its place, with your name and reason.</p>@endif
    <form id="titration" method="post" action="{{ route('titrations.store', $batch) }}" enctype="multipart/form-data" data-keep>
        <x-form-id />
        @if ($was)<input type="hidden" name="corrects" value="{{ $was->id }}">@endif
        <div class="fields">
            <x-field name="endpoint" label="To"><select class="form-select" id="f-endpoint" name="endpoint">@foreach (TitrationRequest::ENDPOINTS as $code => $words)<option value="{{ $code }}" @selected((string) old('endpoint', $titrated->endpoint ?? '8.2') === (string) $code)>{{ $words }}</option>@endforeach</select></x-field>
            <x-field name="of" label="What"><select class="form-select" id="f-of" name="of"><option value="titratable-acidity" @selected(old('of') === 'titratable-acidity')>titratable acidity</option><option value="volatile-acidity" @selected(old('of', $was?->measurand->value) === 'volatile-acidity')>volatile acidity, on the distillate</option></select></x-field>
            <x-field name="per" label="Sample in"><select class="form-select" id="f-per" name="per"><option value="L" @selected(old('per') === 'L')>mL: per litre</option><option value="kg" @selected(old('per', $per) === 'kg')>g: per kilogram</option><option value="water-phase" @selected(old('per', $per) === 'water-phase')>g of water phase</option></select></x-field>
            <x-field name="acid" label="Said as"><select class="form-select" id="f-acid" name="acid">@foreach (Rheacid\Core\Acidity\Acid::cases() as $acid)<option value="{{ $acid->value }}" @selected(old('acid', $titrated?->acid) === $acid->value)>{{ $acid->value }} acid</option>@endforeach</select></x-field>
            <x-field name="titrant" label="Titrant"><select class="form-select" id="f-titrant" name="titrant">@foreach ($screen->titrants as $one)<option value="{{ $one->id }}" @selected((int) old('titrant', $titrated?->titrant_standardisation_id) === $one->id)>{{ $one->lot->code }} · {{ Rheacid\Core\Numbers::fixed($one->normality, 4) }} N · {{ Rheacid\SiteClock::short($one->at) }}</option>@endforeach</select></x-field>
            <x-field name="pair" label="pH read with"><select class="form-select" id="f-pair" name="pair"><option value="">none: by eye</option>@foreach ($screen->pairs as $pair)<option value="{{ $pair->id }}" @selected((int) old('pair', $was ? $was->pair_id : ($screen->pairs[0]->id ?? 0)) === $pair->id)>{{ $pair->code }} on {{ $pair->name }} · {{ Rheacid\Shelf\Readiness::words($pair->status()) }}</option>@endforeach</select></x-field>
        </div>
        @foreach (range(0, TitrationRequest::PORTIONS - 1) as $i)
            <h2>Portion {{ $i + 1 }}{{ $i === 2 ? ', where the first two differ' : '' }}</h2>
            <div class="fields">
                <x-field :name="'portions[' . $i . '][sample]'" label="Sample, mL or g" :value="$screen->sample($i)" inputmode="decimal" />
                <x-field :name="'portions[' . $i . '][file]'" label="Curve from a file" help="CSV: mL and pH in two columns"><input class="form-control" id="f-portions-{{ $i }}-file" type="file" name="portions[{{ $i }}][file]" accept=".csv,.txt,text/csv,text/plain"></x-field>
                <x-field :name="'portions[' . $i . '][curve]'" label="Curve" class="wide" help="mL and pH, one point a line, like 6,2; 7,95 · by eye: the one volume"><textarea class="form-control" id="f-portions-{{ $i }}-curve" name="portions[{{ $i }}][curve]" rows="{{ $i === 0 ? 8 : 4 }}" aria-describedby="f-portions-{{ $i }}-curve-help" @error("portions.$i.curve") aria-invalid="true" @enderror>{{ is_string(old("portions.$i.curve")) ? old("portions.$i.curve") : $screen->typed($i) }}</textarea></x-field>
            </div>
        @endforeach
        <details class="plan"><summary>Blank 0 mL · burette to 0.05 mL</summary><div class="fields apart"><x-field name="blank_ml" label="Blank, mL" :value="$titrated?->blank_ml" inputmode="decimal" /><x-field name="digit_ml" label="Last digit of the burette, mL" :value="$titrated?->burette_digit_ml" inputmode="decimal" /></div></details>
        <h2>The sample</h2>
        <div class="fields">
            <x-sample :batch="$batch" :stage="$was?->occasion->stage->value ?? 'underway'" :place="$was?->sample->place" :at="$was?->sample->drawn_at" />
            @if ($was)<x-field name="reason" label="Why it is corrected" class="wide" maxlength="400" />@else<x-together :occasions="$screen->together" />@endif
        </div>
    </form>
    @if ($screen->isOnBench)
        <section class="bench" aria-labelledby="bench-title">
            <form method="post" action="{{ route('burettes.open', $batch) }}">
                @csrf
                <h2 id="bench-title">Simulated burette, not a real one: 0.1 N lye into a sample of {{ $batch->code }}</h2>
                <input type="hidden" name="runs" value="{{ implode(',', array_map(fn ($one) => $one->id, $screen->burettes)) }}">
                <input type="hidden" name="pair" value="{{ $screen->pairs[0]->id ?? '' }}">
                <label class="soft">sample, mL <input class="form-control" name="sample_ml" value="{{ is_string(old('sample_ml')) ? old('sample_ml') : '10' }}" inputmode="decimal" autocomplete="off" @error('sample_ml') aria-invalid="true" @enderror></label>
                <label class="soft">speed <select class="form-select" name="speed">@foreach (Rheacid\Bench\SimulatedBench::SPEEDS as $choice)<option value="{{ $choice }}" @selected($choice === 30)>{{ $choice }} ×</option>@endforeach</select></label>
                <button>Open it for portion {{ min(count($screen->burettes), 2) + 1 }}</button>
                @error('sample_ml')<p class="problem">{{ $message }}</p>@enderror
            </form>
            @if ($screen->burettes !== [])
                @php($runs = implode(',', array_map(fn ($one) => $one->id, $screen->burettes)))
                <div id="burette" @unless ($screen->takes) hx-get="{{ route('burettes.live', [$batch, 'runs' => $runs]) }}" hx-trigger="every 1s" hx-swap="innerHTML" @endunless>
                    @include('measure.burette', ['burettes' => $screen->burettes, 'batch' => $batch, 'runs' => array_map(fn ($one) => $one->id, $screen->burettes)])
                </div>
            @endif
        </section>
    @endif
    <x-slot:act><a href="{{ route('batches.show', $batch) }}">To batch {{ $batch->code }}</a><button class="do" form="titration" data-primary>Record it <kbd>Enter</kbd></button></x-slot>
    @else
        <p class="what">Checkers and leads do this. What was recorded can be read.</p>
    @endif
    <x-slot:evidence>
        <h2>Schools that do not mix</h2>
        <p>To 8.2 gives a few percent more than to 7.0. They are two quantities: a limit to 7.0 is never judged on a titration to 8.2.</p>
        <details><summary>Why pH and acidity differ</summary><p>pH tells how strong the acid is, acidity how much of it there is. Malic and tartaric acid of one strength give different pH; potassium binds a part of the acid and lifts the pH, though the acidity stays. That is why neither is worked out from the other.</p></details>
        <p>Drive the gas off first: carbon dioxide counts as acid. Small steps near the endpoint: over half a pH between two points is too coarse.</p>
        <p>A volatile acidity is titrated on the distillate, as acetic acid; it sees lactic acid only in part, and sulfite as if it were acid.</p>
        <p class="caution">Lye burns eyes and skin: goggles and gloves. Glass burettes break: fill them below the eye. Follow your site’s rules and local codes.</p>
    </x-slot>
</x-house>
