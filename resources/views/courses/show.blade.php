@use(Rheacid\Core\Limits\Conformity)
@php($batch = $screen->batch)
<x-house :title="'Temperatures · ' . $batch->code" room="Batches">
    <p class="what">{{ $batch->product->name }} · batch <a href="{{ route('batches.show', $batch) }}"><b>{{ $batch->code }}</b></a> · {{ $batch->vessel }}</p>
    @forelse ($screen->findings as $finding)
        @php($due = $finding->isDue())
        @php($progress = $due ? null : Rheacid\Core\Words\CourseWords::progress($finding->answer))
        <p @class(['verdict', 'answer' => $loop->first])><x-state :is="!$due ? 'idle' : match ($finding->verdict) { Conformity::Inside => 'met', Conformity::Inconclusive => 'care', Conformity::Outside => 'fail' }">{{ !$due ? ucfirst($progress ?? 'not due') . '.' : match ($finding->verdict) { Conformity::Inside => 'Met.', Conformity::Inconclusive => 'Not proven.', Conformity::Outside => 'Not met.' } }}</x-state> <span>{{ $finding->limit_name }}: {{ $finding->words() }}{{ $finding->answer['distrust'] ?? null ? '; a part is left out, since ' . $finding->answer['distrust'] : '' }}. <span class="soft">As of {{ Rheacid\SiteClock::full($finding->as_of) }}.</span> @if ($due && $finding->verdict === Conformity::Outside)<b>{{ ($finding->answer['kind'] ?? '') === 'degree-hours' ? 'Hold it. Cooking does not mend it: toxin that has formed stays.' : 'Hold it: a lead decides.' }}</b>@elseif (($finding->answer['gap_count'] ?? 0) > 0 && !$due)<b>A silence proves nothing: fill it from another logger, if there is one.</b>@endif</span></p>
    @empty
        <p class="verdict answer"><x-state is="idle">{{ $screen->limits === [] ? 'Nothing hangs on them.' : 'No record yet.' }}</x-state> <span>{{ $screen->limits === [] ? 'No limit of this product is judged on a record of temperatures; it is kept all the same.' : implode(' · ', array_map(fn ($limit) => $limit->name, $screen->limits)) . ': judged on what is kept here.' }}</span></p>
    @endforelse
    @if ($screen->chart)<x-course-chart :figure="$screen->chart" />@endif
    @if ($screen->courses->isNotEmpty())
        <table class="stack">
            <thead><tr><th>Point</th><th>Thermometer</th><th>Uncertainty</th><th>Until</th></tr></thead>
            @foreach ($screen->courses as $course)
                @php($last = $course->parts->last())
                @php($end = collect($last?->drawn ?? [])->last())
                <tr><td>{{ $course->point }}</td>
                    <td><a class="cell-link" href="{{ route('thermometers.show', $course->thermometer) }}">{{ $course->thermometer->code }}</a></td>
                    <td>± {{ Rheacid\Core\Celsius::by((float) $last?->expanded_u_c, 2) }}</td>
                    <td>{{ $end ? Rheacid\SiteClock::full(Carbon\CarbonImmutable::createFromTimestamp($end[0])) : '' }}{{ $last?->is_complete ? ', complete' : ', more will follow' }}
                    @foreach ($course->strikes as $strike)<br><span class="soft">struck out {{ Rheacid\SiteClock::short($strike->from_at) }} to {{ Rheacid\SiteClock::short($strike->to_at) }}: {{ $strike->reason }}</span>@endforeach
                    @if (Gate::allows('lead'))<details @if ((int) old('strikes') === $course->id) open @endif><summary>Strike out a stretch</summary>
                        <form method="post" action="{{ route('courses.strike', $course) }}" data-keep><x-form-id />
                        <input type="hidden" name="strikes" value="{{ $course->id }}">
                        <div class="fields"><x-field name="from_at" :id="'from-' . $course->id" :keeps="(int) old('strikes') === $course->id" label="From" type="datetime-local" />
                            <x-field name="to_at" :id="'to-' . $course->id" :keeps="(int) old('strikes') === $course->id" label="Until" type="datetime-local" />
                            <x-field name="reason" :id="'strike-reason-' . $course->id" :keeps="(int) old('strikes') === $course->id" label="Why it is struck out" maxlength="400" /></div>
                        <button class="do quiet">Strike it out: it counts as a gap</button></form></details>@endif</td></tr>
            @endforeach
        </table>
    @endif
    @if (Gate::allows('record'))
        <h2>Add to the record</h2>
        <form id="course" method="post" action="{{ route('courses.store', $batch) }}" enctype="multipart/form-data" data-keep>
            <x-form-id />
            <div class="fields">
                <x-field name="point" label="Measured at">
                    <select class="form-select" id="f-point" name="point">@foreach (['chamber' => 'the chamber, warmest spot', 'coldest' => 'the coldest point of the food', 'core' => 'the core', 'surface' => 'the surface'] as $code => $words)
                    <option value="{{ $code }}" @selected(old('point') === $code)>{{ $words }}</option>@endforeach</select></x-field>
                <x-field name="thermometer" label="With">
                    <select class="form-select" id="f-thermometer" name="thermometer">@foreach ($screen->thermometers as $thermometer)
                    <option value="{{ $thermometer->id }}" @selected((int) old('thermometer') === $thermometer->id)>{{ $thermometer->code }} · {{ Rheacid\Shelf\Thermometers::words($thermometer->status()) }}</option>@endforeach</select>
                </x-field>
                <x-field name="unit" label="In"><select class="form-select" id="f-unit" name="unit">
                    <option value="C" @selected(old('unit') === 'C')>°C</option>
                    <option value="F" @selected(old('unit', Rheacid\Core\Style::isFahrenheitFirst() ? 'F' : 'C') === 'F')>°F</option></select>
                </x-field>
                <x-field name="file" label="File of a logger" help="day with time; temperature, one point a line; up to 5 MB"><input class="form-control" id="f-file" type="file" name="file" accept=".csv,.txt,text/csv,text/plain">
                </x-field>
                <x-field name="course" label="Or typed" class="wide" help="one point a line, like 2026-11-25 08:00; 24.5"><textarea class="form-control" id="f-course" name="course" rows="4">{{ is_string(old('course')) ? old('course') : '' }}</textarea></x-field>
                <label class="form-check wide"><input class="form-check-input" type="checkbox" name="complete" value="1" @checked(old('complete'))> the record is complete: nothing more will follow</label>
            </div>
            <p class="sending" role="status" hidden data-sending><progress aria-label="reading the file"></progress> <span>Sending the file.</span></p>
        </form>
        <x-slot:act><a href="{{ route('batches.show', $batch) }}">To batch {{ $batch->code }}</a>
            <button class="do" form="course" data-primary>Keep it <kbd>Enter</kbd></button></x-slot>
    @endif
    <x-slot:evidence>
        <h2>How it counts</h2>
        <p>Degree-hours begin with the step that the limit names, not with the first temperature: log the chamber at product level, at its warmest spot, every 15 to 30 minutes. A silence of over an hour counts at the higher of its ends, and proves nothing.</p>
        <p>A hold is the longest unbroken time at the coldest point, uncertainty taken off; a silence of over five minutes, or what its limit says, ends it.</p>
        <p>What holds throughout is met only when its span is over, and only without a silence that is too long: a quarter of the span, a day at most.</p>
        <p>Parts may come in any order and from loggers that were exchanged; where they overlap, the worse temperature counts.</p>
        <p class="caution">Hot product and steam burn. Follow your site’s rules and local codes.</p>
        <p class="note">Degree-hours are against Staphylococcus aureus only. A process authority and local codes outrank them.</p>
    </x-slot>
</x-house>
