<x-house title="Verify" room="Verify">
    <h2>Which thermometer?</h2>
    <ul class="todo">
        @forelse ($thermometers as $thermometer)
            <li>
                <div><b>{{ $thermometer->code }} · {{ $thermometer->name }}</b><small>{{ $thermometer->state->words() }}{{ $thermometer->use->place ? ', '
                    . $thermometer->use->place : '' }} <x-thermometer-state :line="$thermometer" /></small></div>
                <a @class(['do', 'quiet' => !$loop->first]) href="{{ route('verify.show', $thermometer->id) }}" @if ($loop->first) data-primary
                    @endif>Check<span class="visually-hidden"> {{ $thermometer->code }}</span></a>
            </li>
        @empty
            <li><div><b>No thermometer yet</b><small>Add one first; then it can be checked.</small></div>@can('record')
                <a class="do" href="{{ route('add', 'thermometer') }}" data-primary>Add thermometer</a>@endcan</li>
        @endforelse
    </ul>
    <x-slot:evidence>
        <h2>Terms</h2>
        <dl>
            <dt>Verification</dt><dd>Is it within its tolerance?</dd>
            <dt>Calibration</dt><dd>How large is its error, at several points?</dd>
            <dt>Adjustment</dt><dd>It was changed: as found before, as left after.</dd>
        </dl>
        <h2>Site elevation</h2>
        <p>{{ $site === null ? 'Not set yet.' : Rheacid\Core\Numbers::plain($site->elevation_m) . ' m; ' . ($site->barometer === null
            ? 'the kind of pressure that the barometer shows is not set.' : 'the barometer shows ' . $site->barometer->words() . '.') }}</p>
        @can('lead')
            <form method="post" action="{{ route('verify.elevation') }}"><x-form-id />
                <x-field name="elevation" label="Elevation" help="in m or ft" inputmode="text"
                :value="$site === null ? null : Rheacid\Core\Numbers::plain($site->elevation_m)" />
                <x-choice name="barometer" label="Barometer reading"
                :options="collect(Rheacid\Core\Thermometry\Barometer::cases())->mapWithKeys(fn ($one) => [$one->value => $one->words()])"
                :value="$site?->barometer?->value" /><button class="do quiet apart">Save</button></form>
        @endcan
        <h2>More</h2>
        <ul class="links"><li><a href="{{ route('verify.alike') }}">Thermometers side by side</a></li><li>
            <a href="{{ route('verify.reference') }}">Reference temperatures</a></li></ul>
    </x-slot>
</x-house>
