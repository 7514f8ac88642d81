@use(Rheacid\Core\Limits\Conformity)
@php($batch = $screen->batch)
<x-house :title="'Temperatures · ' . $batch->code" room="Batches">
    <p class="what">{{ $batch->product->name }} · batch <a href="{{ route('batches.show', $batch) }}"><b>{{ $batch->code }}</b></a> · {{ $batch->vessel }}</p>
    @forelse ($screen->findings as $finding)
        @php($due = $finding->isDue())
        @php($progress = $due ? null : Rheacid\Core\Words\CourseWords::progress($finding->answer))
        <p @class(['verdict', 'answer' => $loop->first])><x-state
            :is="!$due ? 'idle' : match ($finding->verdict) { Conformity::Inside => 'met', Conformity::Inconclusive => 'care',
            Conformity::Outside => 'fail' }">{{ !$due ? ucfirst($progress ?? 'not due') . '.' : match ($finding->verdict) { Conformity::Inside => 'Met.',
            Conformity::Inconclusive => 'Not proven.',
            Conformity::Outside => 'Not met.' } }}</x-state> <span>{{ $finding->limit_name }}: {{ $finding->words() }}{{ $finding->answer['distrust'] ?? null
            ? '; a part was left out: ' . $finding->answer['distrust'] : '' }}. <span
            class="soft">As of {{ Rheacid\Site\SiteClock::full($finding->as_of) }}.</span> @if ($due
            && $finding->verdict === Conformity::Outside)<b>{{ ($finding->answer['kind'] ?? '') === 'degree-hours'
            ? 'Hold the batch. Cooking does not help: toxin that has formed stays.'
            : 'Hold the batch. A lead decides.' }}</b>@elseif (($finding->answer['gap_count'] ?? 0) > 0
            && !$due)<b>The record has a gap, which proves nothing. Fill it from another logger if you can.</b>@endif</span></p>
    @empty
        <p class="verdict answer"><x-state is="idle">{{ $screen->limits === [] ? 'No limit of this product uses temperatures.'
            : 'No record yet.' }}</x-state> <span>{{ $screen->limits === [] ? 'You can still keep a temperature record.' : implode(' · ',
            array_map(fn ($limit) => $limit->name, $screen->limits)) . ': judged from the record kept here.' }}</span></p>
    @endforelse
    @if ($screen->chart)<x-course-chart :figure="$screen->chart" />@endif
    @if ($screen->courses->isNotEmpty())
        <table class="stack">
            <caption class="visually-hidden">{{ 'Temperatures · ' . $batch->code }}</caption>
            <thead><tr><th scope="col">Measuring point</th><th scope="col">Thermometer</th><th scope="col">Uncertainty</th><th scope="col">Recorded until</th>
                </tr></thead>
            @foreach ($screen->courses as $course)
                @php($last = $course->parts->last())
                @php($end = collect($last?->drawn ?? [])->last())
                <tr><td>{{ $course->point }}</td>
                    <td><a class="cell-link" href="{{ route('thermometers.show', $course->thermometer) }}">{{ $course->thermometer->code }}</a></td>
                    <td>± {{ Rheacid\Core\Celsius::by((float) $last?->expanded_u_c, 2) }}</td>
                    <td>{{ $end ? Rheacid\Site\SiteClock::full(Carbon\CarbonImmutable::createFromTimestamp($end[0])) : '' }}{{ $last?->is_complete
                        ? ', complete' : ', not complete yet' }}
                    @foreach ($course->strikes as $strike)<br><span
                        class="soft">excluded {{ Rheacid\Site\SiteClock::short($strike->from_at) }} to {{ Rheacid\Site\SiteClock::short($strike->to_at) }}:
                        {{ $strike->reason }}</span>@endforeach
                    @if (Gate::allows('lead'))<details @if ((int) old('strikes') === $course->id) open @endif><summary>Exclude a stretch</summary>
                        <form method="post" action="{{ route('courses.strike', $course) }}" data-keep><x-form-id />
                        <input type="hidden" name="strikes" value="{{ $course->id }}">
                        <div class="fields"><x-field name="from_at" :id="'from-' . $course->id" :keeps="(int) old('strikes') === $course->id" label="From"
                            type="datetime-local" />
                            <x-field name="to_at" :id="'to-' . $course->id" :keeps="(int) old('strikes') === $course->id" label="Until" type="datetime-local" />
                            <x-field name="reason" :id="'strike-reason-' . $course->id" :keeps="(int) old('strikes') === $course->id"
                                label="Reason to exclude it" maxlength="400" /></div>
                        <button class="do quiet">Exclude (counts as a gap)</button></form></details>@endif</td></tr>
            @endforeach
        </table>
    @endif
    @if (Gate::allows('record'))
        <h2>Add temperatures</h2>
        <form id="course" method="post" action="{{ route('courses.store', $batch) }}" enctype="multipart/form-data" data-keep>
            <x-form-id />
            <div class="fields">
                <x-choice name="point" label="Measuring point" :options="['chamber' => 'chamber, warmest spot', 'coldest' => 'coldest point of the food',
                    'core' => 'core', 'surface' => 'surface', 'outlet' => 'outlet of the holding tube']" />
                <x-choice name="thermometer" label="Thermometer" :options="collect($screen->thermometers)->mapWithKeys(fn ($one) => [$one->id => $one->code
                    . ' · ' . Rheacid\Queries\Ready\Thermometers::words($one->status())])" />
                <x-choice name="unit" label="Unit" :options="['C' => '°C', 'F' => '°F']" :value="Rheacid\Core\Style::isFahrenheitFirst() ? 'F' : 'C'" />
                <x-field name="file" label="Logger file" help="date and time; temperature; one point per line; up to 5 MB">
                    <input class="form-control" id="f-file" type="file" name="file" accept=".csv,.txt,text/csv,text/plain">
                </x-field>
                <x-field name="course" :label="'Or type the points'" class="wide"
                    :help="'one point per line, like 2026-11-25 08:00; ' . Rheacid\Core\Celsius::bare(24.5, 1)">
                    <textarea class="form-control" id="f-course" name="course" rows="4" aria-describedby="f-course-help" @error('course') aria-invalid="true"
                    @enderror>{{ is_string(old('course')) ? old('course') : '' }}</textarea></x-field>
                <x-tick name="complete" class="wide" :checked="old('complete')">The record is complete</x-tick>
            </div>
            <p class="sending" role="status" hidden data-sending><progress aria-label="Reading the file"></progress> <span>Sending the file.</span></p>
        </form>
        <x-slot:act><a href="{{ route('batches.show', $batch) }}">Open batch {{ $batch->code }}</a>
            <button class="do" form="course" data-primary>Add to record <kbd>Enter</kbd></button></x-slot>
    @endif
    <x-slot:evidence>
        <h2>How it counts</h2>
        <p>Degree-hours start at the step that the limit names, not at the first temperature. Log the chamber at product level, at its warmest spot, every 15 to
            30 minutes. A gap of more than an hour counts at the higher of its two ends and proves nothing.</p>
        <p>A heat hold is the longest unbroken time at the coldest point, minus the uncertainty. A gap of more than five minutes, or as the limit says,
            ends it.</p>
        <p>A limit that applies throughout is met only when its time is over and no gap was too long: at most a quarter of that time and at most a day.</p>
        <p>You can add parts in any order and from different loggers. Where they overlap, the worse temperature counts.</p>
        <p class="caution">Hot product and steam burn. Follow your site’s rules and local codes.</p>
        <p class="note">Degree-hours only address Staphylococcus aureus. A process authority and local codes take precedence.</p>
    </x-slot>
</x-house>
