{{-- What waits for a person: open deviations, questions nobody answered, steps to take. --}}
@use(Rheacid\SiteClock)
@php($life = $screen->life)
@foreach ($life->deviations as $deviation)
    @continue($deviation->disposition !== null)
    <p class="verdict"><x-state is="fail">Deviation.</x-state> {{ $deviation->what }} <a href="{{ route('deviations.show', $deviation) }}">What to do</a></p>
@endforeach
@if (Gate::allows('record'))
    @foreach ($life->unanswered as $condition)
        <form class="verdict asked" method="post" action="{{ route('batches.answer', $batch) }}"><x-form-id /><input type="hidden" name="condition" value="{{ $condition }}"><x-state is="care">Asked.</x-state> {{ $condition }}? <button class="do quiet" name="answer" value="yes">Yes</button> <button class="do quiet" name="answer" value="no">No</button></form>
    @endforeach
    @if ($life->steps !== [])
        <form class="steps-taken" method="post" action="{{ route('batches.step', $batch) }}"><x-form-id />
            @foreach ($life->steps as $step)
                @php($begun = $batch->begun($step))
                <button class="do quiet" name="step" value="{{ $step }}">{{ ucfirst($step) }}{{ $begun === null ? ' now' : ', since ' . SiteClock::short($begun) . '; again' }}</button>
            @endforeach
        </form>
    @endif
@endif
