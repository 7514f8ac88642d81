@use(Rheacid\Core\Thermometry\Outcome)
@use(Rheacid\Core\Thermometry\RtdVerification)
@use(Rheacid\Core\Thermometry\VerificationAdvice)
@use(Rheacid\Core\Words\ThermometerWords)
@php($check = $screen->check)
@php($thermometer = $check->thermometer)
<x-house :title="'Checked · ' . $thermometer->code . ' ' . $thermometer->name" room="Verify">
    <p class="what">{{ Rheacid\Site\SiteClock::full($check->at) }}, by {{ $check->person->name }} ·
        {{ ThermometerWords::method($check->method) }}{{ $check->as_left ? ' · as left, after adjustment' : ($check->outcome?->outcome === Outcome::Adjusted
        ? ' · as found' : '') }}</p>
    <p class="verdict answer">
        <x-state :is="$screen->first->sign">{{ $screen->first->head }}</x-state> <span>{{ $screen->first->sentence }}
        @if ($check->outcome === null)<b>{{ $screen->first->advice }}</b>@endif</span></p>
    <div class="big"><span class="n">{{ $screen->big() }}</span><span class="pm">± {{ $screen->uncertainty() }}</span><span
        class="unit">°{{ $check->unit ?? 'C' }} error; it read {{ $screen->read() }}<br>@if ($screen->readings() !== []){{ implode(' · ',
        $screen->readings()) }}{{ $check->source === Rheacid\Core\Measuring\Source::Simulated ? ' (simulated bath)'
        : ($check->source === Rheacid\Core\Measuring\Source::Imported ? ' (from a log)' : '') }}@endif</span></div>
    <x-error-rule :figure="$screen->rule" />
    @if ($check->insulation_megaohm !== null)
        @php($good = $check->insulation_megaohm >= RtdVerification::GOOD_INSULATION_MEGAOHM)
        @php($ohm = Rheacid\Core\Numbers::plain($check->insulation_megaohm))
        @if ($good)
            <p class="verdict"><x-state is="met">Insulation {{ $ohm }} MΩ.</x-state> At least 100 MΩ is required.</p>
        @else
            <p class="verdict"><x-state is="fail">Insulation {{ $ohm }} MΩ: low.</x-state> At least 100 MΩ is required. A damp or damaged probe reads low,
                so a good reading proves nothing. Dry it, check seal and cable, or replace it.</p>
        @endif
    @endif
    @if ($check->shift_c !== null)<p class="verdict"><x-sign
        is="idle" /> <span>Changed by {{ Rheacid\Core\Celsius::by($check->shift_c, 2) }} since the previous resistance check.</span></p>@endif
    @foreach ($check->found() as $finding)<p class="verdict"><x-sign is="care" /> <span>{{ ThermometerWords::finding($finding) }}</span></p>@endforeach
    @if ($check->outcome)
        <p class="verdict"><x-state :is="in_array($check->outcome->outcome, [Outcome::Use, Outcome::Correct], true) ? 'met'
            : 'care'">{{ ucfirst(ThermometerWords::outcome($check->outcome->outcome)) }}.</x-state> {{ $check->outcome->outcome === Outcome::Correct
            ? 'Correction ' . $screen->correction . ', applied to every later reading and shown with it.' : '' }} {{ $check->outcome->note }} <span
            class="soft">{{ $check->outcome->person->name }}, {{ Rheacid\Site\SiteClock::short($check->outcome->at) }}</span></p>
    @endif
    @if ($screen->touched->isNotEmpty())
        <h2>Readings since the last passed check</h2>
        <p class="what">{{ $screen->touched->count() === 1 ? 'One portion was' : $screen->touched->count()
            . ' portions were' }} read with it (the newest {{ Rheacid\View\Verify\VerificationScreen::SHOWN }} are listed). Review each decision.</p>
        <table class="stack">
            <caption class="visually-hidden">Readings since the last passed check</caption>
            @foreach ($screen->touched as $portion)<tr><th scope="row">{{ Rheacid\Site\SiteClock::short($portion->at) }}</th><td class="num">
                {{ Rheacid\Core\Numbers::fixed($portion->value, 2) }} <small>at {{ Rheacid\Core\Celsius::at($portion->celsius, 1) }}</small></td><td>
                {{ $portion->person->name }}</td></tr>@endforeach
        </table>
    @endif
    <h2>{{ $screen->history->count() === 1 ? 'First check' : $screen->history->count() . ' checks' }}</h2>
    <x-check-chart :figure="$screen->chart" />
    @if ($screen->drift)<p class="what">{{ $screen->drift }}</p>@endif
    @if ($screen->choices !== [] && Gate::allows('record'))
        <form id="conclude" method="post" action="{{ route('verifications.conclude', $check) }}" data-keep><x-form-id /><x-enter-sends-nothing /></form>
        <x-slot:act>
            <details><summary>Other outcomes</summary>
                <x-field name="note" label="Note (optional)" maxlength="400" form="conclude" />
                @foreach ($screen->choices as $outcome)@unless (in_array($outcome, [Outcome::Use, Outcome::Correct], true)
                    || $outcome->value === $screen->advised->value)<button class="do quiet apart" form="conclude" name="outcome"
                    value="{{ $outcome->value }}">{{ ucfirst(ThermometerWords::outcome($outcome)) }}</button> @endunless @endforeach
            </details>
            @php($fresh = route('verify.show', [$thermometer, 'method' => $check->method->value]))
            @if ($screen->advised !== VerificationAdvice::FreshBath)<a href="{{ $fresh }}">Check again in a fresh bath</a>@endif
            @if (in_array(Outcome::Use, $screen->choices, true) && $screen->advised !== VerificationAdvice::Use)<button class="do quiet" form="conclude"
                name="outcome" value="use">Use without correction</button>@endif
            @if (in_array(Outcome::Correct, $screen->choices, true) && $screen->advised !== VerificationAdvice::Correct)<button class="do quiet" form="conclude"
                name="outcome" value="correct">Use with {{ $screen->correction }}</button>@endif
            @if ($screen->advised === VerificationAdvice::FreshBath)<a class="do" href="{{ $fresh }}"
                data-primary>Check again in a fresh bath <kbd>Enter</kbd></a>
            @else<button class="do" form="conclude" name="outcome" value="{{ $screen->advised->value }}"
                data-primary>{{ match ($screen->advised) { VerificationAdvice::Correct => 'Use with ' . $screen->correction,
                VerificationAdvice::Use => 'Use without correction', VerificationAdvice::Adjust => 'Record adjustment',
                default => 'Take out of use' } }} <kbd>Enter</kbd></button>@endif
        </x-slot>
    @else
        <x-slot:act><a href="{{ route('thermometers.show', $thermometer) }}">History</a><a
            href="{{ route('verifications.certificate', $check) }}">Certificate</a><a class="do" href="{{ route('verify') }}"
            data-primary>Next thermometer <kbd>Enter</kbd></a></x-slot>
    @endif
    <x-slot:evidence>
        <h2>Based on</h2>
        <dl>
            <dt>Reference</dt><dd>{{ $check->rests_on ?? ThermometerWords::method($check->method) }}</dd>
            <dt>Range covered</dt><dd>
                {{ Rheacid\Core\Celsius::between($check->verified_low_c,
                $check->verified_high_c) }}{{ $thermometer->service()->use_high_c > $check->verified_high_c ? '; use up to '
                . Rheacid\Core\Celsius::at($thermometer->service()->use_high_c) . ' needs a hot check as well' : '' }}</dd>
            @if ($check->confirms)<dt>Repeats</dt><dd>
                <a href="{{ route('verifications.show', $check->confirms) }}">the check of {{ Rheacid\Site\SiteClock::short($check->confirms->at) }}</a>
                </dd>@endif
            @if (($check->bath ?? []) !== [])<dt>Bath</dt><dd>{{ implode(', ', $check->bath) }}</dd>@endif
        </dl>
        <h2>Next check</h2>
        <p><b>{{ Rheacid\Site\SiteClock::day($check->due_at) }}</b><br>{{ $check->interval_why }}</p>
        <p><a href="{{ route('verifications.certificate', $check) }}">Certificate</a> · <a href="{{ route('verifications.pdf', $check) }}">PDF</a></p>
        <p class="note">A verification shows whether the thermometer is within its tolerance. It says nothing about food.</p>
    </x-slot>
</x-house>
