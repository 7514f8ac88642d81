@props(['name', 'label', 'options', 'value' => null, 'help' => null])
{{-- One of a few, as a group with its name, help and error. options: words by value --}}
@php($chosen = old($name, $value))
@php($problem = $errors->first($name))
<fieldset {{ $attributes->only('class') }} @if ($help || $problem) aria-describedby="f-{{ $name }}-help" @endif>
    <legend class="form-label">{{ $label }}</legend>
    @foreach ($options as $one => $words)
        <label class="form-check" for="f-{{ $name }}-{{ $loop->index }}">
            <input class="form-check-input" type="radio" id="f-{{ $name }}-{{ $loop->index }}" name="{{ $name }}" value="{{ $one }}"
            @checked(is_scalar($chosen) && (string) $chosen === (string) $one) @if ($problem) aria-invalid="true" @endif {{ $attributes->except('class') }}>
            {{ $words }}</label>
    @endforeach
    <div id="f-{{ $name }}-help">@if ($problem)<p class="problem">{{ $problem }}</p>@endif @if ($help)<div class="form-text">{{ $help }}</div>@endif</div>
</fieldset>
