@use(Rheacid\Core\Thermometry\Barometer)
<x-door title="Set up" :wide="true">
    <h1>Set up your site</h1>
    <p class="soft">Nothing has been recorded here yet. Name the site and its first lead. You can change everything else later.</p>
    <form method="post" action="{{ route('set-up.store') }}">
        @csrf
        <div class="fields"><x-field name="one_time_code" label="Set-up code" help="printed by bin/start" autofocus required autocapitalize="characters"
            maxlength="40" /></div>
        <h2>The site</h2>
        <div class="fields">
            <x-field name="site" label="Site name" help="printed on certificates" required maxlength="80" />
            <x-field name="time_zone" label="Time zone" help="for example Europe/Lisbon" required list="zones" data-zone maxlength="60" />
            <x-field name="elevation" label="Elevation" help="in m or ft; it decides the boiling point of water" required inputmode="text" />
            <x-choice name="barometer" label="Barometer reading"
                :options="['' => 'no barometer', ...collect(Barometer::cases())->mapWithKeys(fn ($one) => [$one->value => $one->words()])]" />
            <x-choice name="temperatures" label="Temperature unit" :options="['C' => '°C', 'F' => '°F, with °C beside it']" />
            <x-choice name="numbers" label="Decimal sign" :options="['point' => '4.52', 'comma' => '4,52']" />
        </div>
        <datalist id="zones">@foreach ($zones as $zone)<option value="{{ $zone }}"></option>@endforeach</datalist>
        <h2>First lead: you</h2>
        <div class="fields">
            <x-field name="name" label="Your name" help="shown on records" required autocomplete="name" maxlength="80" />
            <x-field name="username" label="Sign-in name" help="letters, digits, dots, dashes" required autocapitalize="none" autocomplete="username"
                maxlength="40" />
            <x-field name="passphrase" label="Passphrase" help="at least 12 characters; several words work well" type="password" required
                autocomplete="new-password" maxlength="200" />
            <x-field name="passphrase_confirmation" label="Repeat passphrase" type="password" required autocomplete="new-password" maxlength="200" />
            <x-field name="pin" label="PIN" help="six digits, to change hands at the bench" type="password" inputmode="numeric" required autocomplete="off"
                maxlength="6" />
        </div>
        <button class="do apart" data-primary>Set up site <kbd>Enter</kbd></button>
    </form>
</x-door>
