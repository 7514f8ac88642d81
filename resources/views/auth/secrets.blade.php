<x-house title="Passphrase, PIN and sessions" room="Hands">
    @if ($mustChange === 'passphrase')
        <p class="verdict answer"><x-state is="care">Change your passphrase.</x-state> <span>It is among those that are guessed first.</span></p>
    @elseif ($mustChange === 'pin')
        <p class="verdict answer"><x-state is="care">Change your PIN.</x-state> <span>It is among those that are guessed first.</span></p>
    @endif
    @if ($mustChange !== 'pin')
        <h2>Change the passphrase</h2>
        <form id="change-passphrase" method="post" action="{{ route('yourself.secrets.passphrase') }}">
            @csrf
            <div class="fields">
                <x-field name="current_passphrase" id="f-current-1" label="Passphrase now" type="password" required maxlength="200" autocomplete="current-password" />
                @if ($person->credential?->hasCode())
                    <x-field name="one_time_code" id="f-code-1" label="Authenticator code" inputmode="numeric" autocomplete="one-time-code" maxlength="20" />@endif
                <x-field name="passphrase" label="New passphrase" type="password" required maxlength="200" autocomplete="new-password" help="12 characters or more; several words are good" />
                <x-field name="passphrase_confirmation" label="New passphrase again" type="password" required maxlength="200" autocomplete="new-password" />
            </div>
            <button class="do {{ $mustChange === 'passphrase' ? '' : 'quiet' }} apart">Change passphrase</button>
        </form>
    @endif
    @if ($mustChange !== 'passphrase')
        <h2>Change the PIN</h2>
        <form id="change-pin" method="post" action="{{ route('yourself.secrets.pin') }}">
            @csrf
            <div class="fields">
                <x-field name="current_passphrase" id="f-current-2" label="Passphrase" type="password" required maxlength="200" autocomplete="current-password" />
                @if ($person->credential?->hasCode())
                    <x-field name="one_time_code" id="f-code-2" label="Authenticator code" inputmode="numeric" autocomplete="one-time-code" maxlength="20" />@endif
                <x-field name="pin" label="New PIN" type="password" inputmode="numeric" required maxlength="6" help="six digits" />
            </div>
            <button class="do {{ $mustChange === 'pin' ? '' : 'quiet' }} apart">Change PIN</button>
        </form>
    @endif
    <h2>Where you are signed in</h2>
    <table class="stack">
        <thead><tr><th scope="col">Since</th><th scope="col">From</th><th scope="col">Last seen</th><td></td></tr></thead>
        @foreach ($signIns as $one)
            <tr>
                <td>{{ Rheacid\SiteClock::full(Carbon\CarbonImmutable::parse($one->began_at, 'UTC')) }}{{ $one->by_pin ? ', by PIN' : '' }}</td>
                <td>{{ $one->address }}, {{ $one->device }}</td>
                <td>{{ $one->isHere ? 'now' : Rheacid\SiteClock::full(Carbon\CarbonImmutable::parse($one->seen_at, 'UTC')) }}</td>
                <td>
                    @if ($one->isHere)
                        <x-state is="idle">this one</x-state>
                    @else
                        <form method="post" action="{{ route('yourself.secrets.end', $one->id) }}">
                            @csrf
                            <button class="do quiet">Sign out there</button>
                        </form>
                    @endif
                </td>
            </tr>
        @endforeach
    </table>
    <x-slot:evidence>
        <h2>What makes a good passphrase</h2>
        <p>Several words that have nothing to do with one another or with you. The commonest passphrases, your name, and rows of neighbours are refused.</p>
        <p>A PIN has six digits, not all equal and no row like 123456. It changes hands at a bench that is signed in, and nothing more.</p>
        <p>A new passphrase, PIN or authenticator signs you out everywhere else.</p>
    </x-slot>
</x-house>
