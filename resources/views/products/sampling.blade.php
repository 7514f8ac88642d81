{{-- When, how many and where; and which school is followed. --}}
@use(Rheacid\Core\Limits\Stage)
@use(Rheacid\Core\Words\SamplingWords)
@use(Rheacid\Products\TypedSampling)
@php($quantities = TypedSampling::quantities($product))
<h2>Sampling plan</h2>
@foreach (TypedSampling::rows($product) as ['key' => $key, 'line' => $line])
    @php($of = old("sampling.$key.of", $line ? "$line->measurand|$line->basis" : ''))
    @php($when = old("sampling.$key.when", $line ? $line->stage?->value ?? TypedSampling::EVERY : TypedSampling::EVERY))
    <details class="plan" @if ($line === null && $of !== '') open @endif><summary>{{ $line ? SamplingWords::what($line) . ', ' . SamplingWords::when($line) : 'Another line' }}</summary>
        <div class="fields apart">
            <x-field :name="'sampling[' . $key . '][of]'" label="What"><select class="form-select" id="f-sampling-{{ $key }}-of" name="sampling[{{ $key }}][of]">@if ($line === null)<option value=""></option>@endif @foreach ($quantities as $value => $words)<option value="{{ $value }}" @selected($of === $value)>{{ $words }}</option>@endforeach</select></x-field>
            <x-field :name="'sampling[' . $key . '][when]'" label="When"><select class="form-select" id="f-sampling-{{ $key }}-when" name="sampling[{{ $key }}][when]"><option value="{{ TypedSampling::EVERY }}" @selected($when === TypedSampling::EVERY)>again and again</option>@foreach (Stage::cases() as $stage)<option value="{{ $stage->value }}" @selected($when === $stage->value)>{{ $stage->words() }}</option>@endforeach</select></x-field>
            <x-field :name="'sampling[' . $key . '][every]'" label="Every hours" :value="$line?->everyHours" inputmode="decimal" />
            <x-field :name="'sampling[' . $key . '][count]'" label="How many" :value="$line->count ?? 1" inputmode="numeric" />
            <x-field :name="'sampling[' . $key . '][where]'" label="Where" :value="$line?->where" help="the coldest, thickest, slowest place" maxlength="120" class="wide" />
            @if ($line)<label class="form-check"><input class="form-check-input" type="checkbox" name="sampling[{{ $key }}][out]" value="1" @checked(old("sampling.$key.out"))> leave it out</label>@endif
        </div>
    </details>
@endforeach
@foreach (Rheacid\Products\TypedSchools::of($product) as $i => $school)
    @if ($loop->first)<h2>Where the trade has more than one school</h2><div class="fields">@endif
    <x-field :name="'school[' . $i . ']'" :label="$school['topic']" :help="collect($school['options'])->map(fn ($option) => $option['name'] . ': ' . $option['why'])->join(' · ')" class="wide"><select class="form-select" id="f-school-{{ $i }}" name="school[{{ $i }}]"><option value="">not chosen</option>@foreach ($school['options'] as $option)<option value="{{ $option['name'] }}" @selected(old("school.$i", $school['chosen']) === $option['name'])>{{ $option['name'] }}</option>@endforeach</select></x-field>
    @if ($loop->last)</div><p class="note">A choice changes no number by itself: where it asks for another limit, change the limit above.</p>@endif
@endforeach
