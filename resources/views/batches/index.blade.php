@use(Rheacid\Queries\Board\BatchFilter)
@use(Rheacid\Core\Batches\BatchState)
@use(Rheacid\View\Today\WhatIsNext)
@use(Rheacid\View\Figures\RowCurve)
<x-house title="Batches" room="Batches">
    <form class="filters" method="get" action="{{ route('batches') }}">
        <x-choice name="sort" label="Order" :options="BatchFilter::SORTS" :value="$filter->sort" submits />
        <x-choice name="state" label="State" :options="['' => 'all states',
            ...collect(BatchState::cases())->mapWithKeys(fn ($one) => [$one->value => $one->value])]" :value="$filter->state?->value" submits />
        <x-choice name="product" label="Product" :options="['' => 'any product'] + $products" :value="$filter->product" submits />
        <x-choice name="vessel" label="Vessel" :options="['' => 'any vessel'] + array_combine($vessels, $vessels)" :value="$filter->vessel" submits />
        <x-choice name="due" label="Deadline" :options="['' => 'any deadline'] + BatchFilter::DUE" :value="$filter->due" submits />
        <noscript><button class="do quiet">Show</button></noscript>
    </form>
    <table class="stack next">
        <caption class="visually-hidden">Batches</caption>
        <thead><tr><th scope="col">Batch</th><th scope="col">State</th><th scope="col">Newest value</th><th scope="col">On its clock</th><th scope="col">
            What is next</th></tr></thead>
        @forelse ($lines as $line)
            @php($next = WhatIsNext::of($line))
            <tr>
                <th scope="row"><a class="cell-link" href="{{ route('batches.show', $line->id) }}"><b>{{ $line->code }}</b></a><br><span
                    class="soft">{{ $line->product->name }}<br>{{ $line->vessel }} · day {{ (int) $line->since->diffInDays(now()) }}</span></th>
                <td><x-state :is="$next->sign">{{ $line->state?->value }}</x-state></td>
                <td class="num">@if ($line->reading->value !== null)
                    {{ $line->reading->shown() }} @if ($line->reading->expandedU !== null)<small>± {{ $line->reading->shownU() }}</small>@endif @else<span
                        class="soft">–</span>@endif</td>
                <td class="course">@if ($figure = RowCurve::of($line))<x-row-course :figure="$figure" />@endif</td>
                <td class="what-is"><b class="is-{{ $next->sign === 'idle' ? 'plain' : $next->sign }}">{{ $next->row() }}</b>@if ($next->rest() !== '')<br><span
                    class="soft">{{ $next->rest() }}</span>@endif</td>
            </tr>
        @empty
            <tr>
                <td colspan="5" class="soft">{{ $filter->isEmpty() ? 'No batch yet. Start one from a product: its limits judge each reading.'
                    : 'No batch matches. Choose fewer conditions.' }}</td>
            </tr>
        @endforelse
    </table>
    <x-pages :of="$page" before="Back" after="More" />
    <x-slot:act><a href="{{ route('products') }}">Products</a>@if (Gate::allows('record'))<a class="do" href="{{ route('batches.create') }}"
        data-primary>Start batch <kbd>Enter</kbd></a>@endif</x-slot>
</x-house>
