@props(['lines'])
@foreach ($lines->rest() as $line)
    <p class="verdict"><x-state :is="$line->sign">{{ $line->head }}.</x-state> <span
        @class(['soft' => $line->sign === 'idle'])>{{ $line->tail }}</span></p>
@endforeach
@foreach ($lines->blocks as $block)
    <p class="verdict"><x-state :is="$lines->isMet() ? 'idle' : 'care'">{{ $lines->isMet() ? 'One portion does not count'
        : 'Not proven' }}.</x-state> {{ $block }}</p>
@endforeach
