@php($batch = $screen->batch)
<x-house :title="'Another quantity · ' . $batch->code" room="Measure">
    <p class="what">{{ $batch->product->name }} · batch <a href="{{ route('batches.show', $batch) }}"><b>{{ $batch->code }}</b></a> · {{ $batch->vessel }}</p>
    @if (Gate::allows('record'))
    @php($was = $screen->corrects)
    @if ($was)
        <p class="what">The entry of {{ Rheacid\SiteClock::full($was->observed_at) }} stays on record; this one takes its place, with your name and reason.</p>@endif
    <form id="other" method="post" action="{{ route('others.store', $batch) }}" data-keep>
        <x-form-id />
        @if ($was)<input type="hidden" name="corrects" value="{{ $was->id }}">@endif
        <div class="fields">
            <x-field name="of" label="What" class="wide"><select class="form-select" id="f-of" name="of">
                @foreach (['asked by its limits' => $screen->asked, 'others' => $screen->others] as $group => $quantities)
                    @if ($quantities !== [])<optgroup label="{{ $group }}">@foreach ($quantities as $value => $words)
                        <option value="{{ $value }}" @selected(old('of', $screen->chosen) === $value)>{{ $words }}</option>@endforeach</optgroup>@endif
                @endforeach
            </select></x-field>
            <x-field name="values" label="Read" :value="$was?->replicates->map(fn ($one) => $was->measurand === Rheacid\Core\Measurands\Measurand::Temperature ? Rheacid\Core\Celsius::bare($one->shown_c ?? $one->value) : Rheacid\Core\Numbers::plain($one->shown_c ?? $one->value))->join('; ')" help="several portions with a semicolon: 5,2; 5,3" inputmode="text" />
            <x-field name="unit" label="Unit, if another" help="like °F, g/kg, mg/L, mS/cm" maxlength="20" />
            <x-sample :batch="$batch" :stage="$was?->occasion->stage->value ?? 'underway'" :place="$was?->sample->place" :at="$was?->sample->drawn_at" />
            @unless ($was)<x-together :occasions="$screen->together" />@endunless
        </div>
        <h2>A temperature</h2>
        <div class="fields"><x-field name="thermometer" label="With"><select class="form-select" id="f-thermometer" name="thermometer">
            <option value=""></option>@foreach ($screen->thermometers as $thermometer)
            <option value="{{ $thermometer->id }}" @selected((int) old('thermometer', $was?->verification?->thermometer_id) === $thermometer->id)>{{ $thermometer->code }} · {{ Rheacid\Shelf\Thermometers::words($thermometer->status()) }}</option>@endforeach</select>
        </x-field>
            <label class="form-check at-the-foot"><input class="form-check-input" type="checkbox" name="still" value="1" @checked(old('still'))> it stood still, in the coldest place; else it proves nothing</label></div>
        <h2>Anything else</h2>
        <div class="fields">
            <x-field name="measured_by" label="Measured by" :value="$screen->elsewhere?->measured_by" help="a person, a laboratory" maxlength="120" />
            <x-field name="measured_with" label="With what" :value="$screen->elsewhere?->measured_with" help="hydrometer, refractometer, ripper …" maxlength="60" />
            <x-field name="hydrometer_c" :label="'A hydrometer: ' . Rheacid\Core\Celsius::unit() . ' of the liquid'" :help="Rheacid\Core\Celsius::between(10, 30) . ': corrected to ' . Rheacid\Core\Celsius::at(20) . '; empty where it was read there'" inputmode="decimal" />
            <x-field name="expanded_u" label="Uncertainty ±, k = 2" :value="$was?->replicates->first()?->expanded_u" help="empty where nobody knows: then it proves nothing that binds" inputmode="decimal" />
            <x-field name="certificate" label="Certificate" :value="$screen->elsewhere?->certificate" maxlength="120" />
            <x-field name="measured_at" label="Measured at" type="datetime-local" :value="Rheacid\SiteClock::field($was?->observed_at ?? now())" />
            @if ($was)<x-field name="reason" label="Why it is corrected" class="wide" maxlength="400" />@endif
        </div>
    </form>
    <x-slot:act><a href="{{ route('batches.show', $batch) }}">To batch {{ $batch->code }}</a>
        <button class="do" form="other" data-primary>Record it <kbd>Enter</kbd></button></x-slot>
    @else
        <p class="what">Checkers and leads do this. What was recorded can be read.</p>
    @endif
    <x-slot:evidence>
        <h2>What it can prove</h2>
        <p>A temperature rests on a check of its thermometer, whose correction is applied. What comes from elsewhere is kept with who, with what and when; it is judged, but proves a critical or legal limit only where <a href="{{ route('sources') }}">its source is named</a>.</p>
        <p>Two numbers on different bases are two quantities: an acidity to 8.2 is never compared with a limit to 7.0.</p>
        <p class="caution">Hot food and steam burn: the coldest point is measured with a long probe. Follow your site’s rules and local codes.</p>
    </x-slot>
</x-house>
