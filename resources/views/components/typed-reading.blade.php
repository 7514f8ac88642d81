@props(['window', 'form', 'meter'])
<div class="fields">
    @if ($meter->shows_mv)
        <x-field name="mv" label="Potential" help="mV as the meter shows it, like 177.4" inputmode="text" autofocus :form="$form" />
    @else
        <x-field name="shown_ph" label="pH shown" help="as the meter shows it, like 4.02" inputmode="text" autofocus :form="$form" />
    @endif
    <x-field name="celsius" label="Temperature" help="°C, or with its unit like 70.5 F" inputmode="text" :form="$form" />
    <x-field name="response_time_s" label="Time to come to rest (may stay empty)" help="seconds, like 44" inputmode="text" :form="$form" />
    <label class="form-check wide"><input class="form-check-input" type="checkbox" name="still" value="1" form="{{ $form }}" @checked(old('still'))> it stood still, within 0.02 pH, for {{ $window }} s</label>
</div>
