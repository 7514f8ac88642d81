@props(['name', 'value' => '1', 'checked' => false, 'help' => null, 'id' => null, 'keeps' => true])
{{-- A check box, tied to its label, help and error; the slot says what ticking it means --}}
@php($key = rtrim(str_replace(['[', ']'], ['.', ''], $name), '.'))
@php($id ??= 'f-' . str_replace('.', '-', $key) . ($value === '1' ? '' : "-$value"))
@php($problem = $keeps ? $errors->first($key) : '')
<div {{ $attributes->only('class') }}>
    <label class="form-check" for="{{ $id }}"><input type="checkbox" id="{{ $id }}" name="{{ $name }}" value="{{ $value }}" @checked($checked)
        @if ($help || $problem) aria-describedby="{{ $id }}-help" @endif @if ($problem) aria-invalid="true" @endif
        {{ $attributes->except('class')->merge(['class' => 'form-check-input']) }}> <span>{{ $slot }}</span></label>
    @if ($help || $problem)<div id="{{ $id }}-help">@if ($problem)<p class="problem">{{ $problem }}</p>@endif @if ($help)<div class="form-text">{{ $help }}
        </div>@endif</div>@endif
</div>
