@use(Rheacid\Http\Forms\Measure\TitrationRequest)
@php($batch = $screen->batch)
<x-house :title="'Titrate · ' . $batch->code" room="Measure">
    <p class="what">{{ $batch->product->name }} · batch <a href="{{ route('batches.show', $batch) }}"><b>{{ $batch->code }}</b></a> · {{ $batch->vessel }}</p>
    @if ($screen->titrants->isEmpty())<p class="verdict answer">
        <x-state is="care">No titrant.</x-state> <span>No standardised titrant is available. <b><a
        href="{{ route('ready') }}">Add the bottle and standardise it on its page.</a></b></span></p>@endif
    @if (Gate::allows('record'))
    @php($was = $screen->corrects)
    @php($titrated = $was?->titration)
    @php($per = $was === null ? null : substr((string) strrchr((string) $was->basis, ' '), 1))
    @if ($was)<p class="what">
        The entry of {{ Rheacid\Site\SiteClock::full($was->observed_at) }} stays on record. This entry replaces it, with your name and reason.</p>@endif
    <form id="titration" method="post" action="{{ route('titrations.store', $batch) }}" enctype="multipart/form-data" data-keep>
        <x-form-id />
        @if ($was)<input type="hidden" name="corrects" value="{{ $was->id }}">@endif
        <div class="fields narrow">
            <x-choice name="endpoint" label="Endpoint" :options="TitrationRequest::ENDPOINTS" :value="(string) ($titrated->endpoint ?? '8.2')" />
            <x-choice name="of" label="Quantity" :options="['titratable-acidity' => 'titratable acidity',
                'volatile-acidity' => 'volatile acidity, on the distillate']" :value="$was?->measurand->value" />
            <x-choice name="per" label="Sample in" :options="['L' => 'mL (per litre)', 'kg' => 'g (per kilogram)', 'water-phase' => 'g of water phase']"
                :value="$per" />
            <x-choice name="unit" label="Expressed in" :options="Rheacid\Models\LimitRow::allAcidityUnits()" :value="$screen->unit()" />
            <x-choice name="titrant" label="Titrant" :options="$screen->titrants->mapWithKeys(fn ($one) => [$one->id => $one->lot->code . ' · '
                . Rheacid\Core\Numbers::fixed($one->normality, 4) . ' N · ' . Rheacid\Site\SiteClock::short($one->at)])"
                :value="$titrated?->titrant_standardisation_id" />
            <x-choice name="pair" label="pH read with"
                :options="['' => 'none (by eye)'] + collect($screen->pairs)->mapWithKeys(fn ($pair) => [$pair->id => $pair->code . ' on ' . $pair->name . ' · '
                . Rheacid\Queries\Ready\Readiness::words($pair->status())])->all()" :value="$was ? $was->pair_id : ($screen->pairs[0]->id ?? '')" />
            <x-field name="celsius" :label="'Sample, ' . Rheacid\Core\Celsius::unit()"
                :value="$screen->takes ? Rheacid\Core\Celsius::bare(25) : ($titrated?->sample_c === null ? null
                : Rheacid\Core\Celsius::bare($titrated->sample_c))" help="leave empty by eye" inputmode="decimal" />
            <x-field name="compensation" :label="'Compensation, ' . Rheacid\Core\Celsius::unit()"
                :value="$titrated?->compensation_c === null ? null : Rheacid\Core\Celsius::bare($titrated->compensation_c)"
                help="empty: by a probe in the sample" inputmode="decimal" />
        </div>
        @foreach (range(0, TitrationRequest::PORTIONS - 1) as $i)
            @php($curve = is_string(old("portions.$i.curve")) ? old("portions.$i.curve") : $screen->typed($i))
            <details class="plan portion" @if ($i < 2 || $curve !== '' || $errors->has("portions.$i.*")) open @endif>
                <summary>Portion {{ $i + 1 }}{{ $i === 2 ? ', if the first two differ' : '' }}</summary>
                <div class="titre">
                    <div>
                        <x-field :name="'portions[' . $i . '][sample]'" :label="'Sample ' . ($i + 1) . ', mL or g'" :value="$screen->sample($i)"
                            inputmode="decimal" />
                        <x-field :name="'portions[' . $i . '][curve]'" :label="'Curve ' . ($i + 1)"
                            :help="'mL and pH, one point per line, like ' . Rheacid\Core\Numbers::fixed(6.2, 1) . '; ' . Rheacid\Core\Numbers::fixed(7.95, 2)
                            . '. By eye: only the volume.'"><textarea class="form-control" id="f-portions-{{ $i }}-curve" name="portions[{{ $i }}][curve]"
                            rows="8" data-points="mL;pH" aria-describedby="f-portions-{{ $i }}-curve-help" @error("portions.$i.curve") aria-invalid="true"
                            @enderror>{{ $curve }}</textarea></x-field>
                        <x-field :name="'portions[' . $i . '][file]'" :label="'Or curve ' . ($i + 1) . ' from a file'" help="CSV with two columns: mL and pH">
                            <input class="form-control" id="f-portions-{{ $i }}-file" type="file" name="portions[{{ $i }}][file]"
                            accept=".csv,.txt,text/csv,text/plain" aria-describedby="f-portions-{{ $i }}-file-help"></x-field>
                    </div>
                    @php($changes = "load, input changed delay:500ms from:#f-portions-$i-curve")
                    @php($changes .= ', change from:#f-endpoint, change from:#f-celsius, change from:#f-compensation')
                    <div id="drawn-{{ $i }}" hx-post="{{ route('titrations.draw', [$batch, $i]) }}" hx-trigger="{{ $changes }}" hx-include="#titration"
                        aria-live="polite"></div>
                </div>
            </details>
        @endforeach
        <details class="plan"><summary>
            Blank {{ Rheacid\Core\Numbers::plain($titrated->blank_ml ?? 0) }} mL · burette resolution {{ Rheacid\Core\Numbers::fixed($titrated->burette_digit_ml
            ?? 0.05, 2) }} mL</summary><div class="fields apart"><x-field name="blank_ml" label="Blank, mL" :value="$titrated?->blank_ml" inputmode="decimal" />
            <x-field name="digit_ml" label="Burette resolution, mL" :value="$titrated?->burette_digit_ml" inputmode="decimal" /></div></details>
        <h2>Sample</h2>
        <div class="fields">
            <x-sample :batch="$batch" :stage="$was?->occasion->stage->value ?? 'underway'" :place="$was?->sample->place" :at="$was?->sample->drawn_at" />
            @if ($was)<x-field name="reason" label="Reason for the correction" class="wide" maxlength="400" />@else
                <x-together :occasions="$screen->together" />@endif
        </div>
    </form>
    @if ($screen->isOnBench)
        <section class="bench" aria-labelledby="bench-title">
            <form method="post" action="{{ route('burettes.open', $batch) }}">
                @csrf
                <h2 id="bench-title">Simulated burette (not a real one): {{ Rheacid\Core\Numbers::fixed(0.1,
                    1) }} N lye into a sample of {{ $batch->code }}</h2>
                <input type="hidden" name="runs" value="{{ implode(',', array_map(fn ($one) => $one->id, $screen->burettes)) }}">
                <input type="hidden" name="pair" value="{{ $screen->pairs[0]->id ?? '' }}">
                <label class="soft">sample, mL <input class="form-control" name="sample_ml" value="{{ is_string(old('sample_ml')) ? old('sample_ml') : '10' }}"
                    inputmode="decimal" autocomplete="off" @error('sample_ml') aria-invalid="true" @enderror></label>
                <label class="soft">speed <select class="form-select" name="speed">@foreach (Rheacid\Bench\SimulatedBench::SPEEDS as $choice)
                    <option value="{{ $choice }}" @selected($choice === 30)>{{ $choice }} ×</option>@endforeach</select></label>
                <button>Start portion {{ min(count($screen->burettes), 2) + 1 }}</button>
                @error('sample_ml')<p class="problem">{{ $message }}</p>@enderror
            </form>
            @if ($screen->burettes !== [])
                @php($runs = implode(',', array_map(fn ($one) => $one->id, $screen->burettes)))
                <div id="burette" @unless ($screen->takes) hx-get="{{ route('burettes.live', [$batch, 'runs' => $runs]) }}" hx-trigger="every 1s"
                    hx-swap="innerHTML" @endunless>
                    @include('measure.burette', ['burettes' => $screen->burettes, 'batch' => $batch, 'runs' => array_map(fn ($one) => $one->id,
                        $screen->burettes)])
                </div>
            @endif
        </section>
    @endif
    <x-slot:act><a href="{{ route('batches.show', $batch) }}">Open batch {{ $batch->code }}</a><button class="do" form="titration"
        data-primary>Record titration <kbd>Enter</kbd></button></x-slot>
    @else
        <p class="what">Auditors read here and record nothing.</p>
    @endif
    <x-slot:evidence>
        <h2>Two endpoints, two quantities</h2>
        <p>A titration to {{ Rheacid\Core\Numbers::fixed(8.2, 1) }} gives a few percent more than one to {{ Rheacid\Core\Numbers::fixed(7,
            1) }}. Rheacid never judges a limit for one endpoint by a titration to another.</p>
        <details><summary>Why pH and acidity differ</summary><p>
            pH shows how strong the acid is; acidity shows how much there is. The same amount of malic and tartaric acid gives different pH. Potassium binds
            part of the acid and raises the pH, while the acidity stays. So neither can be calculated from the other.</p></details>
        <p>Remove gas first: carbon dioxide counts as acid. Use small steps near the endpoint; more than half a pH between two points is too coarse.</p>
        <p>Volatile acidity is titrated on the distillate and expressed as acetic acid. It includes lactic acid only in part, and counts sulfite as acid.</p>
        <p class="caution">{{ Rheacid\Core\Words\CareWords::lye() }}</p>
        <p class="caution">A formol titration uses formaldehyde, which is poisonous and can cause cancer. Work under an extractor with goggles and gloves, and
            collect the waste. Rheacid has no method for it: record its result as a value from elsewhere.</p>
    </x-slot>
</x-house>
