@props(['name', 'label', 'help' => null, 'value' => null, 'id' => null])
@php($key = str_replace(['[', ']'], ['.', ''], $name))
@php($id ??= 'f-' . str_replace('.', '-', $key))
@php($typed = is_scalar(old($key, $value)) ? old($key, $value) : '')
<div {{ $attributes->only('class') }}>
    <label class="form-label" for="{{ $id }}">{{ $label }}</label>
    @if ($slot->isEmpty())
        <input id="{{ $id }}" name="{{ $name }}" value="{{ $typed }}" @if ($help || $errors->has($key)) aria-describedby="{{ $id }}-help" @endif @if ($errors->has($key)) aria-invalid="true" @endif {{ $attributes->except('class')->merge(['class' => 'form-control', 'autocomplete' => 'off']) }}>
    @else
        {{ $slot }}
    @endif
    <div id="{{ $id }}-help">
        @error($key)<p class="problem">{{ $message }}</p>@enderror
        @if ($attributes['type'] === 'datetime-local' && Rheacid\SiteClock::comesTwice($typed))
            <select class="form-select" name="{{ $name }}_hour" aria-label="{{ $label }}: which of both hours"><option value="">which time of both?</option>@foreach (['first', 'second'] as $which)<option value="{{ $which }}" @selected(old($key . '_hour') === $which)>the {{ $which }} time</option>@endforeach</select>
        @endif
        @if ($help)<div class="form-text">{{ $help }}</div>@endif
    </div>
</div>
