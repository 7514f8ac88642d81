@php($run = $screen->run)
@php($mine = $run->holder_id === auth()->id() && $run->state === Rheacid\Models\RunState::Open)
<x-house :title="'Calibrate · ' . $run->pair->electrode->code . ' on ' . $run->pair->name()" room="Calibrate">
    <ol class="stations" aria-label="Steps of this calibration">
        @foreach ($screen->stations as $station)
            <li @class(['done' => $station['state'] === 'done']) @if ($station['state'] === 'now') aria-current="step" @endif>
                <b>{{ $station['name'] }}</b><span>{{ $station['detail'] }}</span></li>
        @endforeach
    </ol>
    @if ($run->state === Rheacid\Models\RunState::Open && $screen->left)<p @class(['verdict', 'answer' => $run->isStale()])>
        <x-state is="care">Left for {{ $screen->left }}.</x-state> <span>{{ $screen->leftWords() }}</span></p>@endif
    @if ($screen->isFree && $mine)<p class="what">Use any of the remaining buffers. Rheacid recognises it from its potential.</p>@endif
    @if ($run->state !== Rheacid\Models\RunState::Open)
        <p class="verdict"><x-state is="idle">Abandoned.</x-state> This calibration ended without a verdict. Its points stay on record.</p>
    @else
        @if ($screen->live)
            <x-live :live="$screen->live" :is-held="$mine" />
        @else
            <p class="what">{{ $screen->isReadBack ? 'Read back in'
                : 'Put the electrode into' }} {{ $screen->lot->label }} from bottle {{ $screen->lot->code }}. Wait until the display is stable, then type what
                it shows.@unless ($run->pair->meter->shows_mv) {{ $screen->isReadBack ? 'Read this after the meter has calibrated itself.'
                : 'Type the as-found value first, then let the meter calibrate on this buffer.' }}@endunless</p>
        @endif
        @if ($mine)
            <form id="accept" method="post" action="{{ route('runs.accept', $run) }}" data-keep>
                <x-form-id />
                <input type="hidden" name="station" value="{{ $screen->station }}">
                @if ($screen->live)<input type="hidden" name="seen_s" value="{{ $screen->live->figure ? $screen->live->seenS : '' }}">@endif
                @if ($screen->isReadBack && !$run->pair->meter->shows_mv)
                    <div class="fields apart">
                        <x-field name="shown_slope" label="Slope shown by the meter, % (optional)" help="like 98" inputmode="decimal" />
                        <x-field name="shown_offset" label="Offset shown by the meter, mV (optional)" inputmode="text" />
                    </div>
                @endif
                @unless ($screen->live)<x-typed-reading :window="30" form="accept" :meter="$run->pair->meter" />@endunless
                <x-point-questions form="accept" />
            </form>
            @if ($screen->live)<x-bench-strip :cups="$screen->cups" :action="route('runs.immerse', $run)" :current="$screen->live->cupId"
                :speed="$screen->live->speed" :next="$screen->live->next($screen->cups[0] ?? null)" />@endif
        @else
            <p class="verdict"><x-state
                is="care">In progress.</x-state> {{ $run->holder->name }} has been calibrating since {{ Rheacid\Site\SiteClock::short($run->opened_at) }}.</p>
        @endif
    @endif
    @if ($mine)
        <x-slot:act>
            <x-accept-bar form="accept" :label="match (true) { $screen->isReadBack => 'Accept read-back', $screen->isFree => 'Accept recognised buffer',
                default => 'Accept ' . $screen->bufferNow }" :live="$screen->live" :leave="route('runs.leave', $run)" />
        </x-slot>
    @elseif ($run->state === Rheacid\Models\RunState::Open && Gate::allows('record'))
        <x-slot:act>
            <form method="post" action="{{ route('runs.take-over', $run) }}"><x-form-id /><x-field name="reason" label="Reason to take over" maxlength="400" />
                <button class="do apart">Take over calibration</button></form>
        </x-slot>
    @endif
    <x-slot:evidence>
        <h2>{{ $screen->isReadBack ? 'Read-back buffer' : 'This buffer' }}</h2>
        <dl>
            <dt>Bottle {{ $screen->lot->code }}, {{ $screen->lot->label }} at 25 °C</dt>
            <dd><x-state is="met">{{ $screen->bufferNow }}{{ $screen->live?->figure ? ' at ' . Rheacid\Core\Celsius::at($screen->live->celsius, 1) . ''
                : '' }}</x-state><br>
                @if ($screen->lot->openedOn()) opened {{ (int) $screen->lot->openedOn()->diffInDays(now()) }} days ago · @endif
                    {{ Rheacid\Queries\Ready\Bottles::left($screen->lot->status()) }}{{ $screen->lot->uses->contains('calibration_run_id', $run->id)
                    ? ' after this run' : '' }}</dd>
        </dl>
        <h2>Now</h2>
        <ul class="steps">
            <li>Rinse with {{ Rheacid\View\Ready\PolicyWords::rinse($run->policy) }}. Blot; do not rub.</li>
            <li>Immerse the tip 25 mm{{ $run->pair->electrode->kind->hasFillHole() === false ? '' : ', fill hole open' }}, without touching the wall.</li>
            <li>Stir gently, without a vortex, then let it rest.</li>
            @unless ($run->pair->meter->compensates)<li>
                <b>Manual temperature:</b> set it on the meter, and type what a verified thermometer reads in this buffer.</li>@endunless
        </ul>
        @if ($screen->lastPoint?->as_found_ph !== null)
            <h2>As found</h2>
            <p>The previous calibration reads {{ Rheacid\Core\Numbers::fixed($screen->lastPoint->as_found_ph,
                3) }} in {{ Rheacid\Core\Numbers::fixed($screen->lastPoint->buffer_ph, 3) }}: {{ Rheacid\Core\Numbers::fixed($screen->lastPoint->asFoundError(),
                3) }} pH off.</p>
        @endif
        <h2>Pair</h2>
        <dl>
            <dt class="nowrap">{{ $run->pair->electrode->code }} on {{ $run->pair->name() }}</dt>
            @if ($last = $run->pair->newestCalibration)<dd>last <x-slope :calibration="$last" />, {{ Rheacid\Site\SiteClock::short($last->at) }}</dd>@endif
            <dt>Temperature</dt><dd>{{ $run->thermometer === null ? 'by the meter’s own probe, never checked' : 'by ' . $run->thermometer->code . ', '
                . $run->thermometer->name }}</dd>
        </dl>
        @if (abs((float) $screen->lot->nominal_ph - 7) > 3)<p class="caution">
            Strongly acidic or alkaline buffer. Wear goggles. Rinse splashes at once with plenty of water. Follow your site’s rules and local codes.</p>@endif
        <p class="note">Pour used buffer away, never back into the bottle.</p>
    </x-slot>
</x-house>
