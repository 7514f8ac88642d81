@php($method = $screen->method)
<x-house :title="$method->name" room="Measure">
    @if ($screen->isOwn)
        <p class="what">Version {{ $method->version }}{{ $method->at ? ', ' . Rheacid\Site\SiteClock::full($method->at) : '' }}{{ $method->changed_because
            ? ': ' . $method->changed_because : '' }}</p>
    @else
        <p class="what">A standard method. Common practice, no source, from memory.</p>
    @endif
    @unless ($screen->isNewest)<p class="verdict"><x-state is="idle">An earlier version.</x-state> <a
        href="{{ route('methods.show', $screen->versions->first()) }}">Open the newest version</a></p>@endunless
    <ol class="steps numbered">@foreach ($method->steps as $step)<li>{{ $step }}</li>@endforeach</ol>
    @foreach ($method->cautions ?? [] as $caution)<p class="caution">{{ $caution }}</p>@endforeach
    <h2>Requirements</h2>
    <table class="stack"><caption class="visually-hidden">Requirements</caption>@foreach ($screen->rules() as [$what, $asked])<tr><th scope="row">
        {{ ucfirst($what) }}</th><td>{{ $asked }}</td></tr>@endforeach</table>
    @if ($screen->isOwn)
        <h2>Products that use it</h2>
        <table class="stack">
            <caption class="visually-hidden">Products that use it</caption>
            @forelse ($screen->products as $product)<tr><th scope="row">
                <a class="cell-link" href="{{ route('products.show', $product) }}">{{ $product->name }}</a></th><td class="soft">version {{ $product->version }}
                </td></tr>@empty<tr><td class="soft">No product. A lead assigns it on the page of a product.</td></tr>@endforelse
        </table>
    @endif
    @if (!$screen->isOwn && Gate::allows('lead'))<form id="take" method="post" action="{{ route('methods.take', $method->code) }}"><x-form-id /></form>@endif
    <x-slot:act>
        <a href="{{ route('methods') }}">Methods</a>
        @if (!Gate::allows('lead') || !$screen->isNewest)<a class="do" href="{{ route('measure') }}"
            data-primary>Measure <kbd>Enter</kbd></a>@elseif ($screen->isOwn)<a class="do" href="{{ route('methods.edit', $method) }}"
            data-primary>Change method <kbd>Enter</kbd></a>@else<button class="do" form="take" data-primary>Adopt method <kbd>Enter</kbd></button>@endif
    </x-slot>
    <x-slot:evidence>
        @if ($method->why)<h2>Reasons</h2><p>{{ $method->why }}</p>@endif
        @if ($screen->versions->isNotEmpty())<h2>Versions</h2><dl>@foreach ($screen->versions as $version)<dt>
            <a href="{{ route('methods.show', $version) }}">Version {{ $version->version }}</a></dt><dd>{{ $version->changed_because ?? 'first version' }}</dd>
            @endforeach</dl>@endif
        <p class="note">Temperature compensation corrects the electrode, not the food. Bring sample, buffers and rinse water to the same temperature.</p>
    </x-slot>
</x-house>
