{{-- Release checks, what can be done with the batch, and its history. --}}
@use(Rheacid\Core\Batches\BatchState)
@use(Rheacid\Core\Numbers)
@use(Rheacid\Core\Words\ReleaseWords)
@use(Rheacid\Site\SiteClock)
@php($life = $screen->life)
@php($state = $batch->state())
@if ($life->outlet)
    <h2>Release checks</h2>
    @foreach ($life->outlet->blocks as $block)<p class="verdict"><x-state is="fail">Not releasable.</x-state> {{ $block }}</p>@endforeach
    @foreach ($life->outlet->release->missing as $one)
        <p class="verdict"><x-state is="care">Missing.</x-state> {{ ReleaseWords::missing($one['name'],
            $one['reason']) }} @php($open = $life->deviations->first(fn ($deviation) => $deviation->limit_name === $one['name']
            && $deviation->disposition === null))
        @if (in_array($one['name'], $life->onCourses, true))<a
            href="{{ route('courses.show', $batch) }}">Temperatures</a>@elseif (in_array($one['reason'], [Rheacid\Core\Release\MissingReason::NeverJudged,
            Rheacid\Core\Release\MissingReason::NotProven], true))<a
            href="{{ route('drafts.create', $batch) }}">{{ ReleaseWords::advice($one['reason']) }}</a>@elseif ($open)<a
            href="{{ route('deviations.show', $open) }}">{{ ReleaseWords::advice($one['reason']) }}</a>@else<span
            class="soft">{{ ReleaseWords::advice($one['reason']) }}.</span>@endif</p>@endforeach
    @if ($life->outlet->release->met !== [])<p class="verdict"><x-state is="met">Met.</x-state> {{ implode(' · ', $life->outlet->release->met) }}</p>
    @elseif ($life->outlet->needsNone !== null)
        <p class="verdict"><x-state is="care">No measured limit protects it.</x-state> {{ $life->outlet->needsNone }}</p>
    @elseif ($life->outlet->release->missing === [])
        <p class="verdict"><x-state is="care">Missing.</x-state> No binding limit has been met, so nothing supports a release.</p>@endif
    @foreach ($life->outlet->removed as $name)<p class="verdict"><x-state is="idle">Does not apply (by an answer).</x-state> {{ $name }}</p>@endforeach
    @if ($batch->route() !== null)
        <p class="soft">Route: {{ $batch->route() }}. {{ $batch->newestRoute->person->name }}, {{ SiteClock::short($batch->newestRoute->at) }}.</p>@endif
    @if (Gate::allows('lead') && $life->outlet->release->releasable)
        <form id="release" method="post" action="{{ route('batches.release', $batch) }}"><x-form-id />
            <div class="fields apart"><x-field name="passphrase" label="Your passphrase" type="password" />
                <x-field name="reason" :label="$life->outlet->isNothingMeasured() ? 'Reason to release without a measurement' : 'Note (optional)'"
                    maxlength="400" /></div>
            @error('release')<p class="problem">{{ $message }}</p>@enderror
            <button class="do apart">Release {{ $batch->code }}{{ $state === BatchState::Recalled ? ' again' : '' }}</button>
        </form>
    @endif
