@props(['screen'])
<div class="fields">
    <x-field name="reading" :label="$screen->isConductivity ? 'Conductivity, not compensated' : 'Redox potential'" :help="$screen->isConductivity ? 'µS/cm, or with its unit like 12.88 mS/cm' : 'mV as the meter shows it'" inputmode="text" form="accept" />
    <x-field name="celsius" label="Temperature" help="°C, or with its unit like 70.5 F" inputmode="text" form="accept" />
    <label class="form-check wide"><input class="form-check-input" type="checkbox" name="still" value="1" form="accept" @checked(old('still'))> it stood still for 30 s</label>
</div>
