@props(['name', 'field'])
@if ($field['options'] === null)
    <x-field :name="$name" :label="$field['label']" :help="$field['help']" :class="$name === 'table' ? 'wide' : ''" />
@else
    <x-field :name="$name" :label="$field['label']" :help="$field['help']">
        <select class="form-select" id="f-{{ $name }}" name="{{ $name }}">
            @foreach ($field['options'] as $option)<option value="{{ $option }}" @selected(old($name) === $option)>{{ match (true) { $option === '' => 'none', $name === 'buffer' => Rheacid\Core\Electrode\BufferTables::label($option), default => $option } }}</option>@endforeach
        </select>
    </x-field>
@endif
