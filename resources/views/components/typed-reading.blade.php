@props(['window', 'form', 'meter'])
<div class="lead-row">
    <div class="fields">
        @if ($meter->shows_mv)
            <x-field name="mv" :label="'Potential'" :help="'mV as shown, like ' . Rheacid\Core\Numbers::fixed(177.4, 1)" inputmode="decimal" autofocus :form="$form"><div class="with-sign"><input id="f-mv" name="mv" value="{{ is_string(old('mv')) ? old('mv') : '' }}" class="form-control" autocomplete="off" inputmode="decimal" autofocus form="{{ $form }}" aria-describedby="f-mv-help" @error('mv') aria-invalid="true" @enderror><button type="button" class="do quiet" hidden data-scripted data-sign="f-mv" aria-label="Change the sign">±</button></div></x-field>
        @else
            <x-field name="shown_ph" label="pH shown" :help="'as shown, like ' . Rheacid\Core\Numbers::fixed(4.02, 2)" inputmode="decimal" autofocus :form="$form" />
        @endif
        <x-field name="celsius" label="Temperature" :help="Rheacid\Core\Celsius::example()" inputmode="decimal" :form="$form" />
        <div class="wide">
            <x-tick name="still" :form="$form" :data-still="(int) $window" :checked="old('still')">The display was stable within {{ Rheacid\Core\Numbers::fixed(0.02, 2) }} pH for {{ (int) $window }} s</x-tick>
            <button type="button" class="do quiet" hidden data-scripted data-changed>The display just changed</button>
        </div>
        <x-field name="response_time_s" data-optional label="Response time (optional)" help="seconds until stable, like 44" inputmode="decimal" :form="$form" />
    </div>
    <svg class="ring typed" hidden data-scripted viewBox="0 0 120 120" role="img" aria-label="seconds since the reading was typed or changed">
        <circle cx="60" cy="60" r="48"/><circle class="arc" cx="60" cy="60" r="48" pathLength="100" stroke-dasharray="0 100" transform="rotate(-90 60 60)"/>
        <text class="n" x="60" y="60" text-anchor="middle">0 s</text><text x="60" y="80" text-anchor="middle" fill="currentColor" font-size="14">of {{ (int) $window }} s</text>
    </svg>
</div>