@endif
@if (Gate::allows('record'))
    <h2>Actions</h2>
    <details>
        <summary>{{ match ($state) { BatchState::Held => 'Resume batch', BatchState::Running => $batch->product->stage_of === null ? 'Hold batch'
            : 'Hold or close batch', BatchState::Planned => 'Start batch', BatchState::Recalled => 'Divert or discard batch', default => 'Close batch' } }}
            </summary>
        <form method="post" action="{{ route('batches.move', $batch) }}" id="move" data-keep><x-form-id />
            @error('state')<p class="problem">{{ $message }}</p>@enderror
            <x-field name="reason" label="Reason" maxlength="400" class="apart" />
            @foreach ([[BatchState::Planned, BatchState::Running, 'Start batch', 'record'], [BatchState::Running, BatchState::Held, 'Hold batch', 'record'],
                [BatchState::Held, BatchState::Running, 'Resume batch', 'lead'], [BatchState::Released, BatchState::Closed, 'Close batch', 'lead'],
                ...($batch->product->stage_of === null ? [] : [[BatchState::Running, BatchState::Closed, 'Close: passed to the next stage', 'lead']]),
                [BatchState::Recalled, BatchState::Diverted, 'Divert batch', 'lead'], [BatchState::Recalled, BatchState::Discarded, 'Discard batch', 'lead'],
                [BatchState::Diverted, BatchState::Closed, 'Close batch', 'lead'], [BatchState::Discarded, BatchState::Closed, 'Close batch',
                'lead']] as [$from, $to, $words, $right])
                @if ($state === $from)@if (Gate::allows($right))
                    <button class="do quiet apart" name="state" value="{{ $to->value }}">{{ $words }}</button>@else
                    <p class="form-text">Only a lead can do this.</p>@endif @endif
            @endforeach
        </form>
    </details>
    @if (in_array($state, [BatchState::Released, BatchState::Closed], true) && Gate::allows('lead'))
        <details @if (old('told') !== null) open @endif><summary>Recall batch</summary>
            <form method="post" action="{{ route('batches.recall', $batch) }}" id="recall" data-keep><x-form-id />
                <p class="apart">Nothing of the batch may be sold, used or moved until a lead decides. Follow your site’s recall plan and local codes.</p>
                <div class="fields"><x-field name="reason" id="recall-reason" :keeps="old('told') !== null" label="Reason" maxlength="400" class="wide" />
                    <x-field name="told" label="Who was informed of what" maxlength="400" class="wide" />
                    <x-field name="passphrase" id="recall-passphrase" :keeps="old('told') !== null" label="Your passphrase" type="password" /></div>
                <button class="do quiet apart">Recall {{ $batch->code }}</button>
            </form>
        </details>
    @endif
    @if ($state->isMeasured() || $state === BatchState::Planned)
        <details><summary>Record an addition</summary>
            <form method="post" action="{{ route('batches.add', $batch) }}" id="addition" data-keep><x-form-id />
                <div class="fields apart"><x-field name="what" label="What" maxlength="120" />
                    <x-field name="amount" label="Amount" inputmode="decimal" />
                    <x-field name="unit" label="Unit" help="g, kg, mL, L" maxlength="20" /></div>
                <button class="do quiet apart" name="done" value="1">Record as added</button> <button class="do quiet apart" name="done"
                    value="">Plan addition</button>
            </form>
        </details>
    @endif
    <details><summary>Write a note</summary><form method="post" action="{{ route('batches.note', $batch) }}" id="note" data-keep><x-form-id />
        <x-field name="note" label="Note" maxlength="400" class="apart" /><button class="do quiet apart">Save note</button></form></details>
@endif
<p class="apart"><a href="{{ route('courses.show', $batch) }}">Temperature record</a> · <a
    href="{{ route('calculators', ['batch' => $batch->id]) }}">Calculators</a> · <a href="{{ route('batches.tag', $batch) }}">Vessel tag</a></p>
