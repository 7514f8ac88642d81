<x-house title="Products" room="Batches">
    <h2>Your products</h2>
    <table class="stack">
        <caption class="visually-hidden">Your products</caption>
        @forelse ($own as $product)
            <tr><th scope="row"><a class="cell-link" href="{{ route('products.show', $product) }}"><b>{{ $product->name }}</b></a></th><td>
                version {{ $product->version }}</td><td class="soft">{{ $product->changed_because }}</td></tr>
        @empty
            <tr><td class="soft">None yet. Adopt one from the library below and change what your site does differently.</td></tr>
        @endforelse
    </table>
    @foreach (collect($library)->groupBy(fn ($one) => $one->family) as $family => $products)
        <h2>Library: {{ $family }}</h2>
        <table class="stack">
            <caption class="visually-hidden">Library: {{ $family }}</caption>
            @foreach ($products as $product)<tr><th scope="row">
                <a class="cell-link" href="{{ route('products.library', $product->code) }}">{{ $product->name }}</a></th><td class="soft">
                {{ $product->description }}</td><td>{{ count($product->limits) === 1 ? 'one limit' : count($product->limits) . ' limits' }}</td></tr>@endforeach
        </table>
    @endforeach
    <x-slot:act><a href="{{ route('batches') }}">Batches</a>@if ($own->isNotEmpty())<a class="do" href="{{ route('batches.create') }}"
        data-primary>Start batch <kbd>Enter</kbd></a>@endif</x-slot>
    <x-slot:evidence>
        <h2>Library</h2>
        <p>Limits, targets and methods of {{ count(Rheacid\Core\Products\Library::all()) }} products, from memory, with their sources. Limits of low certainty
            are marked: check them with your authority.</p>
        @if (Gate::allows('lead'))
            <p><a href="{{ route('products.import') }}">Import a product</a></p>
        @endif
        <p><a href="{{ route('methods') }}">Methods</a></p>
        <p class="note">This is not legal advice. A process authority and local codes take precedence.</p>
    </x-slot>
</x-house>
