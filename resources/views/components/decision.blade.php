@props(['lines', 'blocks'])
@foreach ($lines->lines as $line)
    <p class="verdict"><x-state :is="$line['sign']">{{ $line['head'] }}.</x-state> <span @class(['soft' => $line['sign'] === 'idle'])>{{ $line['tail'] }}</span></p>
@endforeach
@foreach ($blocks as $block)
    <p class="verdict"><x-state is="care">Cannot release.</x-state> {{ $block }}</p>
@endforeach