@if ($life->additions->isNotEmpty() || $life->notes->isNotEmpty() || $batch->steps->isNotEmpty() || $batch->answers->isNotEmpty()
    || $life->parents->isNotEmpty() || $life->deviations->isNotEmpty())
    <h2 id="notes">History</h2>
    <table class="stack">
        <caption class="visually-hidden">History</caption>
        @foreach ($life->deviations as $deviation)<tr><th scope="row" class="nowrap">{{ SiteClock::short($deviation->at) }}</th>
            <td><a class="cell-link" href="{{ route('deviations.show', $deviation) }}">Deviation: {{ $deviation->limit_name }}</a></td>
            <td>{{ $deviation->disposition?->disposition->words() ?? 'open' }}</td></tr>@endforeach
        @foreach ($life->additions as $addition)<tr><th scope="row" class="nowrap">{{ SiteClock::short($addition->at) }}</th>
            @php($isDone = $addition->state === 'done')
            @php($head = $isDone ? 'Added' : (in_array($addition->id, $life->carriedOut, true) ? 'Was planned' : 'Planned'))
            @php($read = $life->readAfter[$addition->id] ?? null)
            <td>{{ $head }}: {{ Numbers::plain((float) $addition->amount) }} {{ $addition->unit }} {{ $addition->what }}@if ($isDone)<br>
                <span class="soft">{{ $read === null ? 'not measured since then' : 'measured again ' . SiteClock::short($read) }}</span>@endif
            @if ($head === 'Planned' && Gate::allows('record'))
            <form method="post" action="{{ route('batches.add', $batch) }}"><x-form-id /><input type="hidden" name="plan" value="{{ $addition->id }}">
            <input type="hidden" name="what" value="{{ $addition->what }}"><input type="hidden" name="amount" value="{{ $addition->amount }}">
            <input type="hidden" name="unit" value="{{ $addition->unit }}"><button class="do quiet" name="done" value="1">Record as added</button>
        </form>@endif</td><td>{{ $addition->person->name }}</td></tr>@endforeach
        @foreach ($batch->steps->reverse()->take(12) as $step)<tr><th scope="row" class="nowrap">{{ SiteClock::short($step->at) }}</th>
            <td>{{ ucfirst($step->step) }}@if ($step->reason)<br><span class="soft">{{ $step->reason }}</span>@endif
            @if (Gate::allows('lead'))<details @if ((int) old('changes') === $step->id) open @endif><summary>Change the time</summary>
                <form method="post" action="{{ route('steps.change', $step) }}" data-keep><x-form-id />
                <input type="hidden" name="changes" value="{{ $step->id }}">
                <div class="fields">
                    <x-field name="at" :id="'change-at-' . $step->id" :keeps="(int) old('changes') === $step->id" label="Time of the step" type="datetime-local"
                        :value="SiteClock::field($step->at)" />
                    <x-field name="reason" :id="'change-reason-' . $step->id" :keeps="(int) old('changes') === $step->id" label="Reason" maxlength="400" />
                    <x-field name="passphrase" :id="'change-passphrase-' . $step->id" :keeps="(int) old('changes') === $step->id" label="Your passphrase"
                        type="password" /></div>
                <button class="do quiet">Change time and judge again</button></form></details>@endif</td><td>{{ $step->person->name }}</td></tr>@endforeach
        @foreach ($batch->answers->reverse()->take(12) as $given)<tr><th scope="row" class="nowrap">{{ SiteClock::short($given->at) }}</th>
            <td>{{ $given->condition }}: {{ $given->answer ? 'yes' : 'no' }}@if ($given->reason)<br><span class="soft">{{ $given->reason }}</span>@endif
            @if (Gate::allows('lead') && in_array($given->condition, $batch->asks(), true))
                <details @if (old('condition') === $given->condition) open @endif><summary>Change the answer</summary>
                <form method="post" action="{{ route('batches.answer', $batch) }}" data-keep><x-form-id />
                <input type="hidden" name="condition" value="{{ $given->condition }}">
                <div class="fields">
                    <x-field name="reason" :id="'answer-reason-' . $given->id" :keeps="old('condition') === $given->condition" label="Reason"
                        maxlength="400" /></div>
                    <button class="do quiet" name="answer" value="{{ $given->answer ? 'no' : 'yes' }}">Change answer to {{ $given->answer ? 'no'
                        : 'yes' }}</button>
                </form></details>@endif</td><td>{{ $given->person->name }}</td></tr>@endforeach
        @foreach ($life->notes as $note)<tr><th scope="row" class="nowrap">{{ SiteClock::short($note->at) }}</th><td>{{ $note->note }}</td>
            <td>{{ $note->person->name }}</td></tr>@endforeach
        @foreach ($life->parents as $parent)<tr><th scope="row" class="nowrap">{{ SiteClock::short($parent->at) }}</th>
            <td>Made from <a class="cell-link" href="{{ route('batches.show', $parent->parent) }}">{{ $parent->parent->code }}</a></td><td></td>
        </tr>@endforeach
    </table>
@endif
