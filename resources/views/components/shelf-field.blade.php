@props(['name', 'field'])
@if ($field['options'] === null)
    <x-field :name="$name" :label="$field['label']" :help="$field['help']" :class="$name === 'table' ? 'wide' : ''" />
@else
    <x-choice :name="$name" :label="$field['label']" :help="$field['help']"
        :options="collect($field['options'])->mapWithKeys(fn ($option) => [$option => match (true) { $option === '' => 'none',
        $name === 'buffer' => Rheacid\Core\Electrode\BufferTables::label($option), default => $option }])" />
@endif
