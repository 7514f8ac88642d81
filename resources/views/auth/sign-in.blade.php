<x-door title="Sign in">
    <h1>Rheacid</h1>
    <p class="soft">{{ Rheacid\Site\Settings::now()->name }} · {{ Rheacid\Site\SiteClock::local(now())->format('D j M, H:i') }}</p>
    @if (session("idle"))<p class="verdict" role="status">{{ session("idle") }}</p>@endif
    <form method="post" action="{{ url('sign-in') }}">
        @csrf
        <x-field name="username" label="Sign-in name" autofocus required autocapitalize="none" autocomplete="username" maxlength="40" />
        <x-field name="passphrase" label="Passphrase" class="apart" type="password" required autocomplete="current-password" />
        <button class="do apart" data-primary>Sign in <kbd>Enter</kbd></button>
    </form>
    <p class="apart"><a class="do quiet" href="{{ route('join') }}">I have an invitation code</a></p>
</x-door>
