<x-door title="Authenticator code">
    <h1>Authenticator code</h1>
    <p class="soft">Type the six digits that your authenticator app shows now.</p>
    <form method="post" action="{{ route('sign-in.code') }}">
        @csrf
        <x-field name="one_time_code" label="Authenticator code" autofocus inputmode="numeric" autocomplete="one-time-code" maxlength="20" />
        <details class="apart"><summary>I do not have my phone</summary>
            <x-field name="recovery" label="Recovery code" autocapitalize="characters" maxlength="40" /></details>
        <button class="do apart" data-primary>Sign in <kbd>Enter</kbd></button>
    </form>
    <p class="apart"><a class="do quiet" href="{{ route('sign-in') }}">Start again</a></p>
</x-door>
