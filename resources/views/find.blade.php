<x-house title="Find" room="Find">
    @if ($code === '')
        <p>Type the beginning of a code: a batch like CS-0417, a bottle like Q-31, an electrode like E-07.</p>
    @elseif ($found === [])
        <p>Nothing on the shelf and no batch begins with “{{ $code }}”.</p>
    @endif
    <ul class="todo">
        @foreach ($found as [$name, $what, $url])
            <li><div><b>{{ $name }}</b><small>{{ $what }}</small></div><a class="do quiet" href="{{ $url }}">Open</a></li>
        @endforeach
    </ul>
</x-house>
