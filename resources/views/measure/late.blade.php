@php($batch = $screen->batch)
<x-house :title="'Readings from paper · ' . $batch->code" room="Measure">
    <p class="what">{{ $batch->product->name }} · batch <a href="{{ route('batches.show', $batch) }}"><b>{{ $batch->code }}</b></a> · {{ $batch->vessel }}</p>
    @if (Gate::allows('record'))
    <form id="late" method="post" action="{{ route('late.store', $batch) }}" data-keep>
        <x-form-id />
        <div class="fields">
            <x-choice name="pair" label="Pair" :options="collect($screen->pairs)->mapWithKeys(fn ($pair) => [$pair->id => $pair->code . ' on '
                . $pair->name])" />
            <x-choice name="thermometer" label="Thermometer" :options="collect($screen->thermometers)->mapWithKeys(fn ($one) => [$one->id => $one->code . ' · '
                . Rheacid\Queries\Ready\Thermometers::words($one->status())])" />
            <x-sample :batch="$batch" :drawn="false" />
            <x-sample-treatment :method="$batch->product->method" :pilot="false" />
            <x-field name="readings" label="Readings" class="wide"
                :help="'one sample per line: date and time; display for each portion; temperature in ' . Rheacid\Core\Celsius::unit()
                . '. Example: 2026-11-27 09:40; ' . Rheacid\Core\Numbers::fixed(138.3, 1) . '; ' . Rheacid\Core\Numbers::fixed(138.1, 1) . '; '
                . Rheacid\Core\Celsius::bare(21.4, 1)"><textarea class="form-control" id="f-readings" name="readings" rows="12"
                aria-describedby="f-readings-help" @error('readings') aria-invalid="true"
                @enderror>{{ is_string(old('readings')) ? old('readings') : '' }}</textarea></x-field>
            <x-tick name="still" class="wide" :checked="old('still')">Each was stable when it was written down (otherwise they prove nothing)</x-tick>
        </div>
    </form>
    <x-slot:act><a href="{{ route('drafts.create', $batch) }}">Measure now</a>
        <button class="do" form="late" data-primary>Record readings <kbd>Enter</kbd></button></x-slot>
    @else
        <p class="what">Auditors read here and record nothing.</p>
    @endif
    <x-slot:evidence>
        <h2>How they count</h2>
        <p>Each reading counts at its own time, with the calibration and thermometer check that were valid then. Deadlines count the time of sampling.</p>
        <p>Either all lines are recorded or none. Each is marked as entered late, with your name.</p>
        <p class="note">Keep the paper. It is the original record.</p>
    </x-slot>
</x-house>
