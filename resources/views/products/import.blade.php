<x-house title="Take a product from a file" room="Batches">
    @if (Gate::allows('lead'))
        @if ($product === null)
            <form id="look" method="post" action="{{ route('products.preview') }}" enctype="multipart/form-data" data-keep>
                <x-form-id />
                <x-field name="file" label="JSON file" help="one product, as another site exported it"><input class="form-control" id="f-file" type="file" name="file" accept=".json,application/json"></x-field>
                <x-field name="product" label="Or its text" class="apart"><textarea class="form-control" id="f-product" name="product" rows="12">{{ $text }}</textarea></x-field>
            </form>
        @else
            <p class="verdict"><x-state is="met">It can be taken.</x-state> {{ $product->name }}, as version {{ $version }}{{ $version > 1 ? ' of a product that you have: batches that have begun keep theirs' : '' }}. Nothing is recorded yet.</p>
            <form id="take" method="post" action="{{ route('products.import.take') }}"><x-form-id /><textarea name="product" hidden>{{ $text }}</textarea></form>
            @include('products.told')
        @endif
    @else
        <p class="what">A lead does this.</p>
    @endif
    <x-slot:act>
        <a href="{{ $product === null ? route('products') : route('products.import') }}">{{ $product === null ? 'Products' : 'Another file' }}</a>
        @if (Gate::allows('lead'))
            <button class="do" form="{{ $product === null ? 'look' : 'take' }}" data-primary>{{ $product === null ? 'Look at it first' : 'Take it' }} <kbd>Enter</kbd></button>
        @endif
    </x-slot>
    <x-slot:evidence>
        <h2>What is accepted</h2>
        <p>The form <code>{{ Rheacid\Core\Products\ProductFile::FORM }}</code>, which “As JSON” on the page of a product writes. A field that is unknown, missing or out of range is named with its place.</p>
        <p><a href="{{ route('products.schema') }}">Its schema</a></p>
        <p class="note">A limit from elsewhere is yours to answer for: look at each source before a batch is started under it.</p>
    </x-slot>
</x-house>
