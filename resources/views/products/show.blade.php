@use(Rheacid\Core\Words\LimitWords)
@use(Rheacid\Core\Words\SamplingWords)
@php($product = $screen->product)
<x-house :title="$product->name" room="Batches">
    <p class="what">Version {{ $product->version }}{{ $product->at ? ', ' . Rheacid\Site\SiteClock::full($product->at) : '' }}{{ $screen->by ? ', by '
        . $screen->by->name : '' }}{{ $product->changed_because ? ': ' . $product->changed_because : '' }}</p>
    @unless ($screen->isNewest)
        <p class="verdict"><x-state is="idle">An earlier version.</x-state> <a
            href="{{ route('products.show', $screen->versions->first()) }}">Open the newest version</a></p>@endunless
    @include('products.drawn')
    <h2>Limits</h2>
    <table class="stack">
        <caption class="visually-hidden">Limits</caption>
        <thead><tr><th scope="col">Limit</th><th scope="col">When</th><th scope="col">If not met</th><th scope="col">Source</th></tr></thead>
        @forelse ($screen->limits as $limit)
            <tr>
                <td><b>{{ $limit->name }}</b><br>{{ LimitWords::kind($limit->kind) }} {{ LimitWords::bounds($limit->toCore(), $limit->course) }}</td>
                <td>{{ $limit->course ? 'on a temperature record' : LimitWords::due($limit->toCore()) }}{{ $limit->routes ? ' · route: ' . implode('; ',
                    $limit->routes) : '' }}</td>
                <td>{{ $limit->if_violated }}</td>
                <td>{{ $limit->source }}@if ($limit->certainty === 'low')<br><x-state is="care">low certainty: check with your authority</x-state>@endif</td>
            </tr>
        @empty
            <tr><td colspan="4" class="soft">No limits. Nothing about this product is judged.</td></tr>
        @endforelse
    </table>
    @if ($product->routes)<h2>Process routes</h2><dl>@foreach ($product->routes as $route)<dt>{{ $route['name'] }}</dt>
        <dd>{{ $route['why'] ?? '' }}</dd>@endforeach</dl>@endif
    @if ($product->needs_none)<p class="verdict"><x-state is="care">No measured limit protects it.</x-state> {{ $product->needs_none }}</p>@endif
    @if ($product->stage_of)
        <p class="verdict"><x-state is="idle">One stage of a process.</x-state> Followed by {{ $product->stage_of }}. It is not released on its own.</p>@endif
    @if ($product->kept)
        <p class="soft">Storage: {{ Rheacid\Core\Products\StoredAt::from($product->kept['where'])->words() }}{{ ($product->kept['airtight'] ?? false)
            ? ', in airtight packages' : '' }}{{ $product->authority ? '. Process authority: ' . $product->authority : '' }}.</p>@endif
    <h2>Sampling plan</h2>
    <table class="stack">
        <caption class="visually-hidden">Sampling plan</caption>
        <thead><tr><th scope="col">Quantity</th><th scope="col">When</th><th scope="col">Samples</th><th scope="col">Where</th></tr></thead>
        @forelse ($product->samplingPlan()->lines as $line)<tr><td>{{ SamplingWords::what($line) }}</td><td>{{ SamplingWords::when($line) }}</td>
            <td>{{ $line->count }}</td><td>{{ $line->where }}</td></tr>@empty<tr><td colspan="4" class="soft">No sampling is planned.</td>
        </tr>@endforelse
    </table>
    @if (($product->told['asked'] ?? []) !== [])
        <h2>Also check</h2><ul class="steps">@foreach ($product->told['asked'] as $one)<li>{{ $one }}</li>@endforeach</ul>@endif
    <x-slot:act>
        <a href="{{ route('products.export', $product) }}">JSON</a> <a href="{{ route('products.schema') }}">JSON schema</a>
        @if ($screen->isNewest && Gate::allows('lead'))<a href="{{ route('products.edit', $product) }}">Change product</a>@endif
        @if ($screen->isNewest && Gate::allows('record'))<a class="do" href="{{ route('batches.create', ['product' => $product->id]) }}"
            data-primary>Start batch <kbd>Enter</kbd></a>@else<a class="do" href="{{ route('products') }}" data-primary>Products <kbd>Enter</kbd></a>@endif
    </x-slot>
    <x-slot:evidence>
        <h2>Versions</h2>
        <dl>@foreach ($screen->versions as $version)<dt><a href="{{ route('products.show', $version) }}">Version {{ $version->version }}</a></dt>
            <dd>{{ $version->changed_because ?? 'first version' }}</dd>@endforeach</dl>
        <h2><a href="{{ route('methods.show', $product->method) }}">{{ $product->method->name }}</a></h2>
        <ul class="steps">@foreach ($product->method->steps as $step)<li>{{ $step }}</li>@endforeach</ul>
        @foreach (Rheacid\Http\Forms\Products\TypedSchools::of($product) as $school)<h2>{{ $school['topic'] }}</h2><dl>@foreach ($school['options'] as $option)
            <dt>{{ $option['name'] }}@if ($school['chosen'] === $option['name']) <b>(chosen here)</b>@endif</dt>
            <dd>{{ $option['why'] }}</dd>@endforeach</dl>@endforeach
        @foreach ($product->cautions() as $caution)<p class="caution">{{ $caution }}</p>@endforeach
        <p class="note">This is not legal advice. Check with your authority. Where required, a licensed process authority decides.</p>
    </x-slot>
</x-house>
