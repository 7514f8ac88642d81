<x-house title="Methods" room="Measure">
    <h2>Your methods</h2>
    <table class="stack">
        @forelse ($own as $method)
            <tr><td><a class="cell-link" href="{{ route('methods.show', $method) }}"><b>{{ $method->name }}</b></a><br><span class="soft">{{ $method->code }}, version {{ $method->version }}</span></td><td>{{ $method->matrix?->words() }}</td><td>{{ Rheacid\Core\Celsius::between($method->low_c, $method->high_c) }}, {{ $method->portions }} portions</td></tr>
        @empty
            <tr><td class="soft">None yet. They come with a product from the library, or from the standard methods below.</td></tr>
        @endforelse
    </table>
    @if ($standard !== [])
        <h2>Standard methods</h2>
        <table class="stack">
            @foreach ($standard as $method)<tr><td><a class="cell-link" href="{{ route('methods.standard', $method['code']) }}">{{ $method['name'] }}</a></td><td>{{ Rheacid\Core\Measuring\Matrix::from($method['matrix'])->words() }}</td><td class="soft">{{ $method['why'] }}</td></tr>@endforeach
        </table>
    @endif
    <x-slot:act><a href="{{ route('products') }}">Products</a><a class="do" href="{{ route('measure') }}" data-primary>Measure <kbd>Enter</kbd></a></x-slot>
    <x-slot:evidence>
        <h2>What a method is</h2>
        <p>How a kind of sample is drawn, prepared and read: at which temperature, how many portions, from which places, and what the food itself adds to the uncertainty. A reading keeps the version it was made by.</p>
        <p class="note">Common practice, no source, from memory. Where your authority prescribes a method, that one counts.</p>
    </x-slot>
</x-house>
