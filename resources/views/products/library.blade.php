<x-house :title="$product->name" room="Batches">
    <p class="what">Library · {{ $product->family }} · {{ $product->description }} Expected pH {{ Rheacid\Core\Numbers::fixed($product->expectedPh[0],
        1) }}–{{ Rheacid\Core\Numbers::fixed($product->expectedPh[1], 1) }}.</p>
    @include('products.told')
    @if (Gate::allows('lead'))
        <form id="take" method="post" action="{{ route('products.take', $product->code) }}"><x-form-id /></form>
        <x-slot:act><a href="{{ route('products') }}">Back</a><button class="do" form="take" data-primary>Adopt product <kbd>Enter</kbd></button></x-slot>
    @else
        <x-slot:act><a class="do" href="{{ route('products') }}" data-primary>Back <kbd>Enter</kbd></a></x-slot>
    @endif
    <x-slot:evidence>
        <h2>{{ $product->method['name'] }}</h2>
        <ul class="steps">@foreach ($product->method['steps'] as $step)<li>{{ $step }}</li>@endforeach</ul>
        @foreach ($product->cautions as $caution)<p class="caution">{{ $caution }}</p>@endforeach
        <p class="note">From memory, not looked up. Check with your authority.</p>
    </x-slot>
</x-house>
