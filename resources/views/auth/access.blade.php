@use(Rheacid\Guard\AccessKind)
<x-house title="Access log" room="Site">
    <form class="fields narrow" method="get" action="{{ route('access') }}">
        <x-choice name="kind" label="Event" :options="['' => 'all events',
            ...collect(AccessKind::cases())->mapWithKeys(fn ($one) => [$one->value => $one->words()])]" :value="$kind?->value" submits />
        <x-field name="name" label="Name begins with" :value="$name" maxlength="60" />
        <div class="at-the-foot"><button class="do quiet">Show</button></div>
    </form>
    <table class="stack">
        <caption class="visually-hidden">Access log</caption>
        <thead><tr><th scope="col">Time</th><th scope="col">Who</th><th scope="col">Event</th><th scope="col">Address</th></tr></thead>
        @forelse ($page->items() as $line)
            @php($what = AccessKind::from($line->kind))
            <tr><td class="nowrap">{{ Rheacid\Site\SiteClock::full(Carbon\CarbonImmutable::parse($line->at, 'UTC')) }}</td><td>
                {{ $line->name }}{{ $line->person_id === null ? ' (as typed)' : '' }}</td><td>
                <x-state :is="$what->isFailure() ? 'care' : 'idle'">{{ $what->words() }}</x-state></td><td>{{ $line->address }}</td></tr>
        @empty
            <tr><td colspan="4" class="soft">No entry matches.</td></tr>
        @endforelse
    </table>
    <x-pages :of="$page" />
    <x-slot:evidence>
        <h2>What is logged</h2>
        <p>Every sign-in, sign-out and change of hands, and every failed attempt. Passphrases, PINs and codes are never logged. Entries are kept for 400
            days.</p>
        <p>A checksum of each day is sealed in the ledger, so a changed or removed line is noticed.</p>
    </x-slot>
</x-house>
