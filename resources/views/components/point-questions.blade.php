@props(['form', 'all' => false])
{{-- What a point is asked about, each question with its own answer; shown where the server asked, or where something was answered. --}}
@php($asks = fn ($name) => $all || $errors->has($name) || (is_string(old($name)) && old($name) !== ''))
@if ($errors->has('label') || old('label_checked'))
    <x-tick name="label_checked" class="apart" :form="$form" :checked="old('label_checked')">I looked at the label: it is the right bottle</x-tick>
    @error('label')<p class="problem" role="alert">{{ $message }}</p>@enderror
@endif
@if ($asks('cup_reason'))<x-field name="cup_reason" label="Why this is the right cup" class="apart" maxlength="400" :form="$form"
    help="It then proves no critical or legal limit." />@endif
@if ($asks('temperature_reason'))<x-field name="temperature_reason" label="Why this buffer is warmer or colder" class="apart" maxlength="400"
    :form="$form" />@endif
@if ($asks('gap_reason'))<x-field name="gap_reason" label="Why you go on after the break" class="apart" maxlength="400" :form="$form" />@endif
