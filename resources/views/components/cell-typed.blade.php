@props(['screen'])
<div class="fields">
    <x-field name="reading" :label="$screen->isConductivity ? 'Conductivity' : 'Redox potential'"
        :help="$screen->isConductivity ? 'µS/cm, or with a unit like ' . Rheacid\Core\Numbers::fixed(12.88, 2) . ' mS/cm' : 'mV as shown'" inputmode="text"
        form="accept" />
    <x-field name="celsius" label="Temperature" :help="Rheacid\Core\Celsius::example()" inputmode="text" form="accept" />
    @if ($screen->isConductivity)<x-tick name="is_compensated" class="wide" form="accept"
        :checked="old('is_compensated', $screen->pair->newestCell?->is_compensated)">The meter compensates to 25 °C itself</x-tick>@endif
    <x-tick name="still" class="wide" form="accept" :checked="old('still')">The display was stable for 30 s</x-tick>
</div>
