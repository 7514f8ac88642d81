@use(Rheacid\Core\Numbers)
@php($round = $screen->round)
@php($read = count($screen->found))
@php($worst = $read === 0 ? null : $screen->found[0]['lines']->worst())
<x-house title="Round · results" room="Measure">
    @if ($worst === null)
        <p class="verdict answer"><x-state is="idle">Nothing was read.</x-state> <span>Every batch was skipped.</span></p>
    @else
        <p class="verdict answer"><x-state :is="$worst['sign']">{{ $screen->found[0]['stop']->batch->vessel }}: {{ lcfirst($worst['head']) }}.</x-state> <span>{{ $worst['tail'] }} @if ($screen->found[0]['lines']->advice)<b>{{ $screen->found[0]['lines']->advice }}</b>@endif</span></p>
    @endif
    @if ($screen->isCheckDue && $read > 0)<p class="verdict"><x-state is="care">Check buffer due.</x-state> No check buffer covers the last readings. Read one now: readings within {{ Rheacid\Core\Care\ControlCheckStatus::HOURS }} h and {{ Rheacid\Core\Care\ControlCheckStatus::SAMPLES }} samples are then judged again.</p>@endif
    <table class="stack">
        <caption class="visually-hidden">Round · results</caption>
        <thead><tr><th scope="col">Batch</th><th scope="col">pH</th><th scope="col">Decision</th></tr></thead>
        @foreach ($screen->found as $one)
            @php($decision = $one['stop']->visit->measurement->occasion->decision)
            @php($line = $one['lines']->worst())
            <tr>
                <td><a class="cell-link" href="{{ route('readings.show', $one['stop']->visit->measurement_id) }}"><b>{{ $one['stop']->batch->vessel }} · {{ $one['stop']->batch->code }}</b></a><br><span class="soft">{{ $one['stop']->batch->product->name }}, {{ $one['stop']->place }}</span></td>
                <td class="num">{{ Numbers::fixed($decision->value, 2) }} @if ($decision->expanded_u !== null)<small>± {{ Numbers::fixed($decision->expanded_u, 2) }}</small>@endif</td>
                <td><x-state :is="$line['sign']">{{ $line['head'] }}</x-state><br><span class="soft">{{ $line['tail'] }}</span></td>
            </tr>
        @endforeach
        @foreach ($screen->passed as $one)
            <tr><td><b>{{ $one->duplicate_of ? 'Cup ' . $one->second_code : $one->batch->vessel . ' · ' . $one->batch->code }}</b></td><td></td><td><x-state is="care">Skipped</x-state><br><span class="soft">{{ $one->visit->reason }}</span></td></tr>
        @endforeach
    </table>
    <x-slot:act>
        @if ($screen->isCheckDue && $read > 0 && Gate::allows('record'))<a href="{{ route('batches') }}">Batches</a><a class="do" href="{{ route('checks.show', [$round->pair, 'round' => $round->id]) }}" data-primary>Read check buffer <kbd>Enter</kbd></a>@else<a class="do" href="{{ route('batches') }}" data-primary>Batches <kbd>Enter</kbd></a>@endif
    </x-slot>
    <x-slot:evidence>
        <h2>Round</h2>
        <dl><dt>Started</dt><dd>{{ Rheacid\SiteClock::short($round->at) }}, {{ $round->person->name }}</dd><dt>Instruments</dt><dd>{{ $round->pair->electrode->code }} on {{ $round->pair->name() }}, {{ $round->thermometer->code }}</dd><dt>Read</dt><dd>{{ $read }} of {{ $screen->stops->filter(fn ($one) => $one->duplicate_of === null)->count() }}</dd></dl>
        @php($seconds = $screen->duplicates())
        @if ($seconds !== [])
            <h2>Second cups</h2>
            <dl>@foreach ($seconds as $one)<dt>{{ $one['code'] }} was {{ $one['of'] }}</dt><dd>{{ $one['difference'] >= 0 ? '+' : '' }}{{ Numbers::fixed($one['difference'], 3) }} pH</dd>@endforeach</dl>
            <p><a href="{{ route('repeatability') }}">All blind duplicates</a></p>
        @endif
        <p class="note">Your site’s food safety plan and local codes decide about the product. Rheacid shows which limit was met.</p>
    </x-slot>
</x-house>
