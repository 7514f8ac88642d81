@use(Rheacid\Core\Numbers)
@use(Rheacid\Site\SiteClock)
@php($round = $screen->round)
@php($read = count($screen->found))
@php($worst = $read === 0 ? null : $screen->found[0]['lines']->worst())
@php($apart = array_filter($screen->pairs, fn ($one) => $one['needsAction']))
@php($changed = count(array_filter($screen->found, fn ($one) => $one['since'] !== null)))
<x-house title="Round · results" room="Measure">
    @foreach ($apart as $one)<p class="verdict answer">
        <x-state is="fail">Second cup disagrees.</x-state> <span><b>{{ Rheacid\Core\Words\SamplingWords::apart($one['stop']->batch->vessel . ', '
        . $one['stop']->batch->code, $one['difference']) }}</b></span></p>@endforeach
    @if ($worst === null)
        <p class="verdict answer"><x-state is="idle">Nothing was read.</x-state> <span>Every batch was skipped.</span></p>
    @else
        <p @class(['verdict', 'answer' => $apart === []])>
            <x-state :is="$worst->sign">{{ ucfirst($screen->found[0]['stop']->batch->vessel) }}: {{ lcfirst($worst->head) }}.</x-state> <span>{{ $worst->tail }}
            @if ($screen->found[0]['since'])Since {{ SiteClock::short($screen->found[0]['at']) }}: {{ lcfirst($screen->found[0]['since']
            ->worst()->head) }}.@elseif ($screen->found[0]['lines']->advice)<b>{{ $screen->found[0]['lines']->advice }}</b>@endif</span></p>
    @endif
    @if ($screen->lacksCheck)<p class="verdict"><x-state
        is="care">{{ $screen->isCheckDue ? 'Check buffer due.'
        : 'Ended without a check buffer.' }}</x-state> No check buffer covered the last readings when the round ended{{ $screen->isCheckDue
        ? '. Read one now: readings within ' . Rheacid\Core\Care\ControlCheckStatus::HOURS . ' h and ' . Rheacid\Core\Care\ControlCheckStatus::SAMPLES
        . ' samples are then judged again.' : '.' }}</p>@endif
    <p class="what">As it stood at the end of the round, {{ SiteClock::full($screen->endedAt) }}.{{ $changed === 0 ? '' : ($changed === 1 ? ' One decision has'
        : " $changed decisions have") . ' been made again since: see the rows.' }}</p>
    <table class="stack">
        <caption class="visually-hidden">Round · results</caption>
        <thead><tr><th scope="col">Batch</th><th scope="col">pH</th><th scope="col">Decision</th></tr></thead>
        @foreach ($screen->found as $one)
            @php($line = $one['lines']->worst())
            <tr>
                <td><a class="cell-link"
                    href="{{ route('readings.show', $one['measurement']) }}"><b>{{ $one['stop']->batch->vessel }} ·
                    {{ $one['stop']->batch->code }}</b></a><br><span
                    class="soft">{{ $one['stop']->batch->product->name }}, {{ $one['measurement']->sample->named() }}</span></td>
                <td class="num">{{ Numbers::fixed($one['ph'],
                    2) }} @if ($one['decision']->expanded_u !== null)<small>± {{ Numbers::fixed($one['decision']->expanded_u, 2) }}</small>@endif</td>
                <td><x-state :is="$line->sign">{{ $line->head }}</x-state><br><span
                    class="soft">{{ $line->tail }}</span>@if ($one['since'])<br>Since {{ SiteClock::short($one['at']) }}: <x-state
                    :is="$one['since']->worst()->sign">{{ $one['since']->worst()->head }}</x-state>@endif</td>
            </tr>
        @endforeach
        @foreach ($screen->passed as $one)
            <tr><td><b>{{ $one->batch->vessel }} · {{ $one->batch->code }}</b><br><span
                class="soft">{{ $one->place }}{{ $one->cup() === null ? '' : ', ' . Rheacid\Core\Words\SamplingWords::cup($one->cup(),
                (string) $one->code()) }}</span></td><td></td><td><x-state is="care">Skipped</x-state><br><span class="soft">{{ $one->visit->reason }}</span>
                </td></tr>
        @endforeach
    </table>
    <x-slot:act>
        @if (($screen->isCheckDue || $apart !== []) && $read > 0 && Gate::allows('record'))<a href="{{ route('batches') }}">Batches</a><a class="do"
            href="{{ route('checks.show', [$round->pair, 'round' => $round->id]) }}" data-primary>Read check buffer <kbd>Enter</kbd></a>@else<a class="do"
            href="{{ route('batches') }}" data-primary>Batches <kbd>Enter</kbd></a>@endif
    </x-slot>
    <x-slot:evidence>
        <h2>Round</h2>
        <dl><dt>Started</dt><dd>{{ SiteClock::short($round->at) }}, {{ $round->person->name }}</dd><dt>Instruments</dt><dd>
            {{ $round->pair->electrode->code }} on {{ $round->pair->name() }}, {{ $round->thermometer->code }}</dd><dt>Read</dt><dd>
            {{ $read }} of {{ $screen->stops->count() }} cups</dd></dl>
        @if ($screen->pairs !== [])
            <h2>Second cups</h2>
            <dl>@foreach ($screen->pairs as $one)<dt>{{ $one['stop']->batch->vessel }}, {{ $one['isBlind'] ? 'blind duplicate' : 'repeat' }}</dt><dd>
                @if ($one['needsAction'])<x-state is="fail">{{ $one['difference'] >= 0 ? '+' : '' }}{{ Numbers::fixed($one['difference'],
                3) }} pH</x-state>@else{{ $one['difference'] >= 0 ? '+' : '' }}{{ Numbers::fixed($one['difference'], 3) }} pH @endif</dd>@endforeach</dl>
            <p><a href="{{ route('repeatability') }}">All second cups</a></p>
        @endif
        <p class="note">Your site’s food safety plan and local codes decide about the product. Rheacid shows which limit was met.</p>
    </x-slot>
</x-house>
