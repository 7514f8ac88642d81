@props(['lines'])
{{-- The worst that is true, and what to do now, before any number. --}}
@php($worst = $lines->worst())
<p class="verdict answer"><x-state :is="$worst['sign']">{{ $worst['head'] }}.</x-state> <span>{{ $worst['tail'] }} @if ($lines->advice)<b>{{ $lines->advice }}</b>@endif</span></p>
