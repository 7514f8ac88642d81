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
    <p>@forelse ($buffers->points as $lot)pH {{ Rheacid\Core\Numbers::fixed($lot->nominalPh, 2) }}, bottle {{ $lot->id }} ({{ $lot->usesLeft }} left)@unless ($loop->last) · @endunless @empty no pair of usable buffers on the shelf @endforelse</p>
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
