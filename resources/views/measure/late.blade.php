@php($batch = $screen->batch)
<x-house :title="'Readings from paper · ' . $batch->code" room="Measure">
    <p class="what">{{ $batch->product->name }} · batch <a href="{{ route('batches.show', $batch) }}"><b>{{ $batch->code }}</b></a> · {{ $batch->vessel }}</p>
    @if (Gate::allows('record'))
    <form id="late" method="post" action="{{ route('late.store', $batch) }}" data-keep>
        <x-form-id />
        <div class="fields">
            <x-field name="pair" label="Pair"><select class="form-select" id="f-pair" name="pair">@foreach ($screen->pairs as $pair)
                <option value="{{ $pair->id }}" @selected((int) old('pair') === $pair->id)>{{ $pair->code }} on {{ $pair->name }}</option>@endforeach</select>
            </x-field>
            <x-field name="thermometer" label="Thermometer">
                <select class="form-select" id="f-thermometer" name="thermometer">@foreach ($screen->thermometers as $thermometer)
                <option value="{{ $thermometer->id }}" @selected((int) old('thermometer') === $thermometer->id)>{{ $thermometer->code }} · {{ Rheacid\Shelf\Thermometers::words($thermometer->status()) }}</option>@endforeach</select>
            </x-field>
            <x-sample :batch="$batch" :drawn="false" />
            <x-field name="readings" label="Readings" class="wide" :help="'one sample a line: day and time; what the meter showed of each portion; ' . Rheacid\Core\Celsius::unit() . ' · 2026-11-27 09:40; 138,3; 138,1; ' . Rheacid\Core\Celsius::bare(21.4, 1)"><textarea class="form-control" id="f-readings" name="readings" rows="12" aria-describedby="f-readings-help" @error('readings') aria-invalid="true" @enderror>{{ is_string(old('readings')) ? old('readings') : '' }}</textarea></x-field>
            <label class="form-check wide"><input class="form-check-input" type="checkbox" name="still" value="1" @checked(old('still'))> each stood still when it was written down; else they prove nothing</label>
        </div>
    </form>
    <x-slot:act><a href="{{ route('drafts.create', $batch) }}">Measure now</a>
        <button class="do" form="late" data-primary>Enter them <kbd>Enter</kbd></button></x-slot>
    @else
        <p class="what">Checkers and leads do this. What was recorded can be read.</p>
    @endif
    <x-slot:evidence>
        <h2>How they count</h2>
        <p>Each at its own time, on the calibration and the check of the thermometer that were in force then. A deadline judges when the sample was drawn.</p>
        <p>All lines are recorded, or none; each says that it was entered late, and by whom.</p>
        <p class="note">Keep the paper: it is the first record.</p>
    </x-slot>
</x-house>
