@use(Rheacid\Site\SiteClock)
<x-house title="This installation" room="Site">
    <p class="what">{{ $screen->site }} · as of {{ SiteClock::full(now()) }}</p>
    @if ($screen->schemaDiffers)<p class="verdict"><x-state is="fail">The database differs from its definition.</x-state> {{ $screen->schemaDiffers }}</p>@endif
    <h2>Versions</h2>
    <table class="stack">
        <caption class="visually-hidden">Versions</caption>
        @foreach ($screen->versions as $what => $version)<tr><th scope="row">{{ $what }}</th><td><code>{{ $version }}</code></td></tr>@endforeach
    </table>
    <h2>Records</h2>
    <table class="stack">
        <caption class="visually-hidden">Records</caption>
        <tr><th scope="row">Records</th><td>{{ number_format($screen->lines, 0, '.', ' ') }} ledger entries, each sealed over the one before. Head: <code
            class="head">{{ $screen->head }}</code></td></tr>
        @foreach (['verification' => 'Last verified', 'backup' => 'Last backup', 'self-test' => 'Last self-test'] as $what => $words)
            <tr><th scope="row">{{ $words }}</th><td>{{ $screen->keeping->last($what) ? SiteClock::full($screen->keeping->last($what)) . ($what === 'self-test'
                ? ': ' . $screen->keeping->words($what) : '') : 'never' }}</td></tr>
        @endforeach
    </table>
    @foreach ($screen->keeping->problems(now()->toImmutable()) as $problem)<p class="verdict"><x-state is="care">Needs attention.</x-state> {{ $problem }}</p>
        @endforeach
    <h2>Roles over time</h2>
    <table class="stack">
        <caption class="visually-hidden">Roles over time</caption>
        <thead><tr><th scope="col">From</th><th scope="col">Name</th><th scope="col">Role</th><th scope="col">Appointed by</th><th scope="col">Reason</th>
            </tr></thead>
        @foreach ($screen->appointments as $one)<tr><td class="nowrap">{{ SiteClock::full($one->at) }}</td><td>{{ $one->person->name }}</td><td>
            {{ $one->role->value }}{{ $one->enabled ? '' : ', left' }}</td><td>{{ $one->appointedBy->name }}</td><td>{{ $one->reason }}</td></tr>@endforeach
    </table>
    <h2>Policy changes</h2>
    <table class="stack">
        <caption class="visually-hidden">Policy changes</caption>
        <thead><tr><th scope="col">Policy</th><th scope="col">Slope, %</th><th scope="col">Read-back within, pH</th><th scope="col">Calibration interval</th>
            <th scope="col">Changed</th></tr></thead>
        @foreach ($screen->policies as $one)<tr><td>{{ $one['policy']->name }}, version {{ $one['policy']->version }}</td><td>
            {{ Rheacid\Core\Numbers::plain($one['policy']->slope_low_percent) }}–{{ Rheacid\Core\Numbers::plain($one['policy']->slope_high_percent) }}</td><td>
            {{ Rheacid\Core\Numbers::plain($one['policy']->read_back_limit_ph) }}</td><td>{{ Rheacid\View\Ready\PolicyWords::interval($one['policy']) }}</td>
            <td>{{ $one['at'] ? SiteClock::full(Carbon\CarbonImmutable::parse($one['at'])) . ', ' . $one['by'] : 'at set-up' }}</td></tr>@endforeach
    </table>
    <h2>Settings over time</h2>
    <table class="stack">
        <caption class="visually-hidden">Settings over time</caption>
        @foreach ($screen->settings as $one)<tr><th scope="row" class="nowrap">{{ SiteClock::full($one->at) }}</th><td>
            {{ $one->name }}, {{ $one->fahrenheit_first ? '°F' : '°C' }}, {{ $one->decimal_comma ? '4,52' : '4.52' }}, authenticator {{ $one->leads_need_code
            ? 'required for leads' : 'optional' }}</td><td>{{ $one->person->name }}</td></tr>@endforeach
    </table>
    <x-slot:act><a href="{{ route('clock') }}">How the records are kept</a><button class="do" data-print data-primary>Print <kbd>Enter</kbd></button></x-slot>
    <x-slot:evidence>
        <h2>What can be proven</h2>
        <p><code>bin/verify</code> names any record or ledger entry that was changed, added or removed later, for anybody who holds an earlier head.</p>
        <p>An administrator who controls the server and every copy of the heads could replace everything unnoticed. Keep heads somewhere else, too.</p>
        <h2>Rights</h2>
        <p>Checkers record. Leads also decide. Auditors read. After changing hands by PIN, a person has a checker’s rights until they type their passphrase.</p>
    </x-slot>
</x-house>
