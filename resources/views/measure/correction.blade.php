<x-house :title="'Correct a reading on ' . $measurement->occasion->batch->code" room="Batches">
    <p class="what">The entry of {{ Rheacid\Site\SiteClock::full($measurement->observed_at) }} stays on record. This entry replaces it, with your name and
        reason.</p>
    <form id="correct" method="post" action="{{ route('corrections.store', $measurement) }}" data-keep>
        <x-form-id />
        <div class="fields">
            <x-choice name="stage" label="Stage of the batch"
                :options="collect(Rheacid\Core\Limits\Stage::cases())->mapWithKeys(fn ($stage) => [$stage->value => $stage->words()])"
                :value="$measurement->occasion->stage->value" />
            <x-choice name="place" label="Sample from" :options="array_combine($measurement->occasion->batch->product->method->places,
                $measurement->occasion->batch->product->method->places)" :value="$measurement->sample->place" />
            <x-field name="drawn_at" label="Drawn at" type="datetime-local" :value="Rheacid\Site\SiteClock::field($measurement->sample->drawn_at)" />
        </div>
        @foreach ($measurement->replicates as $replicate)
            <h2>Portion {{ $replicate->position }}</h2>
            <div class="fields">
                @if ($measurement->pair->meter->shows_mv)
                    <x-field name="signal[{{ $replicate->position }}]" label="Potential of portion {{ $replicate->position }}"
                        :value="Rheacid\Core\Numbers::plain($replicate->mv)" help="mV" />
                @else
                    <x-field name="signal[{{ $replicate->position }}]" label="pH shown for portion {{ $replicate->position }}"
                        :value="Rheacid\Core\Numbers::plain($replicate->shown_ph)" help="as the meter showed it" />
                @endif
                <x-field name="celsius[{{ $replicate->position }}]" label="Temperature of portion {{ $replicate->position }}"
                    :value="Rheacid\Core\Celsius::bare($replicate->shown_c)" :help="Rheacid\Core\Celsius::unit() . ' as the thermometer showed it'" />
            </div>
        @endforeach
        <x-field name="reason" label="Reason for the correction" class="apart" maxlength="400" />
    </form>
    <x-slot:act>
        <a href="{{ route('readings.show', $measurement) }}">Cancel</a>
        <button class="do" form="correct" data-primary>Record correction</button>
    </x-slot>
</x-house>
