<x-house :title="Rheacid\Site\SiteClock::local(now())->format('l, j F')" room="Today">
    @if ($restoration)
        <p class="verdict answer">
            <x-state is="care">Restored from a backup.</x-state> <span>The records end at {{ Rheacid\Site\SiteClock::full($restoration->taken_at) }}. Anything
            recorded later is lost{{ $restoration->lost_heads === [] ? '' : ' (' . count($restoration->lost_heads)
            . ' later heads had been verified)' }}. <b>Enter missing readings from paper, then confirm.</b></span></p>
        @if (($restoration->gone_people ?? []) !== [])
            <p class="verdict"><x-state is="fail">Access restored.</x-state> {{ implode(', ',
                $restoration->gone_people) }}: disabled after the backup, so able to sign in again. <a href="{{ route('people') }}">Disable again</a></p>@endif
        @if ($restoration->signed === false)
            <p class="verdict"><x-state
                is="fail">Origin of the backup not proven.</x-state> It was not signed, or the key of its installation was missing. Compare the records with
                paper or other copies before you confirm.</p>@endif
        @if (($restoration->codes_removed ?? []) !== [])
            <p class="verdict"><x-state is="care">Authenticators must be set up again.</x-state> {{ implode(', ',
                $restoration->codes_removed) }}: sign in with a recovery code, or ask a lead for an invitation code.</p>@endif
        @if (($restoration->unproven_lines ?? 0) > 0)
            <p class="verdict"><x-state
                is="care">Not verified before.</x-state> {{ $restoration->unproven_lines }} ledger entries are newer than the last head that was verified.
                </p>@endif
        <form method="post" action="{{ route('restorations.confirm', $restoration) }}"><x-form-id /><button class="do quiet">Confirm restore</button></form>
    @endif
    @foreach ($keeping as $problem)
        <p class="verdict"><x-state is="care">Records.</x-state> {{ $problem }} <a href="{{ route('clock') }}">Details</a></p>
    @endforeach
    @if ($steps !== [])
        <h2>First steps</h2>
        <p class="what">Take the steps in any order. You can also <a href="{{ route('shelf.import') }}">import instruments and bottles</a>.</p>
        @php($next = collect($steps)->search(fn (array $step): bool => !$step['done']))
        <ol class="todo first">
            @foreach ($steps as $i => $step)
                <li>
                    <div><b><x-sign :is="$step['done'] ? 'met' : 'idle'" class="me-2" /> {{ $step['what'] }}</b><small>{{ $step['why'] }}</small></div>
                        <a @class(['do', 'quiet' => $i !== $next]) href="{{ $step['url'] }}" @if ($i === $next) data-primary
                        @endif>{{ $step['done'] ? 'Add another' : $step['button'] }}<span
                        class="visually-hidden">: {{ $step['what'] }}</span>@if ($i === $next) <kbd>Enter</kbd>@endif</a></li>
            @endforeach
        </ol>
    @endif
    @if ($line->lanes !== [])<x-day-line :figure="$line" />@endif
    @if ($tasks->of === 0 && $steps === [])
        <h2>Nothing to do</h2>
        <p>{{ $plan->pairs() === [] ? 'No meter and electrode are paired yet.' : 'Every pair is calibrated and every running batch was read today.' }}</p>
    @elseif ($tasks->of > 0)
        <h2>To do, in order</h2>
        <ul class="todo">
            @php($leads = $tasks->isFirst() && $steps === [])
            @foreach ($tasks->tasks as $task)
                <li>
                    <div><b><x-sign :is="$task->sign" class="me-2" /> {{ $task->title }}</b><small>{{ $task->detail }}</small></div>
                    @if ($task->act !== null && Gate::allows('record'))
                        <form method="post" action="{{ $task->url }}"><x-form-id />
                            <button @class(['do', 'quiet' => !$loop->first || !$leads]) name="act" value="{{ $task->act }}"
                            @if ($loop->first && $leads) data-primary @endif>{{ $task->button }}<span
                            class="visually-hidden">: {{ $task->title }}</span></button>
                    </form>@elseif ($task->act === null)<a @class(['do', 'quiet' => !$loop->first || !$leads]) href="{{ $task->url }}"
                        @if ($loop->first && $leads) data-primary @endif>{{ $task->button }}<span
                        class="visually-hidden">: {{ $task->title }}</span>@if ($loop->first && $leads) <kbd>Enter</kbd>@endif</a>@endif
                </li>
            @endforeach
        </ul>
        <x-pages :of="$tasks" before="Back" after="More" />
    @endif
    <x-slot:evidence>
        <h2>Bring to the bench</h2>
        @if ($buffers->points === [])
            <p>No two usable buffers are at least {{ Rheacid\Core\Numbers::fixed(Rheacid\Core\Electrode\Criteria::LEAST_SPAN_PH,
                1) }} pH apart. Open a fresh bottle.</p>
        @else
            <dl>
                @foreach ($plan->toBring() as ['needed' => $needed, 'nominalPh' => $ph])
                    @foreach ($needed->taken as ['lot' => $lot, 'uses' => $uses])
                        <dt>pH {{ Rheacid\Core\Numbers::fixed($ph, 2) }} · bottle {{ $lot->id }}</dt>
                        <dd>for {{ $uses === 1 ? 'one calibration' : "$uses calibrations" }}; {{ $lot->usesLeft === 1 ? 'one use left' : $lot->usesLeft
                            . ' uses left' }}, until {{ Rheacid\Site\SiteClock::day(Carbon\CarbonImmutable::parse($lot->expiresOn)) }}</dd>
                    @endforeach
                    @if ($needed->missing > 0)
                        <dd><x-state is="care">{{ $needed->missing === 1 ? 'one use'
                            : "$needed->missing uses" }} short: open a fresh bottle of pH {{ Rheacid\Core\Numbers::fixed($ph, 2) }}</x-state></dd>@endif
                @endforeach
            </dl>
            @if (!$buffers->brackets())
                <p class="soft">These buffers do not cover every batch. Readings outside are marked and less certain.</p>@endif
        @endif
        @if ($shopping !== [])
            <h2>Buy this month</h2>
            <dl>@foreach ($shopping as $one)<dt>{{ $one['label'] }}</dt><dd>{{ $one['why'] }}</dd>@endforeach</dl>
        @endif
        @php($ahead = array_values(array_filter($week, fn ($due) => $due->at >= now())))
        @if ($ahead !== [])
            <h2>This week</h2>
            <dl class="week">
                @foreach (array_slice($ahead, 0, 7) as $due)<dt>{{ Rheacid\Site\SiteClock::short($due->at) }}</dt>
                    <dd><a href="{{ $due->url }}">{{ $due->what }}</a></dd>@endforeach
            </dl>
            @if (count($ahead) > 7)<p class="soft">{{ count($ahead) - 7 }} more on the day sheet</p>@endif
        @endif
        <p><a href="{{ route('today.sheet') }}">Day sheet</a> · <a href="{{ route('today.calendar') }}">Calendar file</a></p>
        <h2>Pairs</h2>
        <dl>
            @foreach ($pairs as $pair)
                <dt><a href="{{ route('pairs.show', $pair->id) }}">{{ $pair->code }}</a> on {{ $pair->name }}</dt>
                <dd><x-pair-state :status="$pair->status()" /></dd>
            @endforeach
        </dl>
        @if ($morePairs > 0)<p><a href="{{ route('ready') }}">{{ $morePairs }} more pairs</a></p>@endif
        <p class="note">Your site’s food safety plan and local codes decide about a product. Rheacid shows which limit was met.</p>
    </x-slot>
</x-house>
