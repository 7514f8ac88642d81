@use(Rheacid\Core\Batches\DispositionKind)
@use(Rheacid\Site\SiteClock)
@php($deviation = $screen->deviation)
@php($limit = $screen->limit)
@php($batch = $deviation->batch)
@php($decided = $deviation->disposition)
<x-house :title="'Deviation · ' . $batch->code" room="Batches">
    <p class="what">{{ $batch->product->name }} · batch <a
        href="{{ route('batches.show', $batch) }}"><b>{{ $batch->code }}</b></a> · opened {{ SiteClock::full($deviation->at) }} by
        {{ $deviation->person->name }}</p>
    <p class="verdict answer">
        <x-state :is="$decided ? 'idle' : 'fail'">{{ $decided ? 'Decided.'
        : 'Open.' }}</x-state> <span>{{ $deviation->what }} @unless ($decided)<b>{{ $deviation->is_after_release
        ? 'The batch is already released. A lead recalls it or lets it stand.' : ($deviation->is_missed_in_time
        ? 'Hold the batch: no later value makes up for a missed deadline.' : 'Hold the batch, then follow the steps below.') }}</b>@endunless</span></p>
    <h2>What to do</h2>
    <p>{{ $limit?->if_violated ?: 'This limit has no instructions. Hold the batch, find the cause and ask a lead to decide.' }}</p>
    <p class="soft">Measure a fresh sample with a second verified instrument. If the two differ by more than
        {{ Rheacid\Core\Numbers::plain(Rheacid\Core\Batches\SecondInstrument::DIFFER_PH) }} pH, use a third. Do not repeat readings until one passes. Smell and
        appearance can condemn a batch but never clear it.</p>
    <h2>Actions taken</h2>
    <table class="stack">
        <caption class="visually-hidden">Actions taken</caption>
        @forelse ($deviation->actions as $action)
            <tr><th scope="row" class="nowrap">{{ SiteClock::short($action->at) }}</th><td>{{ $action->action }}</td><td>{{ $action->person->name }}</td></tr>
        @empty
            <tr><td class="soft">No action recorded yet.</td></tr>
        @endforelse
    </table>
    @if (Gate::allows('record') && !$decided)
        <form method="post" action="{{ route('deviations.act', $deviation) }}" id="act" data-keep><x-form-id />
            <x-field name="action" label="Action taken" maxlength="400" class="apart" /><button class="do quiet apart">Record action</button></form>
    @endif
    @if ($decided)
        <h2>Decision</h2>
        <p class="verdict"><x-state is="idle">{{ ucfirst($decided->disposition->words()) }}.</x-state> {{ $decided->reason }}{{ $decided->authority
            ? ' · process authority: ' . $decided->authority : '' }}{{ $decided->until_at ? ' · new deadline: ' . SiteClock::full($decided->until_at)
            : '' }} <span class="soft">{{ $decided->person->name }}, {{ SiteClock::full($decided->at) }}</span></p>
        <x-slot:act><a class="do" href="{{ route('batches.show', $batch) }}" data-primary>Open batch {{ $batch->code }} <kbd>Enter</kbd></a></x-slot>
    @elseif (Gate::allows('lead'))
        <h2>Your decision</h2>
        <form id="dispose" method="post" action="{{ route('deviations.dispose', $deviation) }}" data-keep><x-form-id />
            <div class="fields">
                <x-choice name="disposition" label="What happens to the batch"
                    :options="['' => 'choose', ...collect(DispositionKind::about($deviation->is_after_release === true))->mapWithKeys(fn ($kind) => [$kind
                    ->value => ucfirst($kind->words())])]" />
                <x-field name="reason" label="Reason" maxlength="400" class="wide" />
                @if ($deviation->is_after_release)
                    <x-field name="told" label="Who was informed of what" help="required for a recall" maxlength="400" class="wide" />
                    <x-field name="passphrase" label="Your passphrase" type="password" />
                @elseif ($deviation->is_missed_in_time)
                    <x-field name="until" label="New deadline" type="datetime-local"
                        help="only to give more time; leave empty to let the missed deadline stand" />
                @endif
                <x-field name="authority" label="Process authority"
                    help="name and date of the written statement; required to go on after a missed critical time limit" maxlength="200" class="wide" />
            </div>
        </form>
        <x-slot:act><a href="{{ route('batches.show', $batch) }}">Open batch {{ $batch->code }}</a>
            <button class="do" form="dispose" data-primary>Record decision <kbd>Enter</kbd></button></x-slot>
    @else
        <x-slot:act><a class="do" href="{{ route('batches.show', $batch) }}" data-primary>Open batch {{ $batch->code }} <kbd>Enter</kbd></a></x-slot>
    @endif
    <x-slot:evidence>
        <h2>The limit</h2>
        @if ($limit)<dl><dt>{{ $limit->name }}: {{ Rheacid\Core\Words\LimitWords::written($limit->toCore()) }}</dt>
            <dd>{{ $limit->meaning }}<br><span class="soft">{{ $limit->source }}</span></dd></dl>@endif
        @if ($deviation->decision_id)<p><a href="{{ route('batches.show', $batch) }}">Readings of the batch</a></p>@endif
        <p class="note">After a missed critical time limit you can only hold, divert or discard the batch, or follow a process authority’s written statement.
            Toxin that has formed stays, and cooking does not remove it. Local codes and, where required, a licensed process authority decide.</p>
    </x-slot>
</x-house>
