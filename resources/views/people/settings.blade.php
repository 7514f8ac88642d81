@use(Rheacid\Site\SiteClock)
<x-house title="Settings" room="Site">
    @if (Gate::allows('lead'))
        <form id="settings" method="post" action="{{ route('settings.update') }}" data-keep>
            <x-form-id />
            <div class="fields">
                <x-field name="name" label="Name" help="printed on certificates" :value="$screen->settings->name" maxlength="80" />
                <x-choice name="temperatures" label="Temperature unit" :options="['C' => '°C', 'F' => '°F, with °C beside it']"
                    :value="$screen->settings->fahrenheitFirst ? 'F' : 'C'" />
                <x-choice name="numbers" label="Decimal sign" :options="['point' => '4.52', 'comma' => '4,52']"
                    :value="$screen->settings->decimalComma ? 'comma' : 'point'" />
            </div>
            <x-tick name="leads_need_code" :checked="old('leads_need_code', $screen->settings->leadsNeedCode)">Leads sign in with an authenticator code</x-tick>
            <x-tick name="four_eyes" :checked="old('four_eyes',
                $screen->settings->fourEyes)">Four-eyes release: whoever worked on a batch cannot release it</x-tick>
            @if ($screen->settings->fourEyes)
                <div class="fields">
                    <x-field name="second" label="Second lead" help="sign-in name; needed to switch four-eyes release off" maxlength="40" />
                    <x-field name="second_passphrase" label="Second lead’s passphrase" type="password" /></div>
            @endif
        </form>
        <h2>Time zone</h2>
        <form id="zone" method="post" action="{{ route('settings.zone') }}" data-keep>
            <x-form-id />
            <div class="fields">
                <x-field name="time_zone" label="Time zone" :value="SiteClock::zone(now())->getName()" list="zones" maxlength="60" />
                <x-field name="from" label="In force from" type="datetime-local" :value="SiteClock::field(now())" />
                <div class="at-the-foot"><button class="do quiet">Change time zone</button></div>
            </div>
            <datalist id="zones">@foreach ($screen->zones as $zone)<option value="{{ $zone }}"></option>@endforeach</datalist>
        </form>
        <x-slot:act><button class="do" form="settings" data-primary>Save settings <kbd>Enter</kbd></button></x-slot>
    @else
        <p class="what">Only a lead can change these.</p>
        <table class="stack">
            <caption class="visually-hidden">Settings</caption>
            <tr><th scope="row">Name</th><td>{{ $screen->settings->name }}</td></tr>
            <tr><th scope="row">Temperature unit</th><td>{{ $screen->settings->fahrenheitFirst ? '°F, with °C beside it' : '°C' }}</td></tr>
            <tr><th scope="row">Four-eyes release</th><td>{{ $screen->settings->fourEyes ? 'on: whoever worked on a batch cannot release it' : 'off' }}
                </td></tr>
            <tr><th scope="row">Decimal sign</th><td>{{ $screen->settings->decimalComma ? '4,52' : '4.52' }}</td></tr>
            <tr><th scope="row">Leads sign in with an authenticator code</th><td>{{ $screen->settings->leadsNeedCode ? 'yes' : 'no' }}</td></tr>
        </table>
    @endif
    @if ($screen->moves->isNotEmpty())
        <h2>Earlier time zones</h2>
        <table class="stack"><caption class="visually-hidden">Time zones</caption>@foreach ($screen->moves as $move)<tr><th scope="row">
            {{ $move->time_zone }}</th>
            <td>from {{ SiteClock::full($move->in_force_from) }}</td><td>{{ $move->person->name }}, {{ SiteClock::day($move->at) }}</td>
        </tr>@endforeach</table>
    @endif
    <x-slot:evidence>
        <h2>Elevation</h2>
        <p>{{ $screen->elevation === null ? 'Not set yet.' : Rheacid\Core\Numbers::plain($screen->elevation->elevation_m) . ' m' }} · <a
            href="{{ route('verify') }}">change it under Verify</a></p>
        <h2>Times</h2>
        <p>Times are stored in UTC and shown in the zone that was in force. When the clock goes back, forms ask which of the two hours you mean; an hour that
            does not exist is refused.</p>
        <h2>See</h2>
        <ul class="links"><li><a href="{{ route('people') }}">People</a></li><li><a href="{{ route('clock') }}">How the records are kept</a></li></ul>
    </x-slot>
</x-house>
