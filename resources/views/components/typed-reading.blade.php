@props(['window', 'form', 'meter'])
@php($name = $meter->shows_mv ? 'mv' : 'shown_ph')
<div class="lead-row">
    <div class="fields">
        @if ($meter->shows_mv)
            <x-field name="mv" :label="'Potential'" :help="'mV as shown, like ' . Rheacid\Core\Numbers::fixed(177.4, 1)" inputmode="decimal" autofocus
                :form="$form"><div class="with-sign"><input id="f-mv" name="mv" value="{{ is_string(old('mv')) ? old('mv') : '' }}" class="form-control"
                autocomplete="off" inputmode="decimal" autofocus form="{{ $form }}" aria-describedby="f-mv-help" data-watched="watched_s" @error('mv')
                aria-invalid="true" @enderror><button type="button" class="do quiet" hidden data-scripted data-sign="f-mv"
                aria-label="Change the sign">±</button></div></x-field>
        @else
            <x-field name="shown_ph" label="pH shown" :help="'as shown, like ' . Rheacid\Core\Numbers::fixed(4.02, 2)" inputmode="decimal" autofocus
                :form="$form" data-watched="watched_s" />
        @endif
        <input type="hidden" name="watched_s" value="{{ is_numeric(old('watched_s')) ? old('watched_s') : '' }}" form="{{ $form }}">
        <x-field name="celsius" label="Temperature" :help="Rheacid\Core\Celsius::example()" inputmode="decimal" :form="$form" />
        <div class="wide">
            <p class="form-text" hidden data-scripted>
                Type the number, keep looking at the display, and accept when the ring is full. If the display changes, type the new number.</p>
            <x-tick name="still" :form="$form" :checked="old('still')">It was stable for {{ (int) $window }} s before I typed it<small
                class="soft"> · kept as your word</small></x-tick>
        </div>
        <x-field name="response_time_s" data-optional label="Response time (optional)" help="seconds until stable, like 44" inputmode="decimal" :form="$form" />
    </div>
    <x-typed-ring :window="$window" gates />
</div>
