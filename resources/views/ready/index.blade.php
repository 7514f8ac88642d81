<x-house title="Ready" room="Ready">
    <h2>Meters with electrodes</h2>
    <table class="stack">
        @forelse ($plan->pairs() as $pair)
            <tr>
                <td><a class="cell-link" href="{{ route('pairs.show', $pair->id) }}"><b>{{ $pair->code }}</b></a></td>
                <td>{{ $pair->name }}<br><span class="soft">{{ $pair->kind->words() }}</span></td>
                <td><x-pair-state :status="$pair->status()" /></td>
                <td class="spark">@if ($pair->bracketLow !== null)<x-bracket :low="$pair->bracketLow" :high="$pair->bracketHigh" />@endif</td>
                <td class="spark">@if (count($pair->slopes) > 2)<x-spark :figure="new Rheacid\View\Figures\Spark($pair->slopes, $pair->slopeLow, 100)" :label="'slope of ' . $pair->code . ' over its last calibrations'" />@endif</td>
            </tr>
        @empty
            <tr><td class="soft">No electrode stands on a meter yet. <a href="{{ route('add', 'meter') }}">Add a meter</a>, an electrode, and pair them.</td></tr>
        @endforelse
    </table>
    @if ($plan->cells() !== [])
        <h2>Conductivity and redox</h2>
        <table class="stack">
            @foreach ($plan->cells() as $pair)
                <tr>
                    <td><a class="cell-link" href="{{ route('pairs.show', $pair->id) }}"><b>{{ $pair->code }}</b></a></td>
                    <td>{{ $pair->name }}<br><span class="soft"><x-measures :is="$pair->state" /> {{ $pair->kind->words() }}</span></td>
                    <td><x-pair-state :status="$pair->status()" /></td>
                </tr>
            @endforeach
        </table>
    @endif
    @if ($alone->isNotEmpty())
        <h2>On no meter</h2>
        <table class="stack">
            @foreach ($alone as $electrode)
                <tr><td><b>{{ $electrode->code }}</b></td><td>{{ $electrode->name }} <span class="soft">{{ $electrode->kind->words() }}</span></td><td>@if ($electrode->retirements_count > 0)<x-state is="idle">retired</x-state>@else<a class="cell-link" href="{{ route('pairing') }}">Pair it</a>@endif</td></tr>
            @endforeach
        </table>
    @endif
    <h2>Thermometers</h2>
    <table class="stack">
        @forelse ($thermometers as $thermometer)
            <tr>
                <td><a class="cell-link" href="{{ route('thermometers.show', $thermometer->id) }}"><b>{{ $thermometer->code }}</b></a></td>
                <td>{{ $thermometer->name }}<br><span class="soft">{{ $thermometer->state->words() }}</span></td>
                <td><x-thermometer-state :line="$thermometer" /></td>
            </tr>
        @empty
            <tr><td class="soft">None yet.</td></tr>
        @endforelse
    </table>
    <h2>Bottles</h2>
    <table class="stack">
        <thead><tr><th>Bottle</th><th>What</th><th>Left</th><th>Usable until</th><th></th></tr></thead>
        @php([$gone, $here] = collect($bottles)->partition(fn ($bottle) => Rheacid\Shelf\Bottles::spent($bottle) !== null && $bottle->status()->spent !== Rheacid\Core\Solutions\Spent::NotMadeUp))
        @forelse ($here as $bottle)
            @php($status = $bottle->status())
            @php($spent = Rheacid\Shelf\Bottles::spent($bottle))
            <tr>
                <td><a class="cell-link" href="{{ route('lots.show', $bottle->id) }}"><b>{{ $bottle->code }}</b></a></td>
                <td>{{ $bottle->label }}</td>
                <td><x-bottle-left :bottle="$bottle" /></td>
                <td class="nowrap">{{ Rheacid\SiteClock::day(Carbon\CarbonImmutable::parse($status->usableUntil)) }}<br><x-days-left :bottle="$bottle" /></td>
                <td>@if ($spent)<x-state is="fail">{{ $spent }}</x-state>@elseif ($bottle->barredBy)<x-state is="care">{{ $bottle->barredBy === Rheacid\Core\Solutions\BottleEvent::Dipped ? 'dipped' : 'tap water' }}: not for critical limits</x-state>@elseif ($status->usesLeft === 1)<x-state is="care">last use</x-state>@elseif ($bottle->state === Rheacid\Core\Solutions\SolutionKind::Buffer)<x-state is="met">usable</x-state>@else<x-state is="idle">{{ $bottle->state->value }}</x-state>@endif</td>
            </tr>
        @empty
            <tr><td class="soft">No bottle yet. <a href="{{ route('add', 'bottle') }}">Add one</a></td></tr>
        @endforelse
    </table>
    @if ($gone->isNotEmpty())
        <details class="apart"><summary>{{ count($gone) }} that can no longer be used</summary>
            <table class="stack">@foreach ($gone as $bottle)<tr><td><a class="cell-link" href="{{ route('lots.show', $bottle->id) }}"><b>{{ $bottle->code }}</b></a></td><td>{{ $bottle->label }}</td><td><x-bottle-left :bottle="$bottle" /></td><td><x-state is="fail">{{ Rheacid\Shelf\Bottles::spent($bottle) }}</x-state></td></tr>@endforeach</table>
        </details>
    @endif
    <x-slot:evidence>
        @if (Gate::allows('record'))
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
