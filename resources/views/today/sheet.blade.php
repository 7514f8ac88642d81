<x-house :title="'Day sheet · ' . Rheacid\Site\SiteClock::local(now())->format('l, j F Y')" room="Today">
    <table class="sheet">
        <caption class="visually-hidden">What to do, in order</caption>
        <thead><tr><th scope="col">To do, in order</th><th scope="col">Details</th><th scope="col">Done by, at</th></tr></thead>
        @forelse ($plan->tasks() as $task)
            <tr><td><b>{{ $task->title }}</b></td><td>{{ $task->detail }}</td><td></td></tr>
        @empty
            <tr><td colspan="3">Nothing to do.</td></tr>
        @endforelse
    </table>
    <h2>Bring to the bench</h2>
    <p>@forelse ($plan->toBring() as ['needed' => $needed, 'nominalPh' => $ph])pH {{ Rheacid\Core\Numbers::fixed($ph, 2) }}: {{ implode(', ',
        array_map(static fn(array $one): string => sprintf('bottle %s for %s', $one['lot']->id, $one['uses'] === 1 ? 'one calibration'
        : "{$one['uses']} calibrations"), $needed->taken)) }}{{ $needed->missing > 0 ? ", $needed->missing short"
        : '' }}@unless ($loop->last) · @endunless @empty no usable pair of buffers on the shelf @endforelse</p>
    @if ($shopping !== [])<h2>Buy this month</h2><p>
        {{ implode(' · ', array_map(static fn(array $one): string => "{$one['label']}: {$one['why']}", $shopping)) }}</p>@endif
    <h2>Instruments</h2>
    <table class="sheet">
        <caption class="visually-hidden">Instruments</caption>
        @foreach ($plan->pairs() as $pair)<tr><th scope="row"><b>{{ $pair->code }}</b> on {{ $pair->name }}</th><td>
            {{ Rheacid\Queries\Ready\Readiness::words($pair->status()) }}</td></tr>@endforeach
        @foreach ($plan->cells() as $pair)<tr><th scope="row"><b>{{ $pair->code }}</b> on {{ $pair->name }}</th><td>
            {{ Rheacid\Queries\Ready\Readiness::words($pair->status()) }}</td></tr>@endforeach
    </table>
    <h2>This week</h2>
    <table class="sheet">
        <caption class="visually-hidden">This week</caption>
        @forelse ($week as $due)<tr><th scope="row" class="nowrap">{{ Rheacid\Site\SiteClock::full($due->at) }}</th><td>{{ $due->what }}</td></tr>@empty<tr><td>
            Nothing is due.</td></tr>@endforelse
    </table>
    <p class="note">Printed {{ Rheacid\Site\SiteClock::full(now()) }}. Your site’s food safety plan and local codes decide about a product.</p>
</x-house>
