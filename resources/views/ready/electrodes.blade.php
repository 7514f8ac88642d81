<x-house title="Compare electrodes" room="Ready">
    @if ($screen->chart->series === [])<p>No slope has been recorded yet.</p>@else<x-history-chart :figure="$screen->chart" />@endif
    <table class="stack">
        <caption class="visually-hidden">Compare electrodes</caption>
        <thead><tr><th scope="col">Electrode</th><th scope="col">In use since</th><th scope="col">Last slope</th><th scope="col">Change per year</th>
            <th scope="col">Below policy from</th></tr></thead>
        @foreach ($screen->rows as $row)
            <tr>
                <td><a class="cell-link" href="{{ route('pairs.show', $row['pair']->id) }}"><b>{{ $row['pair']->code }}</b></a> <span
                    class="soft">on {{ $row['pair']->name }}</span></td>
                <td>{{ Rheacid\Site\SiteClock::day($row['pair']->care->firstUsed) }}</td>
                <td class="num">{{ $row['last'] === null ? '–' : Rheacid\Core\Numbers::fixed($row['last'], 1) . ' %' }}</td>
                <td>{{ $row['trend']?->percentPerYear === null ? '–' : Rheacid\Core\Numbers::fixed($row['trend']->percentPerYear, 1) . ' %' }}</td>
                <td>@if ($row['trend']?->leavesPolicyOn)
                    <x-state :is="Rheacid\Core\Care\CareSchedule::isForeseen(new DateTimeImmutable($row['trend']->leavesPolicyOn), new DateTimeImmutable())
                    ? 'care' : 'idle'">about {{ Rheacid\Site\SiteClock::day(Carbon\CarbonImmutable::parse($row['trend']->leavesPolicyOn)) }}</x-state>@else<span
                    class="soft">no forecast</span>@endif</td>
            </tr>
        @endforeach
    </table>
    <x-slot:evidence><h2>The chart</h2><p>
        Each line is one electrode on its meter. The band is the slope that the policy allows. Failed and voided calibrations are left out.</p></x-slot>
</x-house>
