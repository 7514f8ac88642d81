@use(Rheacid\SiteClock)
<x-house title="Settings of the site" room="Today">
    @if (Gate::allows('lead'))
        <form id="settings" method="post" action="{{ route('settings.update') }}" data-keep>
            <x-form-id />
            <div class="fields">
                <x-field name="name" label="Name" help="as it stands on certificates" :value="$screen->settings->name" maxlength="80" />
                <x-field name="temperatures" label="Temperatures"><select class="form-select" id="f-temperatures" name="temperatures">
                    <option value="C">°C</option>
                    <option value="F" @selected(old('temperatures', $screen->settings->fahrenheitFirst ? 'F' : 'C') === 'F')>°F first</option></select>
                </x-field>
                <x-field name="numbers" label="Numbers"><select class="form-select" id="f-numbers" name="numbers"><option value="point">4.52</option>
                    <option value="comma" @selected(old('numbers', $screen->settings->decimalComma ? 'comma' : 'point') === 'comma')>4,52</option></select>
                </x-field>
            </div>
            <label class="form-check"><input class="form-check-input" type="checkbox" name="leads_need_code" value="1" @checked(old('leads_need_code', $screen->settings->leadsNeedCode))> leads sign in with a code of the telephone</label>
            @error('leads_need_code')<p class="problem">{{ $message }}</p>@enderror
            <label class="form-check"><input class="form-check-input" type="checkbox" name="four_eyes" value="1" @checked(old('four_eyes', $screen->settings->fourEyes))> four eyes: who had a hand in a batch does not release it</label>
            @error('four_eyes')<p class="problem">{{ $message }}</p>@enderror
            @if ($screen->settings->fourEyes)
                <div class="fields">
                    <x-field name="second" label="Second lead" help="to switch four eyes off: the name of another lead" maxlength="40" />
                    <x-field name="second_passphrase" label="Passphrase of the second lead" type="password" /></div>
            @endif
        </form>
        <h2>Another time zone</h2>
        <form id="zone" method="post" action="{{ route('settings.zone') }}" data-keep>
            <x-form-id />
            <div class="fields">
                <x-field name="time_zone" label="Zone" :value="SiteClock::zone(now())->getName()" list="zones" maxlength="60" />
                <x-field name="from" label="From" type="datetime-local" :value="SiteClock::field(now())" />
                <div class="at-the-foot"><button class="do quiet">Move the clock</button></div>
            </div>
            <datalist id="zones">@foreach ($screen->zones as $zone)<option value="{{ $zone }}"></option>@endforeach</datalist>
        </form>
        <x-slot:act><button class="do" form="settings" data-primary>Record it <kbd>Enter</kbd></button></x-slot>
    @else
        <p class="what">A lead changes these.</p>
        <table class="stack">
            <tr><td>Name</td><td>{{ $screen->settings->name }}</td></tr>
            <tr><td>Temperatures</td><td>{{ $screen->settings->fahrenheitFirst ? '°F first' : '°C' }}</td></tr>
            <tr><td>Four eyes</td><td>{{ $screen->settings->fourEyes ? 'who had a hand in a batch does not release it' : 'off' }}</td></tr>
            <tr><td>Numbers</td><td>{{ $screen->settings->decimalComma ? '4,52' : '4.52' }}</td></tr>
            <tr><td>Leads sign in with a code of the telephone</td><td>{{ $screen->settings->leadsNeedCode ? 'yes' : 'no' }}</td></tr>
        </table>
    @endif
    @if ($screen->moves->isNotEmpty())
        <h2>The clock went by</h2>
        <table class="stack">@foreach ($screen->moves as $move)<tr><td>{{ $move->time_zone }}</td>
            <td>from {{ SiteClock::full($move->in_force_from) }}</td><td>{{ $move->person->name }}, {{ SiteClock::day($move->at) }}</td>
        </tr>@endforeach</table>
    @endif
    <x-slot:evidence>
        <h2>Elevation</h2>
        <p>{{ $screen->elevation === null ? 'Not known yet.' : Rheacid\Core\Numbers::plain($screen->elevation->elevation_m) . ' m' }} · <a href="{{ route('verify') }}">change it beside the thermometers</a></p>
        <h2>What a zone does</h2>
        <p>Times are kept in UTC and shown as they were on the wall then. Where a move makes an hour come twice, a form asks which; an hour that is left out is refused.</p>
        <h2>See</h2>
        <ul class="links"><li><a href="{{ route('people') }}">People</a></li><li><a href="{{ route('clock') }}">How the records are kept</a></li></ul>
    </x-slot>
</x-house>
