<x-house :title="'Day sheet · ' . Rheacid\SiteClock::local(now())->format('l, j F Y')" room="Today">
    <table class="sheet">
        <thead><tr><th>In this order</th><th>Why</th><th>Done, by, at</th></tr></thead>
        @forelse ($plan->tasks() as $task)
            <tr><td><b>{{ $task->title }}</b></td><td>{{ $task->detail }}</td><td></td></tr>
        @empty
            <tr><td colspan="3">Nothing waits.</td></tr>
        @endforelse
    </table>
    <h2>Bring to the bench</h2>
    <p>@forelse ($plan->toBring() as ['needed' => $needed, 'nominalPh' => $ph])pH {{ Rheacid\Core\Numbers::fixed($ph, 2) }}: {{ implode(', ', array_map(static fn(array $one): string => sprintf('bottle %s for %s', $one['lot']->id, $one['uses'] === 1 ? 'one run' : "{$one['uses']} runs"), $needed->taken)) }}{{ $needed->missing > 0 ? ", $needed->missing short" : '' }}@unless ($loop->last) · @endunless @empty no pair of usable buffers on the shelf @endforelse</p>
    @if ($shopping !== [])<h2>To buy this month</h2><p>{{ implode(' · ', array_map(static fn(array $one): string => "{$one['label']}: {$one['why']}", $shopping)) }}</p>@endif
    <h2>Pairs and sensors</h2>
    <table class="sheet">
        @foreach ($plan->pairs() as $pair)<tr><td><b>{{ $pair->code }}</b> on {{ $pair->name }}</td><td>{{ Rheacid\Shelf\Readiness::words($pair->status()) }}</td></tr>@endforeach
        @foreach ($plan->cells() as $pair)<tr><td><b>{{ $pair->code }}</b> on {{ $pair->name }}</td><td>{{ Rheacid\Shelf\Readiness::words($pair->status()) }}</td></tr>@endforeach
    </table>
    <h2>The week ahead</h2>
    <table class="sheet">
        @forelse ($week as $due)<tr><td class="nowrap">{{ Rheacid\SiteClock::full($due->at) }}</td><td>{{ $due->what }}</td></tr>@empty<tr><td>Nothing falls due.</td></tr>@endforelse
    </table>
    <p class="note">Printed {{ Rheacid\SiteClock::full(now()) }}. Your site’s plan and local codes decide about a product.</p>
</x-house>
