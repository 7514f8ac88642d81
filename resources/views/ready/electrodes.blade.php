<x-house title="Compare electrodes" room="Ready">
    @if ($screen->chart->series === [])<p>No electrode has a slope on record yet.</p>@else<x-history-chart :figure="$screen->chart" />@endif
    <table class="stack">
        <thead><tr><th>Electrode</th><th>In use since</th><th>Last slope</th><th>A year</th><th>Leaves the policy</th></tr></thead>
        @foreach ($screen->rows as $row)
            <tr>
                <td><a class="cell-link" href="{{ route('pairs.show', $row['pair']->id) }}"><b>{{ $row['pair']->code }}</b></a> <span class="soft">on {{ $row['pair']->name }}</span></td>
                <td>{{ Rheacid\SiteClock::day($row['pair']->firstUsed) }}</td>
                <td class="num">{{ $row['last'] === null ? '–' : Rheacid\Core\Numbers::fixed($row['last'], 1) . ' %' }}</td>
                <td>{{ $row['trend']?->percentPerYear === null ? '–' : Rheacid\Core\Numbers::fixed($row['trend']->percentPerYear, 1) . ' %' }}</td>
                <td>@if ($row['trend']?->leavesPolicyOn)<x-state :is="Rheacid\Core\Care\CareSchedule::isForeseen(new DateTimeImmutable($row['trend']->leavesPolicyOn), new DateTimeImmutable()) ? 'care' : 'met'">about {{ Rheacid\SiteClock::day(Carbon\CarbonImmutable::parse($row['trend']->leavesPolicyOn)) }}</x-state>@else<span class="soft">not in sight</span>@endif</td>
            </tr>
        @endforeach
    </table>
    <x-slot:evidence><h2>How to read it</h2><p>Each line is one electrode on its meter. The band is what the policy allows. A line through failed or voided calibrations is not drawn.</p></x-slot>
</x-house>
