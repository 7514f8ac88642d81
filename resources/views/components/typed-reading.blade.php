@props(['window', 'form', 'meter'])
<div class="lead-row">
    <div class="fields">
        @if ($meter->shows_mv)
            <x-field name="mv" label="Potential" help="mV as the meter shows it, like 177.4" inputmode="decimal" autofocus :form="$form"><div class="with-sign"><input id="f-mv" name="mv" value="{{ is_string(old('mv')) ? old('mv') : '' }}" class="form-control" autocomplete="off" inputmode="decimal" autofocus form="{{ $form }}" aria-describedby="f-mv-help" @error('mv') aria-invalid="true" @enderror><button type="button" class="do quiet" hidden data-scripted data-sign="f-mv" aria-label="change the sign">±</button></div></x-field>
        @else
            <x-field name="shown_ph" label="pH shown" help="as the meter shows it, like 4.02" inputmode="decimal" autofocus :form="$form" />
        @endif
        <x-field name="celsius" label="Temperature" :help="Rheacid\Core\Celsius::unit() === '°F' ? '°F, or with its unit like 21.4 C' : '°C, or with its unit like 70.5 F'" inputmode="decimal" :form="$form" />
        <div class="wide">
            <label class="form-check"><input class="form-check-input" type="checkbox" name="still" value="1" form="{{ $form }}" data-still="{{ (int) $window }}" @checked(old('still'))> it stood still, within 0.02 pH, for {{ (int) $window }} s</label>
            <button type="button" class="do quiet" hidden data-scripted data-changed>The digits changed just now</button>
        </div>
        <x-field name="response_time_s" label="Time to come to rest (may stay empty)" help="seconds, like 44" inputmode="decimal" :form="$form" />
    </div>
    <svg class="ring typed" hidden data-scripted viewBox="0 0 120 120" role="img" aria-label="seconds since the digits were typed or changed">
        <circle cx="60" cy="60" r="48"/><circle class="arc" cx="60" cy="60" r="48" pathLength="100" stroke-dasharray="0 100" transform="rotate(-90 60 60)"/>
        <text class="n" x="60" y="60" text-anchor="middle">0 s</text><text x="60" y="80" text-anchor="middle" fill="currentColor" font-size="14">of {{ (int) $window }} still</text>
    </svg>
</div>
