<x-house title="Products" room="Batches">
    <h2>Your products</h2>
    <table class="stack">
        @forelse ($own as $product)
            <tr><td><a class="cell-link" href="{{ route('products.show', $product) }}"><b>{{ $product->name }}</b></a></td><td>version {{ $product->version }}</td><td class="soft">{{ $product->changed_because }}</td></tr>
        @empty
            <tr><td class="soft">None yet. Take one from the library below and change what your site does otherwise.</td></tr>
        @endforelse
    </table>
    @foreach (collect($library)->groupBy(fn ($one) => $one->family) as $family => $products)
        <h2>Library: {{ $family }}</h2>
        <table class="stack">
            @foreach ($products as $product)<tr><td><a class="cell-link" href="{{ route('products.library', $product->code) }}">{{ $product->name }}</a></td><td class="soft">{{ $product->description }}</td><td>{{ count($product->limits) }} limits</td></tr>@endforeach
        </table>
    @endforeach
    <x-slot:act><a href="{{ route('batches') }}">Batches</a>@if ($own->isNotEmpty())<a class="do" href="{{ route('batches.create') }}" data-primary>Start a batch <kbd>Enter</kbd></a>@endif</x-slot>
    <x-slot:evidence>
        <h2>The library</h2>
        <p>Limits, targets and methods of {{ count(Rheacid\Core\Products\Library::all()) }} products, from memory and with their sources. What is of low certainty says so: check with your authority.</p>
        @if (Gate::allows('lead'))
            <p><a href="{{ route('products.import') }}">Take one from a file</a></p>
        @endif
        <p><a href="{{ route('methods') }}">Methods by which they are measured</a></p>
        <p class="note">Not legal advice. A process authority and your local codes outrank it.</p>
    </x-slot>
</x-house>
