<x-door title="Come in">
    <h1>Come in by a code</h1>
    <p class="soft">A lead has told you one. You choose what you sign in with; nobody else knows it.</p>
    <form method="post" action="{{ route('join.enter') }}">
        @csrf
        <x-field name="one_time_code" label="Code" autofocus required autocapitalize="characters" autocomplete="one-time-code" maxlength="40" />
        <x-field name="passphrase" label="A passphrase of your own" class="apart" help="12 signs at least; several words are good" type="password" required autocomplete="new-password" maxlength="200" />
        <x-field name="passphrase_confirmation" label="The same again" class="apart" type="password" required autocomplete="new-password" maxlength="200" />
        <x-field name="pin" label="A PIN of six digits, for changing hands at the bench" class="apart" type="password" inputmode="numeric" required autocomplete="off" maxlength="6" />
        <button class="do apart" data-primary>Come in <kbd>Enter</kbd></button>
    </form>
</x-door>
