@props(['is'])
{{-- What a sensor is sensitive to, so that look-alikes are told apart at a glance. --}}
<span class="measures of-{{ $is->value }}">{{ $is->words() }}</span>
