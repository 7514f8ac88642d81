<x-house title="Authenticator" room="Site">
    @if (is_array($told = session('recovery')))
        <p class="verdict answer">
            <x-state is="met">The authenticator is set up.</x-state> <span>Write down these recovery codes and keep them away from the phone. Each one signs you
            in once without it. <b>They are shown only now.</b></span></p>
        <ul class="codes">@foreach ($told as $code)<li><code>{{ $code }}</code></li>@endforeach</ul>
    @elseif ($isOn)
        <p class="verdict"><x-state :is="$left < 3 ? 'care' : 'met'">The authenticator is on.</x-state> {{ $left === 1 ? 'One recovery code is' : $left
            . ' recovery codes are' }} left.</p>
        <form id="code-off" method="post" action="{{ route('yourself.code.off') }}">
            @csrf
            <div class="fields">
                <x-field name="passphrase" label="Passphrase" type="password" required autocomplete="current-password" maxlength="200" />
                <x-field name="one_time_code" label="Authenticator code" inputmode="numeric" required autocomplete="one-time-code" maxlength="20" />
            </div>
        </form>
        <x-slot:act><button class="do" form="code-off">Remove authenticator</button></x-slot>
    @else
        <p class="what">With an authenticator, your passphrase alone is not enough to sign in: you also type six digits that only your phone shows.</p>
        <ol class="steps">
            <li>In an authenticator app on your phone, add an account: scan the code or type the key.<br><canvas data-code="{{ $link }}" width="200"
                height="200" hidden role="img" aria-label="QR code of the key below"></canvas><br><code class="secret">{{ $secret }}</code><br><small><a
                href="{{ $link }}">Open it in the app</a> if this is the phone. Type: time-based, six digits, 30 s.</small></li>
            <li>Type the six digits that the app shows, and your passphrase.</li>
        </ol>
        <form id="code-on" method="post" action="{{ route('yourself.code') }}">
            @csrf
            <div class="fields">
                <x-field name="one_time_code" label="Authenticator code" inputmode="numeric" required autocomplete="one-time-code" maxlength="20" />
                <x-field name="passphrase" label="Passphrase" type="password" required autocomplete="current-password" maxlength="200" />
            </div>
        </form>
        <x-slot:act><button class="do" form="code-on" data-primary>Set up authenticator <kbd>Enter</kbd></button></x-slot>
    @endif
    <x-slot:evidence>
        <h2>If you lose the phone</h2>
        <p>Sign in with a recovery code. Then remove the authenticator here and set it up on the new phone.</p>
        <p>Without a recovery code, ask a lead for a new invitation code; it also removes the authenticator. If you are the only lead, the administrator of the
            server runs <code>bin/person</code>.</p>
    </x-slot>
</x-house>
