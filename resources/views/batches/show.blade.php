@php($batch = $screen->batch)
<x-house :title="'Batch ' . $batch->code" room="Batches">
    <p class="what">{{ $batch->product->name }} · started {{ Rheacid\SiteClock::full($batch->started_at) }} · {{ $batch->vessel }} · {{ $batch->size }} · version {{ $batch->product->version }} of the product</p>
    @if ($outlook = $screen->deadline?->outlook())
        <p class="verdict"><x-state :is="Rheacid\Core\Words\ForecastWords::sign($screen->deadline->forecast->verdict)">{{ $screen->deadline->words() }}: {{ $outlook }}</x-state></p>
    @endif
    <x-series-chart :figure="$screen->chart" />
    <h2>Readings</h2>
    <table class="stack">
        <thead><tr><th>Drawn</th><th>pH</th><th>On the rule</th><th>Sample</th><th>Decision</th><th></th></tr></thead>
        @forelse ($screen->rows as $row)
            @php($decision = $row['reading']->decision)
            <tr>
                <td class="nowrap">{{ Rheacid\SiteClock::short($row['reading']->sample->drawn_at) }}</td>
                <td class="num">{{ Rheacid\Core\Numbers::fixed($decision->value_ph, 2) }} @if ($decision->expanded_u_ph !== null)<small>± {{ Rheacid\Core\Numbers::fixed($decision->expanded_u_ph, 2) }}</small>@endif</td>
                <td class="rule"><x-acid-rule :rule="$row['rule']" small /></td>
                <td>{{ $row['reading']->sample->place }}, {{ $row['reading']->sample->stage->words() }}@if ($row['reading']->supersedes_id) <span class="soft">(corrected)</span>@endif</td>
                <td><x-state :is="$row['sign']">{{ $row['word'] }}</x-state></td>
                <td><a class="cell-link" href="{{ route('readings.show', $row['reading']) }}">evidence<span class="visually-hidden"> of {{ Rheacid\SiteClock::full($row['reading']->sample->drawn_at) }}</span></a></td>
            </tr>
        @empty
            <tr><td colspan="6" class="soft">No reading yet. Measure the first portion.</td></tr>
        @endforelse
    </table>
    <x-slot:act>
        <a class="do" href="{{ route('drafts.create', $batch) }}" data-primary>Measure <kbd>Enter</kbd></a>
    </x-slot>
    <x-slot:evidence>
        <h2>Now</h2>
        <p class="verdict"><x-state :is="$screen->sign">{{ ucfirst($batch->state()) }}</x-state></p>
        @if ($batch->newestEvent?->reason)<p>{{ $batch->newestEvent->reason }}</p>@endif
        <h2>Limits</h2>
        <dl>
            @foreach ($batch->product->limits as $limit)
                <dt>{{ $limit->name }}: pH {{ $limit->toCore()->limit->written() }}</dt>
                <dd>{{ Rheacid\Core\Words\LimitWords::kind($limit->toCore()->limit->kind) }}@if ($limit->hours), by {{ Rheacid\SiteClock::short($batch->started_at->addHours($limit->hours)) }}@elseif ($limit->applies !== 'always'), {{ $limit->applies === 'finished' ? 'when finished' : 'at ' . $limit->applies }}@endif @if ($limit->condition)<br>if: {{ lcfirst($limit->condition) }}@endif<br>{{ $limit->source }}</dd>
            @endforeach
        </dl>
        @if ($batch->state() === 'held')<p class="note">{{ $batch->product->limits->firstWhere('kind', 'critical')?->if_violated }}</p>@endif
        <p class="note">Not legal advice: check with your authority. Where one is required, a licensed process authority decides.</p>
    </x-slot>
</x-house>
