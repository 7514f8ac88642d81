<x-house title="Calibrate" room="Calibrate">
    <h2>Which pair?</h2>
    <ul class="todo">
        @foreach ($plan->pairs() as $pair)
            <li>
                <div><b>{{ $pair->electrode->code }} on {{ $pair->name() }}</b><small>{{ $pair->electrode->kind }} <x-pair-state :status="$plan->status($pair)" /></small></div>
                @if ($pair->openRun)
                    <a class="do" href="{{ route('runs.show', $pair->openRun) }}">Go on <span class="visually-hidden">with {{ $pair->electrode->code }}</span></a>
                @else
                    <a @class(['do', 'quiet' => !$loop->first]) href="{{ route('runs.create', $pair) }}" @if ($loop->first) data-primary @endif>Calibrate<span class="visually-hidden"> {{ $pair->electrode->code }}</span></a>
                @endif
            </li>
        @endforeach
        @foreach ($plan->cells() as $pair)
            <li>
                <div><b>{{ $pair->electrode->code }} on {{ $pair->name() }} <x-measures :is="$pair->electrode->measures" /></b><small>{{ $pair->electrode->kind }} <x-pair-state :status="Rheacid\Shelf\Cells::status($pair)" /></small></div>
                <a class="do quiet" href="{{ route('cells.show', $pair) }}">Calibrate<span class="visually-hidden"> {{ $pair->electrode->code }}</span></a>
            </li>
        @endforeach
    </ul>
    <x-slot:evidence>
        <h2>Before you begin</h2>
        <ul class="steps">
            <li>Look at the bulb: whole and clean, no bubble behind it. Shake a bubble down.</li>
            <li>Open the fill hole; electrolyte within 12 mm of it.</li>
            <li>Buffers, rinse and samples within 2 °C of each other.</li>
            <li>Plastic cups, not glass: a blown bulb breaks. Glass in food is a hazard.</li>
        </ul>
    </x-slot>
</x-house>
