<x-house title="Passphrase, PIN and sessions" room="Site">
    @if ($mustChange === 'passphrase')
        <p class="verdict answer"><x-state is="care">Change your passphrase.</x-state> <span>It is one of the most common ones and easy to guess.</span></p>
    @elseif ($mustChange === 'pin')
        <p class="verdict answer"><x-state is="care">Change your PIN.</x-state> <span>It is one of the most common ones and easy to guess.</span></p>
    @endif
    @if ($mustChange !== 'pin')
        <h2>Change the passphrase</h2>
        <form id="change-passphrase" method="post" action="{{ route('yourself.secrets.passphrase') }}">
            @csrf
            <div class="fields">
                <x-field name="current_passphrase" id="f-current-1" label="Current passphrase" type="password" required maxlength="200"
                    autocomplete="current-password" />
                @if ($person->credential?->hasCode())
                    <x-field name="one_time_code" id="f-code-1" label="Authenticator code" inputmode="numeric" autocomplete="one-time-code"
                        maxlength="20" />@endif
                <x-field name="passphrase" label="New passphrase" type="password" required maxlength="200" autocomplete="new-password"
                    help="at least 12 characters; several words work well" />
                <x-field name="passphrase_confirmation" label="Repeat new passphrase" type="password" required maxlength="200" autocomplete="new-password" />
            </div>
            <button class="do {{ $mustChange === 'passphrase' ? '' : 'quiet' }} apart">Change passphrase</button>
        </form>
    @endif
    @if ($mustChange !== 'passphrase')
        <h2>Change the PIN</h2>
        <form id="change-pin" method="post" action="{{ route('yourself.secrets.pin') }}">
            @csrf
            <div class="fields">
                <x-field name="current_passphrase" id="f-current-2" label="Passphrase" type="password" required maxlength="200"
                    autocomplete="current-password" />
                @if ($person->credential?->hasCode())
                    <x-field name="one_time_code" id="f-code-2" label="Authenticator code" inputmode="numeric" autocomplete="one-time-code"
                        maxlength="20" />@endif
                <x-field name="pin" label="New PIN" type="password" inputmode="numeric" required maxlength="6" help="six digits" />
            </div>
            <button class="do {{ $mustChange === 'pin' ? '' : 'quiet' }} apart">Change PIN</button>
        </form>
    @endif
    @include('auth.sessions')
    <x-slot:evidence>
        <h2>A good passphrase</h2>
        <p>Use several words that are not related to each other or to you. Common passphrases, your name and keyboard rows are refused.</p>
        <p>A PIN has six digits: not all the same, and no sequence such as 123456. It only changes hands on a bench where somebody is signed in.</p>
        <p>Changing the passphrase, PIN or authenticator signs you out on all other devices.</p>
    </x-slot>
</x-house>
