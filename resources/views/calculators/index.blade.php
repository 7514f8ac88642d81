@use(Rheacid\Calculators\Calculator)
<x-house title="Calculators" room="Measure">
    @if ($batch)<p class="what">For <a href="{{ route('batches.show', $batch) }}"><b>{{ $batch->code }}</b></a>. You can plan a result as an addition.</p>@endif
    <ul class="todo">
        @foreach (Calculator::cases() as $one)<li><div><b>{{ $one->title() }}</b><small>{{ $one->limits() }}</small></div>
            <a @class(['do', 'quiet' => !$loop->first]) href="{{ route('calculators.show', [$one, ...($batch ? ['batch' => $batch->id] : [])]) }}"
            @if ($loop->first) data-primary @endif>Open<span class="visually-hidden"> {{ $one->title() }}</span></a></li>@endforeach
    </ul>
    <x-slot:evidence><h2>Calculators</h2><p>
        Each one shows its formula with your numbers, where it is valid, and its source. Nothing is recorded until you plan an addition to a batch.</p></x-slot>
</x-house>
