@props(['screen'])
<div class="fields">
    <x-field name="reading" :label="$screen->isConductivity ? 'Conductivity' : 'Redox potential'" :help="$screen->isConductivity ? 'µS/cm, or with its unit like 12.88 mS/cm' : 'mV as the meter shows it'" inputmode="text" form="accept" />
    <x-field name="celsius" label="Temperature" :help="Rheacid\Core\Celsius::unit() === '°F' ? '°F, or with its unit like 21.4 C' : '°C, or with its unit like 70.5 F'" inputmode="text" form="accept" />
    @if ($screen->isConductivity)<label class="form-check wide"><input class="form-check-input" type="checkbox" name="is_compensated" value="1" form="accept" @checked(old('is_compensated', $screen->pair->newestCell?->is_compensated))> the pen compensates to 25 °C by itself</label>@endif
    <label class="form-check wide"><input class="form-check-input" type="checkbox" name="still" value="1" form="accept" @checked(old('still'))> it stood still for 30 s</label>
</div>
