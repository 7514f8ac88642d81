@props(['name', 'label', 'options', 'value' => null, 'help' => null, 'id' => null, 'keeps' => true, 'submits' => false])
{{-- A select, tied to its label, help and error. options: words by value; keeps: as in x-field; submits: choosing sends the form --}}
@php($key = str_replace(['[', ']'], ['.', ''], $name))
@php($id ??= 'f-' . str_replace('.', '-', $key))
@php($chosen = $keeps ? old($key, $value) : $value)
@php($chosen = is_scalar($chosen) ? (string) $chosen : '')
<x-field :$name :$label :$help :$id :$keeps :class="$attributes['class'] ?? ''">
    <select id="{{ $id }}" name="{{ $name }}" @if ($help || ($keeps && $errors->has($key))) aria-describedby="{{ $id }}-help" @endif
        @if ($keeps && $errors->has($key)) aria-invalid="true" @endif @if ($submits) data-submits @endif
        {{ $attributes->except('class')->merge(['class' => 'form-select']) }}>
        @foreach ($options as $one => $words)<option value="{{ $one }}" @selected($chosen === (string) $one)>{{ $words }}</option>@endforeach
    </select>
</x-field>
