@use(Rheacid\Guard\AccessKind)
<x-house title="Access log" room="Today">
    <form class="fields narrow" method="get" action="{{ route('access') }}">
        <div><label class="form-label" for="f-kind">What</label>
        <select class="form-select" id="f-kind" name="kind" data-submits><option value="">all</option>@foreach (AccessKind::cases() as $one)<option value="{{ $one->value }}" @selected($one === $kind)>{{ $one->words() }}</option>@endforeach</select></div>
        <div><label class="form-label" for="f-name">Name begins with</label>
        <input class="form-control" id="f-name" name="name" value="{{ $name }}" maxlength="60" autocomplete="off"></div>
        <div class="at-the-foot"><button class="do quiet">Show</button></div>
    </form>
    <table class="stack">
        <thead><tr><th>When</th><th>Who</th><th>What</th><th>From</th></tr></thead>
        @forelse ($page->items() as $line)
            @php($what = AccessKind::from($line->kind))
            <tr><td class="nowrap">{{ Rheacid\SiteClock::full(Carbon\CarbonImmutable::parse($line->at, 'UTC')) }}</td><td>{{ $line->name }}{{ $line->person_id === null ? ', as it was typed' : '' }}</td><td><x-state :is="$what->isFailure() ? 'care' : 'idle'">{{ $what->words() }}</x-state></td><td>{{ $line->address }}</td></tr>
        @empty
            <tr><td colspan="4" class="soft">Nothing like that.</td></tr>
        @endforelse
    </table>
    <x-pages :of="$page" />
    <x-slot:evidence>
        <h2>What it holds</h2>
        <p>Signing in and out, changing hands, and every attempt that failed; never a passphrase, a PIN or a code. It is kept for 400 days.</p>
        <p>A digest of each day is sealed in the ledger: a line that was changed or taken out afterwards shows.</p>
    </x-slot>
</x-house>
