@props(['name', 'label', 'help' => null, 'value' => null, 'id' => null, 'keeps' => true])
{{-- keeps: whether what was typed is shown again; false where another form of the page has a field of the same name --}}
@php($key = str_replace(['[', ']'], ['.', ''], $name))
@php($id ??= 'f-' . str_replace('.', '-', $key))
@php($problem = $keeps ? $errors->first($key) : '')
@php($kept = $keeps ? old($key, $value) : $value)
@php($typed = is_scalar($kept) ? $kept : '')
<div {{ $attributes->only('class') }}>
    <label class="form-label" for="{{ $id }}">{{ $label }}</label>
    @if ($slot->isEmpty())
        <input id="{{ $id }}" name="{{ $name }}" value="{{ $typed }}" @if ($help || $problem) aria-describedby="{{ $id }}-help" @endif @if ($problem)
            aria-invalid="true" @endif {{ $attributes->except('class')->merge(['class' => 'form-control', 'autocomplete' => 'off']) }}>
    @else
        {{ $slot }}
    @endif
    <div id="{{ $id }}-help">
        @if ($problem)<p class="problem">{{ $problem }}</p>@endif
        @if ($attributes['type'] === 'datetime-local' && Rheacid\Http\Forms\TypedTime::comesTwice($typed))
            <select class="form-select" name="{{ $name }}_hour" aria-label="{{ $label }}: which of both hours">
                <option value="">first or second?</option>@foreach (['first', 'second'] as $which)
                <option value="{{ $which }}" @selected(old($key . '_hour') === $which)>the {{ $which }} time</option>@endforeach</select>
        @endif
        @if ($help)<div class="form-text">{{ $help }}</div>@endif
    </div>
</div>
