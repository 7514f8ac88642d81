<x-house title="Calibrate" room="Calibrate">
    @if ($plan->pairs() === [] && $plan->cells() === [])
        <p class="what">A meter together with an electrode is calibrated, in at least two buffers about three units of pH apart. None stand together yet.</p>
        <x-slot:act><a href="{{ route('ready') }}">To the shelf</a>@can('record')<a class="do" href="{{ route('pairing') }}"
            data-primary>Pair meter and electrode <kbd>Enter</kbd></a>@endcan</x-slot>
    @else
    <h2>Which pair?</h2>
    @endif
    <ul class="todo">
        @foreach ($plan->pairs() as $pair)
            <li>
                @php($run = $inRun[$pair->id] ?? null)
                <div><b>{{ $pair->code }} on {{ $pair->name }}</b><small>{{ $pair->kind->words() }} <x-pair-state
                    :status="$pair->status()" />@if ($run) <x-state
                    is="care">calibration in progress, {{ $run->holder->name }}, 
                    last touched {{ Rheacid\Core\Words\SamplingWords::span($run->secondsLeft() / 3600) }} ago</x-state>@endif</small></div>
                @if ($run)
                    <a class="do" href="{{ route('runs.create', $pair->id) }}">Continue <span class="visually-hidden">with {{ $pair->code }}</span></a>
                @else
                    <a @class(['do', 'quiet' => !$loop->first]) href="{{ route('runs.create', $pair->id) }}" @if ($loop->first) data-primary
                        @endif>Calibrate<span class="visually-hidden"> {{ $pair->code }}</span></a>
                @endif
            </li>
        @endforeach
        @foreach ($plan->cells() as $pair)
            <li>
                <div><b>{{ $pair->code }} on {{ $pair->name }} <x-measures :is="$pair->state" /></b><small>{{ $pair->kind->words() }} <x-pair-state
                    :status="$pair->status()" /></small></div>
                <a class="do quiet" href="{{ route('cells.show', $pair->id) }}">Calibrate<span class="visually-hidden"> {{ $pair->code }}</span></a>
            </li>
        @endforeach
    </ul>
    <x-slot:evidence>
        <h2>Before you begin</h2>
        <ul class="steps">
            <li>Look at the bulb: whole and clean, no bubble behind it. Shake a bubble down.</li>
            <li>Where there is a fill hole: open it; electrolyte within 12 mm of it.</li>
            <li>Buffers, rinse and samples within {{ Rheacid\Core\Celsius::by(2) }} of each other.</li>
            <li>Use plastic cups, not glass ones: the bulb of the electrode breaks easily. Glass in food is a hazard.</li>
        </ul>
    </x-slot>
</x-house>
