<x-door title="Invitation code">
    <h1>Use an invitation code</h1>
    <p class="soft">A lead gives you the code. Choose a passphrase and a PIN that nobody else knows.</p>
    <form method="post" action="{{ route('join.enter') }}">
        @csrf
        <x-field name="one_time_code" label="Invitation code" autofocus required autocapitalize="characters" autocomplete="one-time-code" maxlength="40" />
        <x-field name="passphrase" label="Passphrase" class="apart" help="at least 12 characters; several words work well" type="password" required
            autocomplete="new-password" maxlength="200" />
        <x-field name="passphrase_confirmation" label="Repeat passphrase" class="apart" type="password" required autocomplete="new-password" maxlength="200" />
        <x-field name="pin" label="PIN" help="six digits, to change hands at the bench" class="apart" type="password" inputmode="numeric" required
            autocomplete="off" maxlength="6" />
        <button class="do apart" data-primary>Join <kbd>Enter</kbd></button>
    </form>
</x-door>
