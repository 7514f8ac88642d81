{{-- What waits for a person: open deviations, samples that lack a place, the route, questions nobody answered, steps. --}}
@use(Rheacid\Queries\Batches\OpenOccasions)
@use(Rheacid\Site\SiteClock)
@php($life = $screen->life)
@foreach ($life->deviations as $deviation)
    @continue($deviation->disposition !== null)
    <p class="verdict"><x-state is="fail">{{ $deviation->is_after_release ? 'Found after release' : 'Deviation' }}.</x-state> {{ $deviation->what }} <a
        href="{{ route('deviations.show', $deviation) }}">Open deviation</a></p>
@endforeach
<div id="asked">
@foreach ($life->waiting as $occasion)
    @php($places = OpenOccasions::lacking($occasion, $batch)[0]['places'])
    <form class="verdict asked" method="post" action="{{ route('occasions.end', $occasion) }}"><x-form-id />
        <x-state is="care">A sample is not complete.</x-state> <span>The sample drawn
            {{ SiteClock::short($occasion->drawn_at) }} lacks {{ implode(', ', $places) }}, so it proves nothing yet. Complete it by
            {{ SiteClock::short(Rheacid\Core\Sampling\Places::until(OpenOccasions::lastDrawn($occasion))) }}.</span>
        @if (Gate::allows('record'))<a class="do quiet"
            href="{{ route('drafts.create', [$batch, 'joins' => $occasion->id, 'place' => $places[0]]) }}">Measure {{ $places[0] }}</a> <button
            class="do quiet">Close sample as it is</button>@endif
    </form>
@endforeach
@if (Gate::allows('record'))
    @if ($batch->product->routeNames() !== [] && $batch->route() === null && $life->outlet)
        <form class="verdict asked" method="post" action="{{ route('batches.route', $batch) }}"><x-form-id />
            <x-state is="care">Question.</x-state> Which process route does this batch take? @foreach ($batch->product->routeNames() as $route)
                <button class="do quiet" name="route" value="{{ $route }}">{{ $route }}</button> @endforeach
        </form>
    @endif
    @foreach ($life->unanswered as $condition)
        <form class="verdict asked" method="post" action="{{ route('batches.answer', $batch) }}"><x-form-id />
            <input type="hidden" name="condition" value="{{ $condition }}">
                <x-state is="care">Question.</x-state> {{ $condition }}? <button class="do quiet" name="answer" value="yes">Yes</button> <button
                class="do quiet" name="answer" value="no">No</button>
        </form>
    @endforeach
    @foreach ($life->steps as $one)
        @continue($one['stands'] !== null && !$one['repeats'])
        <form class="verdict asked steps-taken" method="post" action="{{ route('batches.step', $batch) }}" data-keep><x-form-id />
            <input type="hidden" name="step" value="{{ $one['step'] }}">
            <x-state :is="$one['stands'] === null ? 'care' : 'idle'">{{ $one['stands'] === null ? 'Question' : 'Repeat' }}.</x-state>
            <span>{{ $one['stands'] === null ? "When was it {$one['step']}? Limits count from that time." : ucfirst($one['step']) . ' again?' }}</span>
            <button class="do quiet" name="when" value="now">{{ ucfirst($one['step']) }} now</button>
            <label class="form-label" for="f-at-{{ $loop->index }}">or at</label>
                <input class="form-control" id="f-at-{{ $loop->index }}" type="datetime-local" name="at"
                value="{{ old('step') === $one['step'] ? old('at') : '' }}">
            <button class="do quiet" name="when" value="then">{{ ucfirst($one['step']) }} at that time</button>
            @if ($one['stands'] === null)<button class="do quiet" formaction="{{ route('batches.wait', $batch) }}">Not yet</button>@endif
            @if (old('step') === $one['step'] && ($errors->has('step') || $errors->has('at') || $errors->has('reason')))
                <p class="problem">{{ $errors->first('step') ?: ($errors->first('at') ?: $errors->first('reason')) }}</p>
                @if (Gate::allows('lead'))<x-field name="reason" :id="'step-reason-' . $loop->index" label="How do you know?" maxlength="400" />@endif
            @endif
        </form>
    @endforeach
@endif
</div>
