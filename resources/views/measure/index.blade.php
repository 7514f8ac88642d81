<x-house title="Measure" room="Measure">
    @foreach ($rounds as $round)
        <p class="verdict"><x-state is="care">A round is open.</x-state> {{ $round->left_count }} of {{ $round->stops_count }} to go, set out {{ Rheacid\SiteClock::short($round->at) }} by {{ $round->person->name }}. <a href="{{ route('rounds.show', $round) }}">Go on</a></p>
    @endforeach
    <h2>Which batch?</h2>
    <ul class="todo">
        @forelse ($plan->batches() as $batch)
            <li>
                <div><b>{{ $batch->code }} · {{ $batch->product }}</b><small>{{ $batch->vessel }} · {{ $batch->state?->value }} · {{ $batch->value === null ? 'no reading yet' : 'last ' . $batch->measurand->said($batch->value) . ', ' . Rheacid\SiteClock::short($batch->readAt) }}@if ($batch->word) · {{ $batch->word }}: {{ rtrim((string) $batch->detail, '.') }}@endif @if ($next = $batch->next()) · {{ Rheacid\Today\BatchTasks::due($next) }}@endif</small></div>
                <a @class(['do', 'quiet' => !$loop->first]) href="{{ route('drafts.create', $batch->id) }}" @if ($loop->first) data-primary @endif>Measure<span class="visually-hidden"> {{ $batch->code }}</span></a>
            </li>
        @empty
            <li><div><b>No batch is running</b><small>a batch of a product, with the limits that it is judged by</small></div>@can('record')<a class="do" href="{{ route('batches.create') }}" data-primary>Start a batch <kbd>Enter</kbd></a>@endcan</li>
        @endforelse
    </ul>
    @if (Gate::allows('record') && $plan->batches() !== [])<x-slot:act><a class="do quiet" href="{{ route('rounds.create') }}">Several vats: set out on a round</a></x-slot>
    @endif
    <x-slot:evidence><h2>How it is measured</h2><p><a href="{{ route('methods') }}">Methods for each kind of sample</a></p><p><a href="{{ route('calculators') }}">Sums: doses, blends, brines, solutions</a></p><p><a href="{{ route('repeatability') }}">Blind duplicates</a></p><p><a href="{{ route('sources') }}">Values from elsewhere: who is believed</a></p></x-slot>
</x-house>
