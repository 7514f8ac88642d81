@use(Rheacid\Core\Limits\Stage)
@use(Rheacid\Core\Measuring\Matrix)
@php($method = $screen->method)
<x-house :title="'Change · ' . $method->name" room="Measure">
    <p class="what">Saving creates version {{ $method->version + 1 }}@if ($screen->products->isNotEmpty()), and a new version of
        {{ $screen->products->pluck('name')->join(', ', ' and ') }}@endif. Batches already started keep their version.</p>
    @error('method')<p class="problem">{{ $message }}</p>@enderror
    <form id="change" method="post" action="{{ route('methods.update', $method) }}" data-keep>
        <x-form-id />
        <div class="fields">
            <x-field name="name" label="Name" :value="$method->name" maxlength="120" />
            <x-choice name="matrix" label="Kind of sample" :options="collect(Matrix::cases())->mapWithKeys(fn ($one) => [$one->value => $one->words()])"
                :value="$method->matrix?->value" />
            <x-field name="changed_because" label="What changed and why" help="kept with the version" maxlength="400" class="wide" />
            <x-lines name="steps" label="Steps" :lines="$method->steps" help="one per line, in order" rows="8" />
            <x-lines name="cautions" label="Cautions" :lines="$method->cautions ?? []" help="one per line" rows="3" />
            <x-field name="low_c" label="Sample temperature from, °C" :value="$method->low_c" inputmode="decimal" />
            <x-field name="high_c" label="to, °C" :value="$method->high_c" inputmode="decimal" />
            <x-field name="portions" label="Portions per place" :value="$method->portions" inputmode="numeric" />
            <x-field name="agree_within_ph" label="Portions agree within, pH" :value="$method->agree_within_ph" inputmode="decimal" />
            <x-field name="matrix_bound_ph" label="Uncertainty from the food, at most, pH" :value="$method->matrix_bound_ph" inputmode="decimal" />
            <x-field name="settle_window_s" label="Stable for, s" :value="$method->settle_window_s" inputmode="numeric" />
            <x-lines name="places" label="Places" :lines="$method->places" help="one per line" />
            <x-lines name="needed_places" label="Required places" :lines="$method->neededPlaces()" help="one per line; leave empty if one place is enough"
                rows="3" />
            <x-field name="dilution" label="Dilution" :value="$method->dilution" maxlength="200" class="wide" />
            <x-field name="dilution_parts" label="Parts of water to one part of the sample"
                :value="$method->dilution_parts === null ? null : Rheacid\Core\Numbers::plain($method->dilution_parts)" inputmode="decimal"
                help="like 1 for 1 + 1; leave empty if the sample is never diluted" />
            <x-lines name="dilution_trial" label="Trial of the dilution"
                :lines="array_map(fn ($pair) => Rheacid\Core\Numbers::fixed($pair[0], 2) . '; ' . Rheacid\Core\Numbers::fixed($pair[1], 2),
                $method->dilution_trial ?? [])"
                help="three samples or more, one per line: pH undiluted; pH diluted. The largest difference then replaces the usual bound." rows="3" />
            @foreach (['salt_percent' => 'Salt in the brine, up to, %', 'alcohol_percent' => 'Alcohol, up to, % vol',
                'fat_percent' => 'Fat, up to, %'] as $name => $label)
                <x-field :name="$name" :label="$label" :value="$method->$name === null ? null : Rheacid\Core\Numbers::plain($method->$name)" inputmode="decimal"
                    help="leave empty if there is little" />
            @endforeach
            <x-lines name="shift_trial" label="Trial with potassium chloride, very weak solutions"
                :lines="array_map(fn ($pair) => Rheacid\Core\Numbers::fixed($pair[0], 2) . '; ' . Rheacid\Core\Numbers::fixed($pair[1], 2), $method->shift_trial
                ?? [])" help="three samples or more, one per line: pH without; pH with one part of 3 M KCl to 1000" rows="3" />
            <x-choice name="other_electrodes" label="Electrodes that the method does not ask for"
                :options="['0' => 'are refused', '1' => 'are allowed; their readings prove nothing']" :value="$method->other_electrodes ? '1' : '0'" />
            <x-field name="why" label="Reasons" :value="$method->why" maxlength="400" class="wide" />
        </div>
        <details class="plan" @if (($method->stage_temperatures ?? []) !== []) open @endif><summary>Temperatures by stage</summary>
            <div class="fields apart">
                @foreach (Stage::cases() as $stage)
                    <x-field :name="'stage[' . $stage->value . '][low]'" :label="ucfirst($stage->words()) . ', from, °C'"
                        :value="$method->stage_temperatures[$stage->value][0] ?? null" inputmode="decimal" />
                    <x-field :name="'stage[' . $stage->value . '][high]'" label="to, °C" :value="$method->stage_temperatures[$stage->value][1] ?? null"
                        inputmode="decimal" />
                @endforeach
            </div>
        </details>
    </form>
    <x-slot:act><a href="{{ route('methods.show', $method) }}">Back</a><button class="do" form="change"
        data-primary>Save as version {{ $method->version + 1 }} <kbd>Enter</kbd></button></x-slot>
    <x-slot:evidence><h2>Effect on readings</h2><p>
        A portion outside these temperatures proves nothing. A sample that lacks a required place proves no critical or legal limit. The uncertainty from the
        food is added to every reading.</p></x-slot>
</x-house>
