@use(Rheacid\Core\Thermometry\Outcome)
@use(Rheacid\Core\Thermometry\Stress)
@use(Rheacid\Core\Thermometry\ToleranceClass)
@use(Rheacid\Core\Words\ThermometerWords)
@php($thermometer = $screen->thermometer)
@php($service = $screen->service)
<x-house :title="$thermometer->name" room="Verify">
    <p class="verdict"><x-thermometer-state :line="$screen->line" /></p>
    <p class="what">{{ $thermometer->kind->words() }}, shows {{ Rheacid\Core\Celsius::by($thermometer->resolution_c) }}{{ $service->place ? ' · ' . $service->place : '' }} · tolerance ± {{ Rheacid\Core\Celsius::by($service->tolerance_c) }} · used from {{ Rheacid\Core\Celsius::between($service->use_low_c, $service->use_high_c) }}</p>
    @if ($screen->chart)<x-history-chart :figure="$screen->chart" />@endif
    <h2>Checks</h2>
    <table class="stack">
        <thead><tr><th>When</th><th>Method</th><th>Error</th><th>Correction</th><th>Covers</th><th>Due</th></tr></thead>
        @forelse ($screen->verifications as $check)
            <tr>
                <td><a class="cell-link" href="{{ route('verifications.show', $check) }}">{{ Rheacid\SiteClock::short($check->at) }}</a> {{ $check->person->name }}</td>
                <td>{{ ThermometerWords::method($check->method) }}{{ $check->as_left ? ', as left' : '' }}</td>
                <td class="num">{{ Rheacid\Core\Celsius::bareBy($check->error_c, 1) }} <small>± {{ Rheacid\Core\Celsius::bareBy($check->expanded_u_c, 1) }} {{ Rheacid\Core\Celsius::unit() }}</small></td>
                <td>{{ $check->outcome?->outcome === Outcome::Correct ? Rheacid\Core\Celsius::by($check->corrected(20) - 20, 1) . '' : 'none' }}</td>
                <td>{{ Rheacid\Core\Celsius::between($check->verified_low_c, $check->verified_high_c) }}</td>
                <td><x-state :is="Rheacid\View\VerificationScreen::sign($check->verdict)">{{ Rheacid\SiteClock::short($check->due_at) }}</x-state></td>
            </tr>
        @empty
            <tr><td colspan="6" class="soft">Never checked.</td></tr>
        @endforelse
    </table>
    @if (Gate::allows('lead'))
        <details class="apart" @if ($errors->any()) open @endif><summary>Place and tolerance</summary>
            <form id="service" class="apart" method="post" action="{{ route('thermometers.service', $thermometer) }}" data-keep>
                <x-form-id />
                <div class="fields">
                    <x-field name="place" label="Place" help="like cooking line; alike probes in one place are pooled" maxlength="60" :value="$service->place" />
                    <x-field name="tolerance_c" label="Tolerance, ± °C" help="0.5 critical, 1 food use, 1.5 ambient" inputmode="decimal" :value="$service->tolerance_c" />
                    <x-field name="tolerance_standard" label="Or by standard"><select class="form-select" id="f-tolerance_standard" name="tolerance_standard"><option value="">none</option>@foreach (ToleranceClass::standards() as $standard)<option @selected(old('tolerance_standard', $service->tolerance_standard) === $standard)>{{ $standard }}</option>@endforeach</select></x-field>
                    <x-field name="tolerance_class" label="Its class"><select class="form-select" id="f-tolerance_class" name="tolerance_class"><option value="">none</option>@foreach (ToleranceClass::classes() as $class)<option @selected(old('tolerance_class', $service->tolerance_class) === $class)>{{ $class }}</option>@endforeach</select></x-field>
                    <x-field name="r0_ohm" label="R0, Ω" help="100 or 1000; for an RTD" inputmode="decimal" :value="$service->r0_ohm" />
                    <x-field name="unit" label="Reads in"><select class="form-select" id="f-unit" name="unit"><option value="C" @selected(old('unit', $service->unit) === 'C')>°C</option><option value="F" @selected(old('unit', $service->unit) === 'F')>°F</option></select></x-field>
                    <x-field name="use_low_c" label="Used from, °C" inputmode="decimal" :value="$service->use_low_c" />
                    <x-field name="use_high_c" label="Used up to, °C" inputmode="decimal" :value="$service->use_high_c" />
                    <x-field name="immersion_mm" label="Immersion, mm" help="dials 50–75, else ten diameters beyond the sensor" inputmode="numeric" :value="$service->immersion_mm" />
                    <x-field name="interval_days" label="First interval, days" inputmode="numeric" :value="$service->interval_days" />
                    <x-field name="cap_days" label="Longest a third party allows, days" inputmode="numeric" :value="$service->cap_days" />
                    <x-field name="certificate" label="Certificate, of a reference" maxlength="60" :value="$service->certificate" />
                    <x-field name="certificate_expanded_u_c" label="Its uncertainty, °C (k = 2)" inputmode="decimal" :value="$service->certificate_expanded_u_c" />
                    <x-field name="certificate_due_on" label="It holds until" help="day, like 2027-06-30" :value="$service->certificate_due_on?->toDateString()" />
                    <fieldset class="wide"><legend class="form-label">What it suffers</legend>@foreach (Stress::cases() as $stress)<label class="form-check"><input class="form-check-input" type="checkbox" name="stresses[]" value="{{ $stress->value }}" @checked(in_array($stress->value, (array) old('stresses', $service->stresses), true))> {{ ThermometerWords::stress($stress) }}</label>@endforeach</fieldset>
                    <label class="form-check wide"><input class="form-check-input" type="checkbox" name="each_batch" value="1" @checked(old('each_batch', $service->each_batch))> before and after every batch: the batch is worth more than the check</label>
                </div>
                <button class="do quiet apart">It holds from now on</button>
            </form>
        </details>
    @endif
    <x-slot:act><a href="{{ route('labels', ['code' => $thermometer->code]) }}">Label</a>@if (Gate::allows('record'))<a class="do" href="{{ route('verify.show', $thermometer) }}" data-primary>Check it <kbd>Enter</kbd></a>@endif</x-slot>
    <x-slot:evidence>
        @if ($newest = $thermometer->newestVerification)
            <h2>Next date</h2><p><b>{{ Rheacid\SiteClock::day($newest->due_at) }}</b><br>{{ $newest->interval_why }}</p>
            <h2>Range covered</h2><p>{{ $screen->covered }}</p>
            @if ($screen->gaps !== [])<p><x-state is="care">Not covered: {{ implode(', ', $screen->gaps) }}.</x-state><br><span class="soft">Readings there are marked. A boiling or comparison check within {{ Rheacid\Core\Celsius::by(10) }} of a limit covers it.</span></p>@endif
        @endif
        @if ($service->certificate)<h2>Certificate</h2><p>{{ $service->certificate }}, ± {{ Rheacid\Core\Celsius::by($service->certificate_expanded_u_c) }}, until {{ Rheacid\SiteClock::day($service->certificate_due_on) }}</p>@endif
        <p class="note">Drift is a few hundredths of a degree a year at low temperatures, about {{ Rheacid\Core\Celsius::by(0.3) }} a year at {{ Rheacid\Core\Celsius::between(400, 500) }}. Common practice.</p>
    </x-slot>
</x-house>
