@use(Rheacid\SiteClock)
<x-house title="How the records are kept" room="Today">
    @if ($screen->ahead)
        <p class="verdict answer"><x-state is="fail">Nothing can be recorded.</x-state> <span>The last record is of {{ SiteClock::full($screen->ahead) }}, the clock of this machine says {{ SiteClock::full(now()) }}. <b>Set the clock right; if it is right now and had run ahead, state it below.</b></span></p>
        @if (Gate::allows('lead'))
            <form id="true-time" method="post" action="{{ route('clock.state') }}" data-keep>
                <x-form-id />
                <label class="form-check"><input class="form-check-input" type="checkbox" name="is_right" value="1" @checked(old('is_right'))> I compared it with another clock: {{ SiteClock::full(now()) }} is the true time</label>
                @error('is_right')<p class="problem">{{ $message }}</p>@enderror
                <x-field name="reason" label="How it came about" class="wide" maxlength="400" />
            </form>
            <x-slot:act><button class="do" form="true-time" data-primary>State the true time <kbd>Enter</kbd></button></x-slot>
        @endif
    @elseif ($screen->keeping->problems(now()->toImmutable()) === [])
        <p class="verdict answer"><x-state is="met">In order.</x-state> <span>Backed up and proven.</span></p>
    @endif
    @foreach ($screen->keeping->problems(now()->toImmutable()) as $problem)
        <p class="verdict"><x-state is="care">See to it.</x-state> {{ $problem }}</p>@endforeach
    <table class="stack">
        <tr><td>Head of the records</td><td class="nowrap"><code>{{ substr($screen->head, 0, 16) }}…</code></td></tr>
        <tr><td>Last backup</td><td>{{ $screen->keeping->last('backup') ? SiteClock::full($screen->keeping->last('backup')) : 'never' }}</td></tr>
        <tr><td>Last time the whole was proven</td>
            <td>{{ $screen->keeping->last('verification') ? SiteClock::full($screen->keeping->last('verification')) : 'never' }}</td></tr>
        <tr><td>Letters that wait</td><td>{{ $screen->waiting }}{{ $screen->unsent > 0 ? ", $screen->unsent could not be sent" : '' }}</td></tr>
        <tr><td>Free on the disk</td><td>{{ Rheacid\Core\Numbers::fixed($screen->freeGb, 1) }} GB</td></tr>
        <tr><td>Clock</td><td>{{ SiteClock::full(now()) }}, {{ SiteClock::zone(now())->getName() }}</td></tr>
    </table>
    @if ($screen->stated->isNotEmpty())
        <h2>The clock had run ahead</h2>
        <ul class="todo">@foreach ($screen->stated as $one)<li>
            <div><b>up to {{ SiteClock::full($one->ahead_until) }}</b><small>{{ $one->reason }} · {{ $one->person->name }}, {{ SiteClock::full($one->at) }}</small></div></li>@endforeach</ul>
        @if ($screen->affected->isNotEmpty())
            <h2>Readings whose time never was</h2>
            <ul class="todo">@foreach ($screen->affected as $reading)<li>
                <div><b>{{ $reading->occasion->batch->code }}</b><small>said to be of {{ SiteClock::full($reading->observed_at) }}</small></div><a class="do quiet" href="{{ route('readings.show', $reading) }}">Open</a></li>@endforeach</ul>
        @endif
    @endif
    <x-slot:evidence>
        <h2>Who does it</h2>
        <p>A keeper works each night: a backup, and the whole of the records proven. <code>bin/status</code> on the machine says more.</p>
        <ul class="links"><li><a href="{{ route('people') }}">People</a></li><li><a href="{{ route('settings') }}">Settings of the site</a></li>@can('read-access')<li><a href="{{ route('access') }}">Access log</a></li><li><a href="{{ route('system') }}">Description of this installation</a></li>@endcan</ul>
        <p class="note">Write the head down on paper from time to time: it proves that no tail was cut.</p>
    </x-slot>
</x-house>
