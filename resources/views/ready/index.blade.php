<x-house title="Ready" room="Ready">
    <h2>Meters with electrodes</h2>
    <table class="stack">
        @forelse ($plan->pairs() as $pair)
            <tr>
                <td><a class="cell-link" href="{{ route('pairs.show', $pair) }}"><b>{{ $pair->electrode->code }}</b></a></td>
                <td>{{ $pair->name() }}<br><span class="soft">{{ $pair->electrode->kind }}</span></td>
                <td><x-pair-state :status="$plan->status($pair)" /></td>
                <td class="rule">@if ($pair->newestCalibration)<x-acid-rule :rule="new Rheacid\View\Figures\AcidRule(null, null, [$pair->newestCalibration->bracket_low_ph, $pair->newestCalibration->bracket_high_ph], [])" small />@endif</td>
                <td class="spark">@if (count($slopes[$pair->id] ?? []) > 2)<x-spark :figure="new Rheacid\View\Figures\Spark($slopes[$pair->id], $pair->policy->slope_low_percent, 100)" :label="'slope of ' . $pair->electrode->code . ' over its last calibrations'" />@endif</td>
            </tr>
        @empty
            <tr><td class="soft">No electrode stands on a meter yet. <a href="{{ route('add', 'meter') }}">Add a meter</a>, an electrode, and pair them.</td></tr>
        @endforelse
    </table>
    @if ($plan->cells()->isNotEmpty())
        <h2>Conductivity and redox</h2>
        <table class="stack">
            @foreach ($plan->cells() as $pair)
                <tr>
                    <td><a class="cell-link" href="{{ route('pairs.show', $pair) }}"><b>{{ $pair->electrode->code }}</b></a></td>
                    <td>{{ $pair->name() }}<br><span class="soft"><x-measures :is="$pair->electrode->measures" /> {{ $pair->electrode->kind }}</span></td>
                    <td><x-pair-state :status="Rheacid\Shelf\Cells::status($pair)" /></td>
                </tr>
            @endforeach
        </table>
    @endif
    @if ($alone->isNotEmpty())
        <h2>On no meter</h2>
        <table class="stack">
            @foreach ($alone as $electrode)
                <tr><td><b>{{ $electrode->code }}</b></td><td>{{ $electrode->name }} <span class="soft">{{ $electrode->kind }}</span></td><td>@if ($electrode->careEvents->contains('kind', Rheacid\Core\Care\CareKind::Retired))<x-state is="idle">retired</x-state>@else<a class="cell-link" href="{{ route('pairing') }}">Pair it</a>@endif</td></tr>
            @endforeach
        </table>
    @endif
    <h2>Thermometers</h2>
    <table class="stack">
        @forelse ($thermometers as $thermometer)
            <tr>
                <td><a class="cell-link" href="{{ route('thermometers.show', $thermometer) }}"><b>{{ $thermometer->code }}</b></a></td>
                <td>{{ $thermometer->name }}<br><span class="soft">{{ $thermometer->kind }}</span></td>
                <td><x-thermometer-state :thermometer="$thermometer" /></td>
            </tr>
        @empty
            <tr><td class="soft">None yet.</td></tr>
        @endforelse
    </table>
    <h2>Bottles</h2>
    <table class="stack">
        <thead><tr><th>Bottle</th><th>What</th><th>Left</th><th>Usable until</th><th></th></tr></thead>
        @forelse ($lots as $lot)
            @php($spent = Rheacid\Actions\Calibrate\OpenRun::spent($lot))
            <tr @class(['gone' => $lot->happened('discarded')])>
                <td><a class="cell-link" href="{{ route('lots.show', $lot) }}"><b>{{ $lot->code }}</b></a></td>
                <td>{{ $lot->label }}</td>
                <td><x-bottle-left :lot="$lot" /></td>
                <td class="nowrap">{{ Rheacid\SiteClock::day($lot->usableUntil()) }}<br><x-days-left :lot="$lot" /></td>
                <td>@if ($spent)<x-state is="fail">{{ $spent }}</x-state>@elseif ($lot->isBarred())<x-state is="care">{{ $lot->happened('dipped') ? 'dipped' : 'tap water' }}: not for critical limits</x-state>@elseif ($lot->usesLeft() === 1)<x-state is="care">last use</x-state>@elseif ($lot->isBuffer())<x-state is="met">usable</x-state>@else<x-state is="idle">{{ $lot->kind }}</x-state>@endif</td>
            </tr>
        @empty
            <tr><td class="soft">No bottle yet. <a href="{{ route('add', 'bottle') }}">Add one</a></td></tr>
        @endforelse
    </table>
    <x-slot:evidence>
        @if (auth()->user()->role->writes())
            <h2>Put on the shelf</h2>
            <ul class="links">
                @foreach (Rheacid\Shelf\NewThing::cases() as $what)<li><a href="{{ route('add', $what) }}">Add {{ $what->value === 'electrode' ? 'an' : 'a' }} {{ $what->value }}</a></li>@endforeach
                <li><a href="{{ route('pairing') }}">Pair meter and electrode</a></li>
                <li><a href="{{ route('shelf.import') }}">Take a shelf from a file</a></li>
            </ul>
        @endif
        <h2>See</h2>
        <ul class="links">
            <li><a href="{{ route('labels') }}">Labels to print</a></li>
            <li><a href="{{ route('electrodes') }}">Compare electrodes</a></li>
            <li><a href="{{ route('policies') }}">Policies</a></li>
        </ul>
        <p class="note">An opened bottle ends with its printed expiry, its days after opening, or its uses, whichever comes first. What was used is poured away, never back.</p>
    </x-slot>
</x-house>
