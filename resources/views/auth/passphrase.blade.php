<x-house title="Your passphrase again" room="Hands">
    <p class="what">{{ auth()->user()->name }} took over by a PIN, which gives what a checker may. What is a {{ auth()->user()->role?->value }}’s asks for the passphrase.</p>
    <form id="again" method="post" action="{{ route('yourself.passphrase') }}">
        @csrf
        <div class="fields">
            <x-field name="passphrase" label="Passphrase" type="password" required autocomplete="current-password" maxlength="200" autofocus />
            @if (auth()->user()->credential?->hasCode())<x-field name="one_time_code" label="One-time code" inputmode="numeric" autocomplete="one-time-code" maxlength="20" />@endif
        </div>
    </form>
    <x-slot:act><button class="do" form="again" data-primary>Show it <kbd>Enter</kbd></button></x-slot>
</x-house>
