@props(['is'])
{{-- The shape of a state: a full disc for met, a half one for care, a triangle for fail, a ring for what waits. --}}
<svg {{ $attributes->merge(['class' => "sign is-$is"]) }} viewBox="0 0 14 14" aria-hidden="true">
    @switch($is)
        @case('met')<circle class="full" cx="7" cy="7" r="6"/>@break
        @case('care')<circle cx="7" cy="7" r="6"/><path class="full" d="M7 1a6 6 0 0 0 0 12z"/>@break
        @case('fail')<path class="full" d="M7 1.5 13 12.5H1z"/>@break
        @default<circle cx="7" cy="7" r="5.5"/>
    @endswitch
</svg>
