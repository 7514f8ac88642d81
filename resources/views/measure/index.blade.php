@use(Rheacid\View\Today\WhatIsNext)
@use(Rheacid\View\Figures\RowCurve)
<x-house title="Measure" room="Measure">
    @foreach ($rounds as $round)
        <p class="verdict"><x-state
            is="care">A measuring round is open.</x-state> {{ $round->left_count }} of {{ $round->stops_count }} batches left; begun
            {{ Rheacid\Site\SiteClock::short($round->at) }} by {{ $round->person->name }}. <a href="{{ route('rounds.show', $round) }}">Continue round</a></p>
    @endforeach
    <table class="stack next">
        <caption class="visually-hidden">Batches to measure</caption>
        <thead><tr><th scope="col">Batch</th><th scope="col">Newest value</th><th scope="col">On its clock</th><th scope="col">What is next</th><th scope="col">
            <span class="visually-hidden">Measure</span></th></tr></thead>
        @forelse ($batches as $batch)
            @php($next = WhatIsNext::of($batch))
            <tr>
                <th scope="row"><b>{{ $batch->code }}</b><br><span class="soft">{{ $batch->product->name }}<br>{{ $batch->vessel }}</span></th>
                <td class="num">@if ($batch->reading->value !== null)
                    {{ $batch->reading->shown() }} @if ($batch->reading->expandedU !== null)<small>± {{ $batch->reading->shownU() }}</small>@endif<br><small
                    class="soft">{{ Rheacid\Site\SiteClock::short($batch->reading->readAt) }}</small>@else<span class="soft">–</span>@endif</td>
                <td class="course">@if ($figure = RowCurve::of($batch))<x-row-course :figure="$figure" />@endif</td>
                <td class="what-is"><x-state :is="$next->sign"><b>{{ $next->row() }}</b></x-state>@if ($next->rest() !== '')<br><span
                    class="soft">{{ $next->rest() }}</span>@endif</td>
                <td class="does">
                    @can('record')
                        <form method="post" action="{{ route('drafts.store', $batch->id) }}"><x-form-id />
                            <button @class(['do', 'quiet' => !$loop->first || !$page->onFirstPage()]) name="act"
                                value="{{ Rheacid\Http\Forms\Measure\SampleRequest::USUAL }}"
                                @if ($loop->first && $page->onFirstPage()) data-primary @endif>Measure<span
                                class="visually-hidden"> {{ $batch->code }}</span></button></form>
                        <a href="{{ route('drafts.create', $batch->id) }}">other settings<span class="visually-hidden"> for {{ $batch->code }}</span></a>
                    @else
                        <a href="{{ route('drafts.create', $batch->id) }}">Method<span class="visually-hidden"> of {{ $batch->code }}</span></a>
                    @endcan
                </td>
            </tr>
        @empty
            <tr><td colspan="5">No batch is running. Start one from a product: its limits judge each reading. @can('record')<a class="do"
                href="{{ route('batches.create') }}" data-primary>Start batch <kbd>Enter</kbd></a>@endcan</td></tr>
        @endforelse
    </table>
    <x-pages :of="$page" before="Back" after="More" />
    <p class="looks"><a href="{{ route('methods') }}">Methods</a><a href="{{ route('calculators') }}">Calculators</a><a
        href="{{ route('repeatability') }}">Blind duplicates</a><a href="{{ route('sources') }}">Accepted outside sources</a></p>
    @if (Gate::allows('record') && $batches !== [])<x-slot:act>
        <a class="do quiet" href="{{ route('rounds.create') }}">Several vessels: begin a measuring round</a></x-slot>
    @endif
</x-house>
