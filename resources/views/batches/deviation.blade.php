@use(Rheacid\Core\Limits\DispositionKind)
@use(Rheacid\SiteClock)
@php($deviation = $screen->deviation)
@php($limit = $screen->limit)
@php($batch = $deviation->batch)
@php($decided = $deviation->disposition)
<x-house :title="'Deviation · ' . $batch->code" room="Batches">
    <p class="what">{{ $batch->product->name }} · batch <a href="{{ route('batches.show', $batch) }}"><b>{{ $batch->code }}</b></a> · opened {{ SiteClock::full($deviation->at) }}, {{ $deviation->person->name }}</p>
    <p class="verdict answer"><x-state :is="$decided ? 'idle' : 'fail'">{{ $decided ? 'Decided.' : 'Open.' }}</x-state> <span>{{ $deviation->what }} @unless ($decided)<b>{{ $deviation->is_after_release ? 'It has gone out: a lead recalls it, or lets it stand.' : ($deviation->is_missed_in_time ? 'Hold it: no later value mends a missed deadline.' : 'Hold it, then do what stands below.') }}</b>@endunless</span></p>
    <h2>What to do</h2>
    <p>{{ $limit?->if_violated ?: 'Nothing is written with this limit. Hold the batch, find the cause, and let a lead decide.' }}</p>
    <p class="soft">Measure a fresh sample with a second verified instrument. Differ by more than {{ Rheacid\Core\Limits\SecondInstrument::DIFFER_PH }} pH: a third reads it; nobody repeats until one passes. Smell and look may condemn, never clear.</p>
    <h2>What was done</h2>
    <table class="stack">
        @forelse ($deviation->actions as $action)
            <tr><td class="nowrap">{{ SiteClock::short($action->at) }}</td><td>{{ $action->action }}</td><td>{{ $action->person->name }}</td></tr>
        @empty
            <tr><td class="soft">Nothing is on record yet.</td></tr>
        @endforelse
    </table>
    @if (Gate::allows('record') && !$decided)
        <form method="post" action="{{ route('deviations.act', $deviation) }}" id="act" data-keep><x-form-id />
            <x-field name="action" label="Done" maxlength="400" class="apart" /><button class="do quiet apart">Keep what was done</button></form>
    @endif
    @if ($decided)
        <h2>What was decided</h2>
        <p class="verdict"><x-state is="idle">{{ ucfirst($decided->disposition->words()) }}.</x-state> {{ $decided->reason }}{{ $decided->authority ? ' · on the word of ' . $decided->authority : '' }}{{ $decided->until_at ? ' · to be met by ' . SiteClock::full($decided->until_at) : '' }} <span class="soft">{{ $decided->person->name }}, {{ SiteClock::full($decided->at) }}</span></p>
        <x-slot:act><a class="do" href="{{ route('batches.show', $batch) }}" data-primary>To batch {{ $batch->code }} <kbd>Enter</kbd></a></x-slot>
    @elseif (Gate::allows('lead'))
        <h2>Decide</h2>
        <form id="dispose" method="post" action="{{ route('deviations.dispose', $deviation) }}" data-keep><x-form-id />
            <div class="fields">
                <x-field name="disposition" label="What becomes of it"><select class="form-select" id="f-disposition" name="disposition">
                    <option value="">choose</option>@foreach (DispositionKind::about($deviation->is_after_release === true) as $kind)
                    <option value="{{ $kind->value }}" @selected(old('disposition') === $kind->value)>{{ ucfirst($kind->words()) }}</option>@endforeach</select>
                </x-field>
                <x-field name="reason" label="Why" maxlength="400" class="wide" />
                @if ($deviation->is_after_release)
                    <x-field name="told" label="Who was told what" help="needed for a recall" maxlength="400" class="wide" />
                    <x-field name="passphrase" label="Your passphrase" type="password" />
                @elseif ($deviation->is_missed_in_time)
                    <x-field name="until" label="New time" type="datetime-local" help="by when it has to be met, where more time is given; left empty, the miss stands as decided" />
                @endif
                <x-field name="authority" label="Process authority" help="who gave a written word, and when; needed to go on after a missed critical time limit" maxlength="200" class="wide" />
            </div>
        </form>
        <x-slot:act><a href="{{ route('batches.show', $batch) }}">To batch {{ $batch->code }}</a>
            <button class="do" form="dispose" data-primary>Decide so <kbd>Enter</kbd></button></x-slot>
    @else
        <x-slot:act><a class="do" href="{{ route('batches.show', $batch) }}" data-primary>To batch {{ $batch->code }} <kbd>Enter</kbd></a></x-slot>
    @endif
    <x-slot:evidence>
        <h2>The limit</h2>
        @if ($limit)<dl><dt>{{ $limit->name }}: {{ Rheacid\Core\Words\LimitWords::written($limit->toCore()) }}</dt>
            <dd>{{ $limit->meaning }}<br><span class="soft">{{ $limit->source }}</span></dd></dl>@endif
        @if ($deviation->decision_id)<p><a href="{{ route('batches.show', $batch) }}">The readings of the batch</a></p>@endif
        <p class="note">After a missed critical time limit only holding, diverting, discarding or a process authority’s written word is left: toxin that has formed stays, and cooking does not mend it. Local codes and, where required, a licensed process authority decide.</p>
    </x-slot>
</x-house>
