@php($batch = $screen->batch)
<x-house :title="'Another quantity · ' . $batch->code" room="Measure">
    <p class="what">{{ $batch->product->name }} · batch <a href="{{ route('batches.show', $batch) }}"><b>{{ $batch->code }}</b></a> · {{ $batch->vessel }}</p>
    @if (Gate::allows('record'))
    @php($was = $screen->corrects)
    @if ($was)
        <p class="what">The entry of {{ Rheacid\Site\SiteClock::full($was->observed_at) }} stays on record. This entry replaces it, with your name and reason.
            </p>@endif
    <form id="other" method="post" action="{{ route('others.store', $batch) }}" data-keep>
        <x-form-id />
        @if ($was)<input type="hidden" name="corrects" value="{{ $was->id }}">@endif
        <div class="fields">
            <x-field name="of" label="Quantity" class="wide"><select class="form-select" id="f-of" name="of">
                @foreach (['needed for its limits' => $screen->asked, 'others' => $screen->others] as $group => $quantities)
                    @if ($quantities !== [])<optgroup label="{{ $group }}">@foreach ($quantities as $value => $words)
                        <option value="{{ $value }}" @selected(old('of', $screen->chosen) === $value)>{{ $words }}</option>@endforeach</optgroup>@endif
                @endforeach
            </select></x-field>
            <x-field name="values" label="Value" :value="$was?->replicates->map(fn ($one) => $was->measurand === Rheacid\Core\Measurands\Measurand::Temperature
                ? Rheacid\Core\Celsius::bare($one->shown_c ?? $one->value) : Rheacid\Core\Numbers::plain(round($was->quantity()->in($was->acidityUnit(),
                $one->value), 6)))->join('; ')" :help="'several portions separated by semicolons: ' . Rheacid\Core\Numbers::fixed(5.2, 1) . '; '
                . Rheacid\Core\Numbers::fixed(5.3, 1)" inputmode="text" />
            <x-field name="unit" label="Unit, if different" help="for example °F, mg/L, mS/cm" maxlength="20" />
            <x-choice name="acidity_unit" label="Unit of an acidity" :options="['' => 'choose'] + Rheacid\Models\LimitRow::allAcidityUnits()"
                :value="$screen->acidityUnit" />
            <x-sample :batch="$batch" :stage="$was?->occasion->stage->value ?? 'underway'" :place="$was?->sample->place" :at="$was?->sample->drawn_at" />
            @unless ($was)<x-together :occasions="$screen->together" />@endunless
        </div>
        <h2>For a temperature</h2>
        <div class="fields"><x-choice name="thermometer" label="Thermometer"
            :options="['' => 'none'] + collect($screen->thermometers)->mapWithKeys(fn ($one) => [$one->id => $one->code . ' · '
            . Rheacid\Queries\Ready\Thermometers::words($one->status())])->all()" :value="$was?->verification?->thermometer_id" />
            <x-tick name="still" class="at-the-foot" :checked="old('still')">Stable, read in the coldest place (otherwise it proves nothing)</x-tick></div>
        <h2>For any other quantity</h2>
        <div class="fields">
            <x-field name="measured_by" label="Measured by" :value="$screen->elsewhere?->measured_by" help="person or laboratory" maxlength="120" />
            <x-field name="measured_with" label="Instrument or method" :value="$screen->elsewhere?->measured_with" help="for example hydrometer, refractometer"
                maxlength="60" />
            <x-choice name="so2_method" label="Free or total SO₂: measured by"
                :options="['' => 'choose'] + collect(Rheacid\Core\Acidity\So2Method::cases())->mapWithKeys(fn ($one) => [$one->value => $one->words()])->all()"
                :value="$screen->elsewhere?->so2_method?->value" />
            <x-field name="hydrometer_c" :label="'Hydrometer: temperature of the liquid, ' . Rheacid\Core\Celsius::unit()"
                :help="'from ' . Rheacid\Core\Celsius::between(10, 30) . ', corrected to ' . Rheacid\Core\Celsius::at(20) . '; leave empty if read at '
                . Rheacid\Core\Celsius::at(20)" inputmode="decimal" />
            <x-field name="expanded_u" label="Uncertainty ±, k = 2"
                :value="$was?->replicates->first()?->expanded_u === null ? null : Rheacid\Core\Numbers::plain(round($was->quantity()->in($was->acidityUnit(),
                $was->replicates->first()->expanded_u), 6))" help="leave empty if unknown; the value then proves no binding limit" inputmode="decimal" />
            <x-field name="certificate" label="Certificate" :value="$screen->elsewhere?->certificate" maxlength="120" />
            <x-field name="measured_at" label="Measured at" type="datetime-local" :value="Rheacid\Site\SiteClock::field($was?->observed_at ?? now())" />
            @if ($was)<x-field name="reason" label="Reason for the correction" class="wide" maxlength="400" />@endif
        </div>
    </form>
    <x-slot:act><a href="{{ route('batches.show', $batch) }}">Open batch {{ $batch->code }}</a>
        <button class="do" form="other" data-primary>Record value <kbd>Enter</kbd></button></x-slot>
    @else
        <p class="what">Auditors read here and record nothing.</p>
    @endif
    <x-slot:evidence>
        <h2>What it can prove</h2>
        <p>A temperature relies on the check of its thermometer; the correction is applied. Other values are recorded with who measured them, how and when. They
            prove a critical or legal limit only if the source is an <a href="{{ route('sources') }}">accepted outside source</a>.</p>
        <p>Values on different bases are different quantities: an acidity to pH {{ Rheacid\Core\Numbers::fixed(8.2,
            1) }} is never compared with a limit to pH {{ Rheacid\Core\Numbers::fixed(7, 1) }}.</p>
        <p class="caution">Hot food and steam burn. Use a long probe to reach the coldest point. Follow your site’s rules and local codes.</p>
    </x-slot>
</x-house>
