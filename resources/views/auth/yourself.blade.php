<x-house :title="auth()->user()->name" room="Site">
    <p class="what">{{ $address ? 'You get deadline warnings by e-mail.' : 'You get no e-mails. Add an address to get deadline warnings.' }}</p>
    @if (Gate::allows('record'))
        <form id="yourself" method="post" action="{{ route('yourself.update') }}">
            @csrf
            <div class="fields">
                <x-field name="email" label="E-mail address" :value="$address" type="email" autocomplete="email" maxlength="200"
                    help="leave empty for no e-mails" class="wide" />
                @if (auth()->user()->role === Rheacid\Core\Access\Role::Lead)
                    <x-field name="passphrase" label="Passphrase" type="password" required autocomplete="current-password" maxlength="200"
                        help="needed to change a lead’s address" />@endif
            </div>
        </form>
        <x-slot:act><a href="{{ route('hands') }}">Change hands</a><button class="do" form="yourself" data-primary>Save <kbd>Enter</kbd></button></x-slot>
    @else
        <x-slot:act><a class="do" href="{{ route('hands') }}" data-primary>Change hands <kbd>Enter</kbd></a></x-slot>
    @endif
    @include('auth.sessions')
    <x-slot:evidence>
        <h2>Signing in</h2>
        <p>{{ auth()->user()->credential?->hasCode() ? 'With passphrase and authenticator code.' : 'With a passphrase only.' }} <a
            href="{{ route('yourself.code') }}">{{ auth()->user()->credential?->hasCode() ? 'Change the authenticator' : 'Set up an authenticator' }}</a></p>
        <p><a href="{{ route('yourself.secrets') }}">Passphrase, PIN and sessions</a></p>
        <h2>When e-mails are sent</h2>
        <p>One when a deadline of a batch is unlikely to be met in time, and one when a quarter of its time is left (at least two hours, at most a day).</p>
        <p>Today shows the same warnings and offers a calendar file.</p>
        <p class="note">Your address is not part of the records. Remove it here and it is gone.</p>
    </x-slot>
</x-house>
