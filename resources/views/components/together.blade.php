{{-- To which occasion a sample belongs. --}}
@props(['occasions', 'joins' => null])
@if ($occasions->isNotEmpty())
    <x-choice name="joins" label="Belongs to the sample" class="wide" help="for example brine and solids, or three places: they are judged together"
        :options="['' => 'a new sample'] + $occasions->mapWithKeys(fn ($occasion) => [$occasion->id => Rheacid\Site\SiteClock::short($occasion->drawn_at) . ': '
        . Rheacid\Queries\Batches\OpenOccasions::words($occasion)])->all()" :value="$joins" />
@endif
