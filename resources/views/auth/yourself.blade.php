<x-house :title="auth()->user()->name" room="Hands">
    <p class="what">{{ $address ? 'Warnings of deadlines go to you by e-mail.' : 'No e-mails are sent to you.' }}</p>
    @if (Gate::allows('record'))
        <form id="yourself" method="post" action="{{ route('yourself.update') }}">
            @csrf
            <div class="fields">
                <x-field name="email" label="Your address for warnings" :value="$address" type="email" autocomplete="email" maxlength="200" help="empty: no e-mails" class="wide" />
                @if (auth()->user()->role === Rheacid\Models\Role::Lead)
                    <x-field name="passphrase" label="Your passphrase" type="password" required autocomplete="current-password" maxlength="200" help="a lead’s address is changed with it" />@endif
            </div>
        </form>
        <x-slot:act><a href="{{ route('hands') }}">Change hands</a><button class="do" form="yourself" data-primary>Save <kbd>Enter</kbd></button></x-slot>
    @else
        <x-slot:act><a class="do" href="{{ route('hands') }}" data-primary>Change hands <kbd>Enter</kbd></a></x-slot>
    @endif
    <x-slot:evidence>
        <h2>Signing in</h2>
        <p>{{ auth()->user()->credential?->hasCode() ? 'By passphrase and authenticator code.' : 'By passphrase alone.' }} <a href="{{ route('yourself.code') }}">{{ auth()->user()->credential?->hasCode() ? 'See the authenticator' : 'Set up an authenticator' }}</a></p>
        <p><a href="{{ route('yourself.secrets') }}">Passphrase, PIN and sessions</a></p>
        <h2>When an e-mail comes</h2>
        <p>Once when the readings of a batch show that a deadline is unlikely to be met, and once when a quarter of its time is left (two hours at least, a day at most).</p>
        <p>The same is on Today, and in the calendar file there.</p>
        <p class="note">An address is no record: it is sealed nowhere, and gone when you take it back.</p>
    </x-slot>
</x-house>
