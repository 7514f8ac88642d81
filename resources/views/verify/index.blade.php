<x-house title="Verify" room="Verify">
    <h2>Which thermometer?</h2>
    <ul class="todo">
        @forelse ($thermometers as $thermometer)
            <li>
                <div><b>{{ $thermometer->code }} · {{ $thermometer->name }}</b><small>{{ $thermometer->state->words() }}{{ $thermometer->place ? ', ' . $thermometer->place : '' }} <x-thermometer-state :line="$thermometer" /></small></div>
                <a @class(['do', 'quiet' => !$loop->first]) href="{{ route('verify.show', $thermometer->id) }}" @if ($loop->first) data-primary @endif>Check<span class="visually-hidden"> {{ $thermometer->code }}</span></a>
            </li>
        @empty
            <li><div><b>No thermometer yet</b><small>Put one on the shelf first.</small></div><a class="do" href="{{ route('add', 'thermometer') }}" data-primary>Add a thermometer</a></li>
        @endforelse
    </ul>
    <x-slot:evidence>
        <h2>The words</h2>
        <dl>
            <dt>Verification</dt><dd>is it within its tolerance?</dd>
            <dt>Calibration</dt><dd>how far off is it, at several points?</dd>
            <dt>Adjustment</dt><dd>it was changed: as found before, as left after</dd>
        </dl>
        <h2>Elevation of the site</h2>
        <p>{{ $site === null ? 'Not known yet.' : Rheacid\Core\Numbers::plain($site->elevation_m) . ' m; ' . ($site->barometer === null ? 'nobody has said which pressure its barometer gives.' : 'its barometer gives ' . $site->barometer->words() . '.') }}</p>
        @can('lead')
            <form method="post" action="{{ route('verify.elevation') }}"><x-form-id /><x-field name="elevation" label="Elevation" help="m, or ft" inputmode="text" :value="$site === null ? null : Rheacid\Core\Numbers::plain($site->elevation_m)" /><x-field name="barometer" label="Its barometer gives"><select class="form-select" id="f-barometer" name="barometer">@foreach (Rheacid\Core\Thermometry\Barometer::cases() as $one)<option value="{{ $one->value }}" @selected(old('barometer', $site?->barometer?->value) === $one->value)>{{ $one->words() }}</option>@endforeach</select></x-field><button class="do quiet apart">Keep</button></form>
        @endcan
        <h2>See</h2>
        <ul class="links"><li><a href="{{ route('verify.alike') }}">Alike probes side by side</a></li><li><a href="{{ route('verify.reference') }}">Reference values, and what an error costs</a></li></ul>
    </x-slot>
</x-house>
