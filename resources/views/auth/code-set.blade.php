<x-house title="One-time code from a phone" room="Hands">
    @if (is_array($told = session('recovery')))
        <p class="verdict answer"><x-state is="met">It is on.</x-state> <span>Write these down and keep them away from the telephone: each lets you in once without it. <b>They are shown this once.</b></span></p>
        <ul class="codes">@foreach ($told as $code)<li><code>{{ $code }}</code></li>@endforeach</ul>
    @elseif ($isOn)
        <p class="verdict"><x-state :is="$left < 3 ? 'care' : 'met'">Signing in asks for it.</x-state> {{ $left }} recovery {{ $left === 1 ? 'code is' : 'codes are' }} left.</p>
        <form id="code-off" method="post" action="{{ route('yourself.code.off') }}">
            @csrf
            <div class="fields">
                <x-field name="passphrase" label="Passphrase" type="password" required autocomplete="current-password" maxlength="200" />
                <x-field name="one_time_code" label="Code of now" inputmode="numeric" required autocomplete="one-time-code" maxlength="20" />
            </div>
        </form>
        <x-slot:act><button class="do" form="code-off">Give it up</button></x-slot>
    @else
        <p class="what">Whoever learns your passphrase still does not come in: signing in asks for six digits that only your telephone shows.</p>
        <ol class="steps">
            <li>In any authenticator on the telephone, add an account: scan the square, or type the key.<br><canvas data-code="{{ $link }}" width="200" height="200" hidden role="img" aria-label="the same key as a square to scan"></canvas><br><code class="secret">{{ $secret }}</code><br><small><a href="{{ $link }}">or open it there, if this is the telephone</a>: time-based, six digits, 30 s</small></li>
            <li>Type the digits that it shows now, and your passphrase.</li>
        </ol>
        <form id="code-on" method="post" action="{{ route('yourself.code') }}">
            @csrf
            <div class="fields">
                <x-field name="one_time_code" label="Code of now" inputmode="numeric" required autocomplete="one-time-code" maxlength="20" />
                <x-field name="passphrase" label="Passphrase" type="password" required autocomplete="current-password" maxlength="200" />
            </div>
        </form>
        <x-slot:act><button class="do" form="code-on" data-primary>Set it up <kbd>Enter</kbd></button></x-slot>
    @endif
    <x-slot:evidence>
        <h2>If the telephone is lost</h2>
        <p>A recovery code lets you in once. Then give the code up here and set it up on the new one.</p>
        <p>Without any: a lead makes you a new code to come in by; it takes this away as well. The only lead asks who keeps the machine for <code>bin/person</code>.</p>
    </x-slot>
</x-house>
