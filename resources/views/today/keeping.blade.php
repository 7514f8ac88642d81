@use(Rheacid\Site\SiteClock)
<x-house title="How the records are kept" room="Site">
    @if ($screen->ahead)
        <p class="verdict answer">
            <x-state is="fail">Recording is stopped.</x-state> <span>The last record is from {{ SiteClock::full($screen->ahead) }}, but this computer’s clock
            says {{ SiteClock::full(now()) }}. <b>Correct the clock. If the clock is right now and was ahead before, confirm the true time below.</b></span></p>
        @if (Gate::allows('lead'))
            <form id="true-time" method="post" action="{{ route('clock.state') }}" data-keep>
                <x-form-id />
                <x-tick name="is_right" :checked="old('is_right')">I compared it with another clock: {{ SiteClock::full(now()) }} is the true time</x-tick>
                <x-field name="reason" label="What happened" class="wide" maxlength="400" />
            </form>
            <x-slot:act><button class="do" form="true-time" data-primary>Confirm the true time <kbd>Enter</kbd></button></x-slot>
        @endif
    @elseif ($screen->keeping->problems(now()->toImmutable()) === [])
        <p class="verdict answer"><x-state is="met">In order.</x-state> <span>Backed up and verified.</span></p>
    @endif
    @foreach ($screen->keeping->problems(now()->toImmutable()) as $problem)
        <p class="verdict"><x-state is="care">Needs attention.</x-state> {{ $problem }}</p>@endforeach
    <table class="stack">
        <caption class="visually-hidden">How the records are kept</caption>
        <tr><th scope="row">Head of the ledger</th><td class="nowrap"><code>{{ substr($screen->head, 0, 16) }}…</code></td></tr>
        <tr><th scope="row">Last backup</th><td>{{ $screen->keeping->last('backup') ? SiteClock::full($screen->keeping->last('backup')) : 'never' }}</td></tr>
        <tr><th scope="row">Last verification</th>
            <td>{{ $screen->keeping->last('verification') ? SiteClock::full($screen->keeping->last('verification')) : 'never' }}</td></tr>
        <tr><th scope="row">E-mails waiting</th><td>{{ $screen->waiting }}{{ $screen->unsent > 0 ? ", $screen->unsent failed" : '' }}</td></tr>
        <tr><th scope="row">Free disk space</th><td>{{ Rheacid\Core\Numbers::fixed($screen->freeGb, 1) }} GB</td></tr>
        <tr><th scope="row">Clock</th><td>{{ SiteClock::full(now()) }}, {{ SiteClock::zone(now())->getName() }}</td></tr>
    </table>
    @if ($screen->stated->isNotEmpty())
        <h2>When the clock was ahead</h2>
        <ul class="todo">@foreach ($screen->stated as $one)<li>
            <div><b>up to {{ SiteClock::full($one->ahead_until) }}</b><small>{{ $one->reason }} · {{ $one->person->name }},
                {{ SiteClock::full($one->at) }}</small></div></li>@endforeach</ul>
        @if ($screen->affected->isNotEmpty())
            <h2>Readings with a wrong time</h2>
            <ul class="todo">@foreach ($screen->affected as $reading)<li>
                <div><b>{{ $reading->occasion->batch->code }}</b><small>recorded for {{ SiteClock::full($reading->observed_at) }}</small></div>
                    <a class="do quiet" href="{{ route('readings.show', $reading) }}">Open</a></li>@endforeach</ul>
        @endif
    @endif
    <x-slot:evidence>
        <h2>Every night</h2>
        <p>The server makes a backup and verifies all records every night. On the server, <code>bin/status</code> shows more.</p>
        <ul class="links"><li><a href="{{ route('people') }}">People</a></li><li><a href="{{ route('settings') }}">Settings</a></li>@can('read-access')<li>
            <a href="{{ route('access') }}">Access log</a></li><li><a href="{{ route('system') }}">This installation</a></li>@endcan</ul>
        <p class="note">Write the head on paper from time to time. It proves that no later records were removed.</p>
    </x-slot>
</x-house>
