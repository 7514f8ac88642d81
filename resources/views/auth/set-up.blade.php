@use(Rheacid\Core\Thermometry\Barometer)
<x-door title="Set up" :wide="true">
    <h1>A place of your own</h1>
    <p class="soft">Nothing is recorded here yet. Say what this site is, and who leads it; the rest can be changed later.</p>
    <form method="post" action="{{ route('set-up.store') }}">
        @csrf
        <div class="fields"><x-field name="one_time_code" label="Code" help="bin/start has printed it" autofocus required autocapitalize="characters" maxlength="40" /></div>
        <h2>The site</h2>
        <div class="fields">
            <x-field name="site" label="Its name" help="as it stands on certificates" required maxlength="80" />
            <x-field name="time_zone" label="Time zone" help="like Europe/Lisbon" required list="zones" data-zone maxlength="60" />
            <x-field name="elevation" label="Elevation" help="m, or ft: water boils by it" required inputmode="text" />
            <x-field name="barometer" label="Its barometer gives"><select class="form-select" id="f-barometer" name="barometer"><option value="">there is none</option>@foreach (Barometer::cases() as $one)<option value="{{ $one->value }}" @selected(old('barometer') === $one->value)>{{ $one->words() }}</option>@endforeach</select></x-field>
            <x-field name="temperatures" label="Temperatures"><select class="form-select" id="f-temperatures" name="temperatures"><option value="C">°C</option><option value="F" @selected(old('temperatures') === 'F')>°F first</option></select></x-field>
            <x-field name="numbers" label="Numbers"><select class="form-select" id="f-numbers" name="numbers"><option value="point">4.52</option><option value="comma" @selected(old('numbers') === 'comma')>4,52</option></select></x-field>
        </div>
        <datalist id="zones">@foreach ($zones as $zone)<option value="{{ $zone }}"></option>@endforeach</datalist>
        <h2>Its first lead: you</h2>
        <div class="fields">
            <x-field name="name" label="Your name" help="as it stands on records" required autocomplete="name" maxlength="80" />
            <x-field name="username" label="Signs in as" help="letters, digits, dots, dashes" required autocapitalize="none" autocomplete="username" maxlength="40" />
            <x-field name="passphrase" label="A passphrase of your own" help="12 signs at least; several words are good" type="password" required autocomplete="new-password" maxlength="200" />
            <x-field name="passphrase_confirmation" label="The same again" type="password" required autocomplete="new-password" maxlength="200" />
            <x-field name="pin" label="A PIN of six digits, for changing hands" type="password" inputmode="numeric" required autocomplete="off" maxlength="6" />
        </div>
        <button class="do apart" data-primary>Found it <kbd>Enter</kbd></button>
    </form>
</x-door>
