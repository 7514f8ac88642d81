@use(Rheacid\Core\Limits\Stage)
@use(Rheacid\Core\Measuring\Matrix)
@php($method = $screen->method)
<x-house :title="'Change · ' . $method->name" room="Measure">
    <p class="what">This makes version {{ $method->version + 1 }}@if ($screen->products->isNotEmpty()), and a new version of {{ $screen->products->pluck('name')->join(', ', ' and ') }}@endif. Batches that have begun keep the version they were started under.</p>
    @error('method')<p class="problem">{{ $message }}</p>@enderror
    @if (Gate::allows('lead'))
    <form id="change" method="post" action="{{ route('methods.update', $method) }}" data-keep>
        <x-form-id />
        <div class="fields">
            <x-field name="name" label="Name" :value="$method->name" maxlength="120" />
            <x-field name="matrix" label="Kind of sample"><select class="form-select" id="f-matrix" name="matrix">@foreach (Matrix::cases() as $one)<option value="{{ $one->value }}" @selected(old('matrix', $method->matrix?->value) === $one->value)>{{ $one->words() }}</option>@endforeach</select></x-field>
            <x-field name="changed_because" label="What is changed, and why" help="stands with the version for ever" maxlength="400" class="wide" />
            <x-lines name="steps" label="Steps" :lines="$method->steps" help="one to a line, in the order in which they are done" rows="8" />
            <x-lines name="cautions" label="Cautions" :lines="$method->cautions ?? []" help="one to a line" rows="3" />
            <x-field name="low_c" label="Sample from °C" :value="$method->low_c" inputmode="decimal" />
            <x-field name="high_c" label="up to °C" :value="$method->high_c" inputmode="decimal" />
            <x-field name="portions" label="Portions of one place" :value="$method->portions" inputmode="numeric" />
            <x-field name="agree_within_ph" label="They agree within pH" :value="$method->agree_within_ph" inputmode="decimal" />
            <x-field name="matrix_bound_ph" label="The food itself adds at most pH" :value="$method->matrix_bound_ph" inputmode="decimal" />
            <x-field name="settle_window_s" label="Stands still for seconds" :value="$method->settle_window_s" inputmode="numeric" />
            <x-lines name="places" label="Places" :lines="$method->places" help="one to a line" />
            <x-lines name="needed_places" label="Places without which it proves nothing" :lines="$method->neededPlaces()" help="one to a line; empty where one place will do" rows="3" />
            <x-field name="dilution" label="Dilution" :value="$method->dilution" maxlength="200" class="wide" />
            <x-field name="why" label="Why so" :value="$method->why" maxlength="400" class="wide" />
        </div>
        <details class="plan" @if (($method->stage_temperatures ?? []) !== []) open @endif><summary>Temperatures of single stages</summary>
            <div class="fields apart">
                @foreach (Stage::cases() as $stage)
                    <x-field :name="'stage[' . $stage->value . '][low]'" :label="ucfirst($stage->words()) . ', from °C'" :value="$method->stage_temperatures[$stage->value][0] ?? null" inputmode="decimal" />
                    <x-field :name="'stage[' . $stage->value . '][high]'" label="up to °C" :value="$method->stage_temperatures[$stage->value][1] ?? null" inputmode="decimal" />
                @endforeach
            </div>
        </details>
    </form>
    <x-slot:act><a href="{{ route('methods.show', $method) }}">Back</a><button class="do" form="change" data-primary>Keep as version {{ $method->version + 1 }} <kbd>Enter</kbd></button></x-slot>
    @else
        <p class="what">A lead does this. What was recorded can be read.</p>
    @endif
    <x-slot:evidence><h2>What it decides</h2><p>A portion outside its temperatures proves nothing. An occasion that lacks a needed place proves nothing for a critical or legal limit. What the food adds enters the uncertainty of every reading.</p></x-slot>
</x-house>
