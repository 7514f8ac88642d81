<x-house title="Ready" room="Ready">
    <h2>Meters with electrodes</h2>
    <table class="stack">
        @foreach ($plan->pairs() as $pair)
            <tr>
                <td><a class="cell-link" href="{{ route('pairs.show', $pair) }}"><b>{{ $pair->electrode->code }}</b></a></td>
                <td>{{ $pair->name() }}<br><span class="soft">{{ $pair->electrode->kind }}</span></td>
                <td><x-pair-state :standing="$plan->standing($pair)" /></td>
                <td class="rule">@if ($pair->newestCalibration)<x-acid-rule :rule="new Rheacid\View\Figures\AcidRule(null, null, [$pair->newestCalibration->bracket_low_ph, $pair->newestCalibration->bracket_high_ph], [])" small />@endif</td>
            </tr>
        @endforeach
    </table>
    <h2>Thermometers</h2>
    <table class="stack">
        @foreach ($thermometers as $thermometer)
            <tr>
                <td><a class="cell-link" href="{{ route('thermometers.show', $thermometer) }}"><b>{{ $thermometer->code }}</b></a></td>
                <td>{{ $thermometer->name }}<br><span class="soft">{{ $thermometer->kind }}</span></td>
                <td>@if ($thermometer->newestCheck === null)<x-state is="care">never checked</x-state>@elseif ($thermometer->newestCheck->due_at->isPast())<x-state is="care">check overdue since {{ Rheacid\Plant::short($thermometer->newestCheck->due_at) }}</x-state>@else<x-state is="met">checked, due {{ Rheacid\Plant::short($thermometer->newestCheck->due_at) }}</x-state>@endif</td>
            </tr>
        @endforeach
    </table>
    <h2>Bottles</h2>
    <table class="stack">
        <thead><tr><th>Bottle</th><th>What</th><th>Uses left</th><th>Usable until</th><th></th></tr></thead>
        @foreach ($lots as $lot)
            @php($objection = $lot->isBuffer() ? Rheacid\Actions\Calibrate\OpenRun::objection($lot) : null)
            <tr>
                <td><a class="cell-link" href="{{ route('lots.show', $lot) }}"><b>{{ $lot->code }}</b></a></td>
                <td>{{ $lot->label }}</td>
                <td>{{ $lot->kind === 'storage' ? '–' : $lot->usesLeft() . ' of ' . $lot->uses_allowed }}</td>
                <td class="nowrap">{{ Rheacid\Plant::day($lot->usableUntil()) }}</td>
                <td>@if ($objection)<x-state is="fail">{{ $objection }}</x-state>@elseif ($lot->isBuffer() && $lot->usesLeft() === 1)<x-state is="care">last use</x-state>@elseif ($lot->isBuffer())<x-state is="met">usable</x-state>@else<span class="soft">{{ $lot->kind }}</span>@endif</td>
            </tr>
        @endforeach
    </table>
</x-house>
