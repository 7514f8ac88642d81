<x-house title="Import a product" room="Batches">
        @if ($product === null)
            <form id="look" method="post" action="{{ route('products.preview') }}" enctype="multipart/form-data" data-keep>
                <x-form-id />
                <x-field name="file" label="JSON file" help="one product, exported by a Rheacid site">
                    <input class="form-control" id="f-file" type="file" name="file" accept=".json,application/json"></x-field>
                <x-field name="product" label="Or paste the text" class="apart">
                    <textarea class="form-control" id="f-product" name="product" rows="12" aria-describedby="f-product-help" @error('product')
                    aria-invalid="true" @enderror>{{ $text }}</textarea></x-field>
            </form>
        @else
            <p class="verdict"><x-state is="met">Ready to import.</x-state> {{ $product->name }}, version {{ $version }}{{ $version > 1
                ? '; batches already started keep their version' : '' }}. Nothing has been recorded yet.</p>
            <form id="take" method="post" action="{{ route('products.import.take') }}"><x-form-id />
                <textarea name="product" hidden>{{ $text }}</textarea></form>
            @include('products.told')
        @endif
    <x-slot:act>
        <a href="{{ $product === null ? route('products') : route('products.import') }}">{{ $product === null ? 'Products' : 'Choose another file' }}</a>
        <button class="do" form="{{ $product === null ? 'look' : 'take' }}"
            data-primary>{{ $product === null ? 'Check file' : 'Import product' }} <kbd>Enter</kbd></button>
    </x-slot>
    <x-slot:evidence>
        <h2>Accepted file</h2>
        <p>Format <code>{{ Rheacid\Core\Products\ProductFile::FORM }}</code>, as written by “JSON” on a product’s page. Unknown, missing or invalid fields are
            listed with their position.</p>
        <p><a href="{{ route('products.schema') }}">JSON schema</a></p>
        <p class="note">You are responsible for imported limits. Check each source before you start a batch.</p>
    </x-slot>
</x-house>
