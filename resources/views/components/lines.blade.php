{{-- A list that is typed one to a line. --}}
@props(['name', 'label', 'lines', 'help' => null, 'rows' => 4])
<x-field :$name :$label :$help class="wide"><textarea class="form-control" id="f-{{ $name }}" name="{{ $name }}" rows="{{ $rows }}"
    @if ($help || $errors->has($name)) aria-describedby="f-{{ $name }}-help" @endif @if ($errors->has($name)) aria-invalid="true"
    @endif>{{ is_string(old($name)) ? old($name) : implode("\n", $lines) }}</textarea></x-field>
