@props(['is'])
<span {{ $attributes->merge(['class' => "state is-$is"]) }}><x-sign :is="$is" />{{ $slot }}</span>
