<x-house title="Methods" room="Measure">
    <h2>Your methods</h2>
    <table class="stack">
        <caption class="visually-hidden">Your methods</caption>
        @forelse ($own as $method)
            <tr><th scope="row"><a class="cell-link" href="{{ route('methods.show', $method) }}"><b>{{ $method->name }}</b></a><br><span
                class="soft">{{ $method->code }}, version {{ $method->version }}</span></th><td>{{ $method->matrix?->words() }}</td><td>
                {{ Rheacid\Core\Celsius::between($method->low_c, $method->high_c) }}, {{ $method->portions }} portions</td></tr>
        @empty
            <tr><td class="soft">None yet. A method comes with a product from the library, or adopt a standard method below.</td></tr>
        @endforelse
    </table>
    @if ($standard !== [])
        <h2>Standard methods</h2>
        <table class="stack">
            <caption class="visually-hidden">Standard methods</caption>
            @foreach ($standard as $method)<tr><th scope="row">
                <a class="cell-link" href="{{ route('methods.standard', $method['code']) }}">{{ $method['name'] }}</a></th><td>
                {{ Rheacid\Core\Measuring\Matrix::from($method['matrix'])->words() }}</td><td class="soft">{{ $method['why'] }}</td></tr>@endforeach
        </table>
    @endif
    <x-slot:act><a href="{{ route('products') }}">Products</a><a class="do" href="{{ route('measure') }}" data-primary>Measure <kbd>Enter</kbd></a></x-slot>
    <x-slot:evidence>
        <h2>Methods</h2>
        <p>A method sets how a kind of sample is drawn, prepared and read: temperature, number of portions, places, and the uncertainty that the food itself
            adds. A reading keeps the version it was made with.</p>
        <p class="note">Common practice, no source, from memory. If your authority prescribes a method, use that.</p>
    </x-slot>
</x-house>
