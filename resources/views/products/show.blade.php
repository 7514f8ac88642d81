@use(Rheacid\Core\Words\LimitWords)
@use(Rheacid\Core\Words\SamplingWords)
@php($product = $screen->product)
<x-house :title="$product->name" room="Batches">
    <p class="what">Version {{ $product->version }}{{ $product->at ? ', ' . Rheacid\SiteClock::full($product->at) : '' }}{{ $screen->by ? ', by ' . $screen->by->name : '' }}{{ $product->changed_because ? ': ' . $product->changed_because : '' }}</p>
    @unless ($screen->isNewest)
        <p class="verdict"><x-state is="idle">An earlier version.</x-state> <a href="{{ route('products.show', $screen->versions->first()) }}">The newest one</a></p>@endunless
    @include('products.drawn')
    <h2>Limits</h2>
    <table class="stack">
        <thead><tr><th>Limit</th><th>When</th><th>If it is not met</th><th>Source</th></tr></thead>
        @forelse ($screen->limits as $limit)
            <tr>
                <td><b>{{ $limit->name }}</b><br>{{ LimitWords::kind($limit->kind) }} {{ LimitWords::bounds($limit->toCore(), $limit->course) }}</td>
                <td>{{ $limit->course ? 'on a record' : LimitWords::due($limit->toCore()) }}{{ $limit->routes ? ' · on the route: ' . implode('; ', $limit->routes) : '' }}</td>
                <td>{{ $limit->if_violated }}</td>
                <td>{{ $limit->source }}@if ($limit->certainty === 'low')<br><x-state is="care">low certainty: check with your authority</x-state>@endif</td>
            </tr>
        @empty
            <tr><td colspan="4" class="soft">No limit. Nothing of this product is judged.</td></tr>
        @endforelse
    </table>
    @if ($product->routes)<h2>How it is made safe</h2><dl>@foreach ($product->routes as $route)<dt>{{ $route['name'] }}</dt>
        <dd>{{ $route['why'] ?? '' }}</dd>@endforeach</dl>@endif
    @if ($product->needs_none)<p class="verdict"><x-state is="care">Nothing measured guards it.</x-state> {{ $product->needs_none }}</p>@endif
    @if ($product->stage_of)
        <p class="verdict"><x-state is="idle">A stage of a process.</x-state> Followed by {{ $product->stage_of }}; it is not released by itself.</p>@endif
    @if ($product->kept)
        <p class="soft">Kept {{ Rheacid\Core\Products\KeptAt::from($product->kept['where'])->words() }}{{ ($product->kept['airtight'] ?? false) ? ', in airtight packages' : '' }}{{ $product->authority ? '. Process authority: ' . $product->authority : '' }}.</p>@endif
    <h2>Sampling plan</h2>
    <table class="stack">
        <thead><tr><th>What</th><th>When</th><th>How many</th><th>Where</th></tr></thead>
        @forelse ($product->samplingPlan()->lines as $line)<tr><td>{{ SamplingWords::what($line) }}</td><td>{{ SamplingWords::when($line) }}</td>
            <td>{{ $line->count }}</td><td>{{ $line->where }}</td></tr>@empty<tr><td colspan="4" class="soft">Nothing is asked for.</td>
        </tr>@endforelse
    </table>
    @if (($product->told['asked'] ?? []) !== [])
        <h2>Asked of a person</h2><ul class="steps">@foreach ($product->told['asked'] as $one)<li>{{ $one }}</li>@endforeach</ul>@endif
    <x-slot:act>
        <a href="{{ route('products.export', $product) }}">As JSON</a>
        @if ($screen->isNewest && Gate::allows('lead'))<a href="{{ route('products.edit', $product) }}">Change it</a>@endif
        @if ($screen->isNewest && Gate::allows('record'))<a class="do" href="{{ route('batches.create', ['product' => $product->id]) }}" data-primary>Start a batch <kbd>Enter</kbd></a>@else<a class="do" href="{{ route('products') }}" data-primary>Products <kbd>Enter</kbd></a>@endif
    </x-slot>
    <x-slot:evidence>
        <h2>Versions</h2>
        <dl>@foreach ($screen->versions as $version)<dt><a href="{{ route('products.show', $version) }}">Version {{ $version->version }}</a></dt>
            <dd>{{ $version->changed_because ?? 'as furnished' }}</dd>@endforeach</dl>
        <h2><a href="{{ route('methods.show', $product->method) }}">{{ $product->method->name }}</a></h2>
        <ul class="steps">@foreach ($product->method->steps as $step)<li>{{ $step }}</li>@endforeach</ul>
        @foreach (Rheacid\Products\TypedSchools::of($product) as $school)<h2>{{ $school['topic'] }}</h2><dl>@foreach ($school['options'] as $option)
            <dt>{{ $option['name'] }}@if ($school['chosen'] === $option['name']) <b>(chosen here)</b>@endif</dt>
            <dd>{{ $option['why'] }}</dd>@endforeach</dl>@endforeach
        @foreach ($product->cautions() as $caution)<p class="caution">{{ $caution }}</p>@endforeach
        <p class="note">Not legal advice: check with your authority. Where one is required, a licensed process authority decides.</p>
    </x-slot>
</x-house>
