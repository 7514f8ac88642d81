<x-house title="Confirm your passphrase" room="Hands">
    <p class="what">You changed hands by PIN, so you have a checker’s rights. Type your passphrase to act as {{ auth()->user()->role?->value }}.</p>
    <form id="again" method="post" action="{{ route('yourself.passphrase') }}">
        @csrf
        <div class="fields">
            <x-field name="passphrase" label="Passphrase" type="password" required autocomplete="current-password" maxlength="200" autofocus />
            @if (auth()->user()->credential?->hasCode())<x-field name="one_time_code" label="Authenticator code" inputmode="numeric"
                autocomplete="one-time-code" maxlength="20" />@endif
        </div>
    </form>
    <x-slot:act><button class="do" form="again" data-primary>Confirm <kbd>Enter</kbd></button></x-slot>
</x-house>
