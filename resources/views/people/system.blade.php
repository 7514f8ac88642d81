@use(Rheacid\SiteClock)
<x-house title="Description of this installation" room="Today">
    <p class="what">{{ $screen->site }} · as of {{ SiteClock::full(now()) }}</p>
    @if ($screen->schemaDiffers)<p class="verdict"><x-state is="fail">Not as it was built.</x-state> {{ $screen->schemaDiffers }}</p>@endif
    <h2>By what it works</h2>
    <table class="stack">
        @foreach ($screen->versions as $what => $version)<tr><td>{{ $what }}</td><td><code>{{ $version }}</code></td></tr>@endforeach
    </table>
    <h2>What it rests on</h2>
    <table class="stack">
        <tr><td>Records</td><td>{{ number_format($screen->lines, 0, '.', ' ') }} lines, each sealed over the one before; the head is <code class="head">{{ $screen->head }}</code></td></tr>
        @foreach (['verification' => 'The whole was proven', 'backup' => 'Backed up', 'self-test' => 'It tested itself'] as $what => $words)
            <tr><td>{{ $words }}</td><td>{{ $screen->keeping->last($what) ? SiteClock::full($screen->keeping->last($what)) . ($what === 'self-test' ? ': ' . $screen->keeping->words($what) : '') : 'never' }}</td></tr>
        @endforeach
    </table>
    @foreach ($screen->keeping->problems(now()->toImmutable()) as $problem)<p class="verdict"><x-state is="care">See to it.</x-state> {{ $problem }}</p>@endforeach
    <h2>Who held which right</h2>
    <table class="stack">
        <thead><tr><th>From</th><th>Who</th><th>As</th><th>By</th><th>Why</th></tr></thead>
        @foreach ($screen->appointments as $one)<tr><td class="nowrap">{{ SiteClock::full($one->at) }}</td><td>{{ $one->person->name }}</td><td>{{ $one->role->value }}{{ $one->enabled ? '' : ', works here no more' }}</td><td>{{ $one->appointedBy->name }}</td><td>{{ $one->reason }}</td></tr>@endforeach
    </table>
    <h2>Policies and their changes</h2>
    <table class="stack">
        <thead><tr><th>Policy</th><th>Slope, %</th><th>Read-back within, pH</th><th>Calibrated</th><th>Changed</th></tr></thead>
        @foreach ($screen->policies as $one)<tr><td>{{ $one['policy']->name }}, version {{ $one['policy']->version }}</td><td>{{ Rheacid\Core\Numbers::plain($one['policy']->slope_low_percent) }}–{{ Rheacid\Core\Numbers::plain($one['policy']->slope_high_percent) }}</td><td>{{ Rheacid\Core\Numbers::plain($one['policy']->read_back_limit_ph) }}</td><td>{{ Rheacid\View\PolicyWords::interval($one['policy']) }}</td><td>{{ $one['at'] ? SiteClock::full(Carbon\CarbonImmutable::parse($one['at'])) . ', ' . $one['by'] : 'the site was founded with it' }}</td></tr>@endforeach
    </table>
    <h2>Settings of the site</h2>
    <table class="stack">
        @foreach ($screen->settings as $one)<tr><td class="nowrap">{{ SiteClock::full($one->at) }}</td><td>{{ $one->name }}, {{ $one->fahrenheit_first ? '°F first' : '°C' }}, {{ $one->decimal_comma ? '4,52' : '4.52' }}, leads {{ $one->leads_need_code ? 'need' : 'need not have' }} a code of the telephone</td><td>{{ $one->person->name }}</td></tr>@endforeach
    </table>
    <x-slot:act><a href="{{ route('clock') }}">How the records are kept</a><button class="do" data-print data-primary>Print <kbd>Enter</kbd></button></x-slot>
    <x-slot:evidence>
        <h2>What can be proven</h2>
        <p>A row or a line that was changed, slipped in or taken out afterwards is named by <code>bin/verify</code>, by anybody who holds an earlier head.</p>
        <p>What whoever keeps the machine could do to the whole of it, with every head that was ever written down in the same hands, cannot be proven from here: write heads down elsewhere.</p>
        <h2>Rights</h2>
        <p>Checkers record. Leads also decide. Auditors read. Who took over by a PIN has a checker’s rights until the passphrase is shown.</p>
    </x-slot>
</x-house>
