@use(Rheacid\Core\Words\LimitWords)
@use(Rheacid\Core\Words\SamplingWords)
@use(Rheacid\Core\Batches\BatchState)
@use(Rheacid\Core\Measurands\Measurand)
@use(Rheacid\Site\SiteClock)
@php($batch = $screen->batch)
<x-house :title="'Batch ' . $batch->code" room="Batches">
    <p class="what">{{ $batch->product->name }} · started {{ SiteClock::full($batch->started_at) }} · {{ $batch->vessel }} · {{ $batch->size }} · product
        version {{ $batch->product->version }}</p>
    <p class="verdict answer">
        <x-state :is="$screen->answer->sign">{{ $screen->answer->word }}.</x-state> <span>{{ $screen->answer->line }}
        @if ($screen->answer->advice)<b>{{ $screen->answer->advice }}</b>@endif</span></p>
    @if ($screen->answer->then)<p class="what">{{ $screen->answer->then }}</p>@endif
    @foreach ($screen->findings as $finding)
        @php($due = $finding->isDue())
        <p class="verdict"><x-state :is="!$due ? 'idle' : match ($finding->verdict) { Rheacid\Core\Limits\Conformity::Inside => 'met',
            Rheacid\Core\Limits\Conformity::Inconclusive => 'care', Rheacid\Core\Limits\Conformity::Outside => 'fail' }">{{ $due
            ? match ($finding->verdict) { Rheacid\Core\Limits\Conformity::Inside => 'Met', Rheacid\Core\Limits\Conformity::Inconclusive => 'Not proven',
            Rheacid\Core\Limits\Conformity::Outside => 'Not met' } : ucfirst(Rheacid\Core\Words\CourseWords::progress($finding->answer)
            ?? 'not due') }}.</x-state> <span>{{ $finding->limit_name }}: {{ $finding->words() }}. <a
            href="{{ route('courses.show', $batch) }}">Temperatures</a></span></p>
    @endforeach
    @include('batches.open')
    <div id="series">
        <x-series-chart :figure="$screen->chart" />
        @if ($screen->lens->compares)
            <p class="note">{{ $screen->chart->earlier() ? 'Shaded: the middle half of earlier batches of this product. Dashed: their median.'
                : 'Not enough earlier batches to compare: at least three are needed.' }}</p>@endif
        <p class="looks" aria-label="Choose a time range">
            @foreach ($screen->lens->links() as $words => $query)<a href="{{ route('batches.show', [$batch, ...$query]) }}"
                hx-get="{{ route('batches.show', [$batch, ...$query]) }}" hx-select="#series" hx-target="#series"
                hx-swap="outerHTML">{{ $words }}</a>@endforeach
            @php($other = route('batches.show', [$batch, ...$screen->lens->comparing(!$screen->lens->compares)]))
            <a href="{{ $other }}" hx-get="{{ $other }}" hx-select="#series" hx-target="#series"
                hx-swap="outerHTML">{{ $screen->lens->compares ? 'Hide earlier batches' : 'Compare with earlier batches' }}</a>
        </p>
    </div>
    @if ($screen->sampling !== [] && $batch->state()->isMeasured())
        <h2>Sampling plan</h2>
        <table class="stack">
            <caption class="visually-hidden">Sampling plan</caption>
            @foreach ($screen->sampling as $one)<tr><th scope="row"><b>{{ SamplingWords::what($one->line) }}</b>, {{ SamplingWords::when($one->line) }}</th>
                <td class="soft">{{ $one->line->count > 1 ? $one->line->count . ': ' : '' }}{{ $one->line->where }}</td>
                @php($of = $one->line->measurand . '|' . $one->line->basis)
                <td><x-state :is="$one->isMissing ? 'care' : ($one->lastHours === null ? 'idle' : 'met')">{{ SamplingWords::state($one) }}</x-state>
                    @if ($one->isMissing && Gate::allows('record'))
                        @php($page = $of === 'ph|' ? route('drafts.create', $batch) : route('others.create', [$batch, 'of' => $of]))
                        <a class="cell-link" href="{{ $page }}">Measure<span class="visually-hidden"> {{ SamplingWords::what($one->line) }}</span></a>
                    @endif</td>
            </tr>@endforeach
        </table>
    @endif
    <h2>Readings</h2>
    <table class="stack">
        <caption class="visually-hidden">Readings</caption>
        <thead><tr><th scope="col">Sample drawn</th><th scope="col">Value</th><th scope="col">Binding limit</th><th scope="col">Sample</th><th scope="col">
            Decision</th><th scope="col">Reading</th></tr></thead>
        @forelse ($screen->rows as $row)
            @php($decision = $row['decision'])
            <tr>
                <td class="nowrap">{{ SiteClock::short($decision->occasion->drawn_at) }}</td>
                @php($unit = $decision->acidityUnit())
                <td class="num">{{ $decision->quantity()->shown($decision->value,
                    $unit) }} @if ($decision->expanded_u !== null)<small>± {{ $decision->quantity()->shownBy($decision->expanded_u, $unit) }}</small>@endif
                    @if ($decision->measurand !== Measurand::Ph)<small>{{ $decision->quantity()->wordsWithUnit($unit) }}</small>@endif</td>
                <td>{{ $row['distance'] }}</td>
                <td>@foreach ($row['measurements'] as $one)
                    {{ $one->sample->named() }}, @endforeach{{ $decision->occasion->stage->words() }}@if ($decision->supersedes_id) <span
                    class="soft">(judged again)</span>@endif</td>
                <td><x-state :is="$row['sign']">{{ $row['word'] }}</x-state></td>
                <td>@foreach ($row['measurements'] as $one)<a class="cell-link" href="{{ route('readings.show', $one) }}">open<span
                    class="visually-hidden"> reading of {{ $one->sample->named() }}, {{ SiteClock::full($decision->occasion->drawn_at) }}</span></a>
                    @endforeach</td>
            </tr>
        @empty
            <tr><td colspan="6" class="soft">No reading yet.</td></tr>
        @endforelse
    </table>
    <x-pages :of="$screen->page" />
    @include('batches.life')
    <x-slot:act>
        @php($found = $screen->life->deviations->first(fn ($deviation) => $deviation->is_after_release && $deviation->disposition === null))
        @if ($found)<a class="do" href="{{ route('deviations.show', $found) }}" data-primary>Open deviation <kbd>Enter</kbd></a>
        @elseif ($screen->life->waiting !== [] && Gate::allows('record'))
            @php($waits = $screen->life->waiting[0])
            @php($place = Rheacid\Queries\Batches\OpenOccasions::lacking($waits, $batch)[0]['places'][0])
            <a href="{{ route('drafts.create', $batch) }}">Other settings</a>
            <a class="do" href="{{ route('drafts.create', [$batch, 'joins' => $waits->id, 'place' => $place]) }}"
                data-primary>Measure {{ $place }} of the sample drawn {{ SiteClock::short($waits->drawn_at) }} <kbd>Enter</kbd></a>
        @elseif ($batch->state()->isMeasured() && $screen->usual && Gate::allows('record'))
            <a href="{{ route('drafts.create', $batch) }}">Other settings</a>
            <form method="post" action="{{ route('drafts.store', $batch) }}"><x-form-id />
                <input type="hidden" name="pair" value="{{ $screen->usual->pair->id }}">
                    <input type="hidden" name="thermometer" value="{{ $screen->usual->thermometer->id }}">
                    <input type="hidden" name="stage" value="{{ $screen->usual->stage->value }}">
                    <input type="hidden" name="place" value="{{ $screen->usual->place }}">
                    <input type="hidden" name="source" value="{{ $screen->usual->source->value }}">
                <button class="do" data-primary>Measure: {{ $screen->usual->words() }} <kbd>Enter</kbd></button>
            </form>
        @elseif ($batch->state()->isMeasured() && Gate::allows('record'))<a class="do" href="{{ route('drafts.create', $batch) }}"
            data-primary>Measure <kbd>Enter</kbd></a>@else<a class="do" href="{{ route('batches') }}" data-primary>Batches <kbd>Enter</kbd></a>@endif
    </x-slot>
    <x-slot:evidence>
        <h2>State</h2>
        <p class="verdict"><x-state :is="Rheacid\View\Batches\BatchScreen::sign($batch->state())">{{ ucfirst($batch->state()->value) }}</x-state></p>
        @if ($batch->newestEvent?->reason)<p>{{ $batch->newestEvent->reason }}</p>@endif
        @if ($batch->newestEvent?->told)<p>Informed: {{ $batch->newestEvent->told }}</p>@endif
        <h2>Limits</h2>
        <dl>
            @foreach ($batch->limits() as $row)
                @php($limit = $row->toCore())
                @php($answer = $limit->condition === null ? null : ($batch->conditions()[$limit->condition] ?? 'open'))
                <dt>{{ $row->name }}: {{ LimitWords::bounds($limit, $row->course) }}</dt>
                <dd>{{ LimitWords::kind($row->kind) }}{{ $row->course ? '' : ', ' . Rheacid\Queries\Measure\DecisionLines::when($limit,
                    $batch) }}@if ($limit->condition !== null)<br>if {{ LimitWords::within($limit->condition) }}:
                    {{ match ($answer) { true => 'yes, so it applies', false => 'no, so it does not apply', default => 'not answered yet' } }}@endif<br><span
                    class="soft">{{ $row->source }}</span></dd>
            @endforeach
        </dl>
        @if ($batch->state() === BatchState::Held)
            <p class="note">{{ $batch->product->limits->first(fn ($limit) => $limit->kind->binds())?->if_violated }}</p>@endif
        <p class="note">This is not legal advice. Check with your authority. Where required, a licensed process authority decides.</p>
    </x-slot>
</x-house>
