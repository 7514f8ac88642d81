<x-house title="Measure" room="Measure">
    <h2>Which batch?</h2>
    <ul class="todo">
        @forelse ($plan->batches() as $batch)
            @php($last = $batch->currentMeasurements->last()?->decision)
            <li>
                <div><b>{{ $batch->code }} · {{ $batch->product->name }}</b><small>{{ $batch->vessel }} · {{ $batch->size }} · {{ $batch->state() }} · {{ $last ? 'last ' . Rheacid\Core\Numbers::fixed($last->value_ph, 2) . ', ' . Rheacid\SiteClock::short($batch->currentMeasurements->last()->observed_at) : 'no reading yet' }}</small></div>
                <a @class(['do', 'quiet' => !$loop->first]) href="{{ route('drafts.create', $batch) }}" @if ($loop->first) data-primary @endif>Measure<span class="visually-hidden"> {{ $batch->code }}</span></a>
            </li>
        @empty
            <li>No batch is running.</li>
        @endforelse
    </ul>
</x-house>
