@php($batch = $screen->batch)
<x-house :title="'Another quantity · ' . $batch->code" room="Measure">
    <p class="what">{{ $batch->product->name }} · batch <a href="{{ route('batches.show', $batch) }}"><b>{{ $batch->code }}</b></a> · {{ $batch->vessel }}</p>
    @if (Gate::allows('record'))
    <form id="other" method="post" action="{{ route('others.store', $batch) }}" data-keep>
        <x-form-id />
        <div class="fields">
            <x-field name="of" label="What" class="wide"><select class="form-select" id="f-of" name="of">
                @foreach (['asked by its limits' => $screen->asked, 'others' => $screen->others] as $group => $quantities)
                    @if ($quantities !== [])<optgroup label="{{ $group }}">@foreach ($quantities as $value => $words)<option value="{{ $value }}" @selected(old('of', $screen->chosen) === $value)>{{ $words }}</option>@endforeach</optgroup>@endif
                @endforeach
            </select></x-field>
            <x-field name="values" label="Read" help="several portions with a semicolon: 5,2; 5,3" inputmode="text" />
            <x-field name="unit" label="Unit, if another" help="like °F, g/kg, mg/L, mS/cm" maxlength="20" />
            <x-sample :batch="$batch" />
            <x-together :occasions="$screen->together" />
        </div>
        <h2>A temperature</h2>
        <div class="fields"><x-field name="thermometer" label="With"><select class="form-select" id="f-thermometer" name="thermometer"><option value=""></option>@foreach ($screen->thermometers as $thermometer)<option value="{{ $thermometer->id }}" @selected((int) old('thermometer') === $thermometer->id)>{{ $thermometer->code }} · {{ Rheacid\Shelf\Thermometers::words($thermometer->status()) }}</option>@endforeach</select></x-field></div>
        <h2>Anything else</h2>
        <div class="fields">
            <x-field name="measured_by" label="Measured by" help="a person, a laboratory" maxlength="120" />
            <x-field name="measured_with" label="With what" help="hydrometer at 20 °C, refractometer, ripper …" maxlength="120" />
            <x-field name="expanded_u" label="Uncertainty ±, k = 2" help="empty where nobody knows: then it proves nothing that binds" inputmode="decimal" />
            <x-field name="certificate" label="Certificate" maxlength="120" />
            <x-field name="measured_at" label="Measured at" type="datetime-local" :value="Rheacid\SiteClock::field(now())" />
        </div>
    </form>
    <x-slot:act><a href="{{ route('batches.show', $batch) }}">To batch {{ $batch->code }}</a><button class="do" form="other" data-primary>Record it <kbd>Enter</kbd></button></x-slot>
    @else
        <p class="what">Checkers and leads do this. What was recorded can be read.</p>
    @endif
    <x-slot:evidence>
        <h2>What it can prove</h2>
        <p>A temperature rests on a check of its thermometer, whose correction is applied. What comes from elsewhere is kept with who, with what and when; it is judged, but it releases nothing that is bound by a critical or legal limit.</p>
        <p>Two numbers on different bases are two quantities: an acidity to 8.2 is never compared with a limit to 7.0.</p>
        <p class="caution">Hot food and steam burn: the coldest point is measured with a long probe. Follow your site’s rules and local codes.</p>
    </x-slot>
</x-house>
