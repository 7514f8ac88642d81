<x-house :title="'Correct a reading on ' . $measurement->occasion->batch->code" room="Batches">
    <p class="what">The entry of {{ Rheacid\SiteClock::full($measurement->observed_at) }} stays on record; this one takes its place, with your name and reason.</p>
    <form id="correct" method="post" action="{{ route('corrections.store', $measurement) }}" data-keep>
        <x-form-id />
        <div class="fields">
            <x-field name="stage" label="Stage of the batch">
                <select class="form-select" id="f-stage" name="stage">@foreach (Rheacid\Core\Limits\Stage::cases() as $stage)<option value="{{ $stage->value }}" @selected(old('stage', $measurement->occasion->stage->value) === $stage->value)>{{ $stage->words() }}</option>@endforeach</select>
            </x-field>
            <x-field name="place" label="Drawn from">
                <select class="form-select" id="f-place" name="place">@foreach ($measurement->occasion->batch->product->method->places as $place)<option @selected(old('place', $measurement->sample->place) === $place)>{{ $place }}</option>@endforeach</select>
            </x-field>
            <x-field name="drawn_at" label="Drawn at" type="datetime-local" :value="Rheacid\SiteClock::field($measurement->sample->drawn_at)" />
        </div>
        @foreach ($measurement->replicates as $replicate)
            <h2>Portion {{ $replicate->position }}</h2>
            <div class="fields">
                @if ($measurement->pair->meter->shows_mv)
                    <x-field name="signal[{{ $replicate->position }}]" label="Potential of portion {{ $replicate->position }}" :value="Rheacid\Core\Numbers::plain($replicate->mv)" help="mV" />
                @else
                    <x-field name="signal[{{ $replicate->position }}]" label="pH shown for portion {{ $replicate->position }}" :value="Rheacid\Core\Numbers::plain($replicate->shown_ph)" help="as the meter showed it" />
                @endif
                <x-field name="celsius[{{ $replicate->position }}]" label="Temperature of portion {{ $replicate->position }}" :value="Rheacid\Core\Celsius::bare($replicate->shown_c)" :help="Rheacid\Core\Celsius::unit() . ' as the thermometer showed it'" />
            </div>
        @endforeach
        <x-field name="reason" label="Why it is corrected" class="apart" maxlength="400" />
    </form>
    <x-slot:act>
        <a href="{{ route('readings.show', $measurement) }}">Leave it as it is</a>
        <button class="do" form="correct" data-primary>Record the correction</button>
    </x-slot>
</x-house>
