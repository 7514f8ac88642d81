@use(Rheacid\Calculators\Calculator)
<x-house title="Sums" room="Measure">
    @if ($batch)<p class="what">For <a href="{{ route('batches.show', $batch) }}"><b>{{ $batch->code }}</b></a>: what is found can be planned as an addition.</p>@endif
    <ul class="todo">
        @foreach (Calculator::cases() as $one)<li><div><b>{{ $one->title() }}</b><small>{{ $one->limits() }}</small></div><a @class(['do', 'quiet' => !$loop->first]) href="{{ route('calculators.show', [$one, ...($batch ? ['batch' => $batch->id] : [])]) }}" @if ($loop->first) data-primary @endif>Open<span class="visually-hidden"> {{ $one->title() }}</span></a></li>@endforeach
    </ul>
    <x-slot:evidence><h2>What they are</h2><p>Each shows its formula with the numbers in it, where it holds, and where it comes from. Nothing is recorded here until it is planned for a batch.</p></x-slot>
</x-house>
