<x-house title="Ready" room="Ready">
    <h2>Meters with electrodes</h2>
    <table class="stack">
        <caption class="visually-hidden">Meters with electrodes</caption>
        @forelse ($plan->pairs() as $pair)
            <tr>
                <th scope="row"><a class="cell-link" href="{{ route('pairs.show', $pair->id) }}"><b>{{ $pair->code }}</b></a></th>
                <td>{{ $pair->name }}<br><span class="soft">{{ $pair->kind->words() }}</span></td>
                <td><x-pair-state :status="$pair->status()" /></td>
                <td class="spark">@if ($pair->calibration->bracketLow !== null)
                    <x-bracket :low="$pair->calibration->bracketLow" :high="$pair->calibration->bracketHigh" />@endif</td>
                <td class="spark">@if (count($pair->trend->slopes) > 2)
                    <x-spark :figure="new Rheacid\View\Figures\Spark($pair->trend->slopes, $pair->trend->lowest, 100)"
                    :label="'slope of ' . $pair->code . ' over its last calibrations'" />@endif</td>
            </tr>
        @empty
            <tr><td class="soft">No meter and electrode are paired yet. @can('record')<a
                href="{{ route('add', 'meter') }}">Add a meter</a>, add an electrode, then pair them.@endcan</td></tr>
        @endforelse
    </table>
    @if ($plan->cells() !== [])
        <h2>Conductivity and redox</h2>
        <table class="stack">
            <caption class="visually-hidden">Conductivity and redox</caption>
            @foreach ($plan->cells() as $pair)
                <tr>
                    <th scope="row"><a class="cell-link" href="{{ route('pairs.show', $pair->id) }}"><b>{{ $pair->code }}</b></a></th>
                    <td>{{ $pair->name }}<br><span class="soft"><x-measures :is="$pair->state" /> {{ $pair->kind->words() }}</span></td>
                    <td><x-pair-state :status="$pair->status()" /></td>
                </tr>
            @endforeach
        </table>
    @endif
    @if ($alone->isNotEmpty())
        <h2>Electrodes without a meter</h2>
        <table class="stack">
            <caption class="visually-hidden">Electrodes without a meter</caption>
            @foreach ($alone as $electrode)
                <tr><th scope="row"><b>{{ $electrode->code }}</b></th><td>{{ $electrode->name }} <span class="soft">{{ $electrode->kind->words() }}</span></td>
                    <td>@if ($electrode->retirements_count > 0)<x-state is="idle">retired</x-state>@else<a class="cell-link"
                    href="{{ route('pairing') }}">Pair</a>@endif</td></tr>
            @endforeach
        </table>
    @endif
    <h2>Thermometers</h2>
    <table class="stack">
        <caption class="visually-hidden">Thermometers</caption>
        @forelse ($thermometers as $thermometer)
            <tr>
                <th scope="row"><a class="cell-link" href="{{ route('thermometers.show', $thermometer->id) }}"><b>{{ $thermometer->code }}</b></a></th>
                <td>{{ $thermometer->name }}<br><span class="soft">{{ $thermometer->state->words() }}</span></td>
                <td><x-thermometer-state :line="$thermometer" /></td>
            </tr>
        @empty
            <tr><td class="soft">No thermometer yet.</td></tr>
        @endforelse
    </table>
    <h2>Bottles</h2>
    <table class="stack">
        <caption class="visually-hidden">Bottles</caption>
        <thead><tr><th scope="col">Bottle</th><th scope="col">Contents</th><th scope="col">Uses left</th><th scope="col">Usable until</th><th scope="col">State
            </th></tr></thead>
        @php([$gone, $here] = collect($bottles)->partition(fn ($bottle) => Rheacid\Queries\Ready\Bottles::spent($bottle) !== null
            && $bottle->status()->spent !== Rheacid\Core\Solutions\Spent::NotMadeUp))
        @forelse ($here as $bottle)
            @php($status = $bottle->status())
            @php($spent = Rheacid\Queries\Ready\Bottles::spent($bottle))
            <tr>
                <td><a class="cell-link" href="{{ route('lots.show', $bottle->id) }}"><b>{{ $bottle->code }}</b></a></td>
                <td>{{ $bottle->label }}</td>
                <td><x-bottle-left :bottle="$bottle" /></td>
                <td class="nowrap">{{ Rheacid\Site\SiteClock::day(Carbon\CarbonImmutable::parse($status->usableUntil)) }}<br><x-days-left
                    :bottle="$bottle" /></td>
                <td>@if ($spent)<x-state is="fail">{{ $spent }}</x-state>@elseif ($bottle->barredBy)<x-state
                    is="care">{{ $bottle->barredBy === Rheacid\Core\Solutions\BottleEvent::Dipped ? 'dipped'
                    : 'tap water' }}: not for critical limits</x-state>@elseif ($status->usesLeft === 1)<x-state
                    is="care">last use</x-state>@elseif ($bottle->state === Rheacid\Core\Solutions\SolutionKind::Buffer)<x-state
                    is="met">usable</x-state>@else<x-state is="idle">{{ $bottle->state->value }}</x-state>@endif</td>
            </tr>
        @empty
            <tr><td class="soft">No bottle yet. @can('record')<a href="{{ route('add', 'bottle') }}">Add a bottle</a>@endcan</td></tr>
        @endforelse
    </table>
    @if ($here->contains(fn ($bottle) => $bottle->state === Rheacid\Core\Solutions\SolutionKind::Cleaning))<p class="caution">
        {{ Rheacid\Core\Words\CareWords::cleanersTogether() }}</p>@endif
    @if ($gone->isNotEmpty())
        <details class="apart"><summary>{{ count($gone) === 1 ? 'One bottle' : count($gone) . ' bottles' }} no longer usable</summary>
            <table class="stack"><caption class="visually-hidden">Bottles</caption>@foreach ($gone as $bottle)<tr><th scope="row">
                <a class="cell-link" href="{{ route('lots.show', $bottle->id) }}"><b>{{ $bottle->code }}</b></a></th><td>{{ $bottle->label }}</td><td>
                <x-bottle-left :bottle="$bottle" /></td><td><x-state is="fail">{{ Rheacid\Queries\Ready\Bottles::spent($bottle) }}</x-state></td></tr>
                @endforeach</table>
        </details>
    @endif
    <x-slot:evidence>
        @if (Gate::allows('record'))
            <h2>Add</h2>
            <ul class="links">
                @foreach (Rheacid\Http\Forms\Ready\ThingKind::cases() as $what)<li>
                    <a href="{{ route('add', $what) }}">Add {{ $what->value === 'electrode' ? 'an' : 'a' }} {{ $what->value }}</a></li>@endforeach
                <li><a href="{{ route('pairing') }}">Pair meter and electrode</a></li>
                <li><a href="{{ route('shelf.import') }}">Import from a file</a></li>
            </ul>
        @endif
        <h2>More</h2>
        <ul class="links">
            <li><a href="{{ route('labels') }}">Labels</a></li>
            <li><a href="{{ route('electrodes') }}">Compare electrodes</a></li>
            <li><a href="{{ route('policies') }}">Policies</a></li>
        </ul>
        <p class="note">An opened bottle is spent at its printed expiry date, after its days from opening, or after its last use, whichever comes first. Pour
            used buffer away, never back.</p>
    </x-slot>
</x-house>
