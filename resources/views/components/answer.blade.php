@props(['lines', 'first' => null])
{{-- What was just read comes first, then the worst that is true, and what to do now; before any number. --}}
@php($worst = $lines->worst())
@if ($first !== null && $first != $worst)
    <p class="verdict answer"><x-state :is="$first->sign">{{ $first->head }}.</x-state> <span>{{ $first->tail }}</span></p>@endif
<p @class(['verdict', 'answer' => $first === null || $first == $worst])>
    <x-state :is="$worst->sign">{{ $worst->head }}.</x-state> <span>{{ $worst->tail }} @if ($lines->advice)<b>{{ $lines->advice }}</b>@endif</span></p>
