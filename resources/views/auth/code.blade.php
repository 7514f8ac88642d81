<x-door title="Code">
    <h1>And the code</h1>
    <p class="soft">The six digits that your telephone shows now.</p>
    <form method="post" action="{{ route('sign-in.code') }}">
        @csrf
        <x-field name="one_time_code" label="Code" autofocus inputmode="numeric" autocomplete="one-time-code" maxlength="20" />
        <details class="apart"><summary>The telephone is not at hand</summary><x-field name="recovery" label="One of your recovery codes" autocapitalize="characters" maxlength="40" /></details>
        <button class="do apart" data-primary>Sign in <kbd>Enter</kbd></button>
    </form>
    <p class="apart"><a class="do quiet" href="{{ route('sign-in') }}">Begin again</a></p>
</x-door>
