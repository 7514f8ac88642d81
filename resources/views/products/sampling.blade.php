{{-- The sampling plan, and the practices to choose between. --}}
@use(Rheacid\Core\Limits\Stage)
@use(Rheacid\Core\Words\SamplingWords)
@use(Rheacid\Http\Forms\Products\TypedSampling)
@php($quantities = TypedSampling::quantities($product))
<h2>Sampling plan</h2>
@foreach (TypedSampling::rows($product) as ['key' => $key, 'line' => $line])
    @php($of = old("sampling.$key.of", $line ? "$line->measurand|$line->basis" : ''))
    @php($when = old("sampling.$key.when", $line ? $line->stage?->value ?? TypedSampling::EVERY : TypedSampling::EVERY))
    <details class="plan" @if ($line === null && $of !== '') open @endif><summary>
        {{ $line ? SamplingWords::what($line) . ', ' . SamplingWords::when($line) : 'Add a line' }}</summary>
        <div class="fields apart">
            <x-choice :name="'sampling[' . $key . '][of]'" label="Quantity" :options="($line === null ? ['' => ''] : []) + $quantities" :value="$of" />
            <x-choice :name="'sampling[' . $key . '][when]'" label="When"
                :options="[TypedSampling::EVERY => 'repeatedly', ...collect(Stage::cases())->mapWithKeys(fn ($stage) => [$stage->value => $stage->words()])]"
                :value="$when" />
            <x-field :name="'sampling[' . $key . '][every]'" label="Every hours" :value="$line?->everyHours" inputmode="decimal" />
            <x-field :name="'sampling[' . $key . '][count]'" label="Number of samples" :value="$line->count ?? 1" inputmode="numeric" />
            <x-field :name="'sampling[' . $key . '][where]'" label="Where" :value="$line?->where" help="for example the coldest, thickest or slowest place"
                maxlength="120" class="wide" />
            @if ($line)<x-tick :name="'sampling[' . $key . '][out]'" :checked="old('sampling.' . $key . '.out')">Remove this line</x-tick>@endif
        </div>
    </details>
@endforeach
@foreach (Rheacid\Http\Forms\Products\TypedSchools::of($product) as $i => $school)
    @if ($loop->first)<h2>Where practice differs</h2><div class="fields">@endif
    <x-choice :name="'school[' . $i . ']'" :label="$school['topic']"
        :help="collect($school['options'])->map(fn ($option) => $option['name'] . ': ' . $option['why'])->join(' · ')" class="wide"
        :options="['' => 'not chosen', ...collect($school['options'])->mapWithKeys(fn ($option) => [$option['name'] => $option['name']])]"
        :value="$school['chosen']" />
    @if ($loop->last)</div><p class="note">A choice changes no number. If it needs another limit, change the limit above.</p>@endif
@endforeach
