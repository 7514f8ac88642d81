{{-- Where a batch stands and from where the sample was drawn. --}}
@props(['batch', 'stage' => 'underway', 'place' => null, 'drawn' => true, 'at' => null])
<x-choice name="stage" label="Stage of the batch"
    :options="collect(Rheacid\Core\Limits\Stage::cases())->mapWithKeys(fn ($one) => [$one->value => $one->words()])" :value="$stage" />
<x-choice name="place" label="Sample from" :options="array_combine($batch->product->method->places, $batch->product->method->places)" :value="$place" />
@if ($drawn)<x-field name="drawn_at" label="Drawn at" type="datetime-local" :value="Rheacid\Site\SiteClock::field($at ?? now())"
    help="deadlines count this time" />
<x-tick name="chilled" class="at-the-foot"
    :checked="old('chilled')">Kept cold since; otherwise a sample older than {{ Rheacid\Core\Measuring\Freshness::MINUTES }} min counts from the time it is
    read</x-tick>@endif
