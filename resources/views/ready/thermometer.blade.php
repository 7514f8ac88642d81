@use(Rheacid\Core\Thermometry\Outcome)
@use(Rheacid\Core\Thermometry\Stress)
@use(Rheacid\Core\Thermometry\ToleranceClass)
@use(Rheacid\Core\Words\ThermometerWords)
@php($thermometer = $screen->thermometer)
@php($service = $screen->service)
<x-house :title="$thermometer->name" room="Verify">
    <p class="verdict"><x-thermometer-state :line="$screen->line" /></p>
    <p class="what">{{ $thermometer->kind->words() }}, shows {{ Rheacid\Core\Celsius::by($thermometer->resolution_c) }}{{ $service->place ? ' · '
        . $service->place : '' }} · tolerance ± {{ Rheacid\Core\Celsius::by($service->tolerance_c) }} · used at
        {{ Rheacid\Core\Celsius::between($service->use_low_c, $service->use_high_c) }}</p>
    @if ($screen->chart)<x-history-chart :figure="$screen->chart" />@endif
    <h2>Checks</h2>
    <table class="stack">
        <caption class="visually-hidden">Checks</caption>
        <thead><tr><th scope="col">Checked</th><th scope="col">Method</th><th scope="col">Error</th><th scope="col">Correction</th><th scope="col">Range covered
            </th><th scope="col">Next check</th></tr></thead>
        @forelse ($screen->verifications as $check)
            <tr>
                <td><a class="cell-link"
                    href="{{ route('verifications.show', $check) }}">{{ Rheacid\Site\SiteClock::short($check->at) }}</a> {{ $check->person->name }}</td>
                <td>{{ ThermometerWords::method($check->method) }}{{ $check->as_left ? ', as left' : '' }}</td>
                <td class="num">{{ Rheacid\Core\Celsius::bareBy($check->error_c, 1) }} <small>± {{ Rheacid\Core\Celsius::bareBy($check->expanded_u_c,
                    1) }} {{ Rheacid\Core\Celsius::unit() }}</small></td>
                <td>{{ $check->outcome?->outcome === Outcome::Correct ? Rheacid\Core\Celsius::by($check->corrected(20) - 20, 1) . '' : 'none' }}</td>
                <td>{{ Rheacid\Core\Celsius::between($check->verified_low_c, $check->verified_high_c) }}</td>
                <td><x-state :is="Rheacid\View\Verify\VerificationScreen::sign($check->verdict)">{{ Rheacid\Site\SiteClock::short($check
                    ->due_at) }}</x-state></td>
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
                    <x-field name="place" label="Place" help="for example cooking line; similar probes in one place share their history" maxlength="60"
                        :value="$service->place" />
                    <x-field name="tolerance_c" label="Tolerance, ± °C"
                        :help="collect([0.5, 1, 1.5])->map(fn ($one) => Rheacid\Core\Numbers::plain($one))->zip(['critical', 'food',
                        'room'])->map(fn ($pair) => $pair->join(' '))->join(', ')" inputmode="decimal" :value="$service->tolerance_c" />
                    <x-choice name="tolerance_standard" label="Or by standard"
                        :options="['' => 'none', ...array_combine(ToleranceClass::standards(), ToleranceClass::standards())]"
                        :value="$service->tolerance_standard" />
                    <x-choice name="tolerance_class" label="Class" :options="['' => 'none'] + array_combine(ToleranceClass::classes(),
                        ToleranceClass::classes())" :value="$service->tolerance_class" />
                    <x-field name="r0_ohm" label="R0, Ω" help="100 or 1000, for an RTD" inputmode="decimal" :value="$service->r0_ohm" />
                    <x-choice name="unit" label="Display unit" :options="['C' => '°C', 'F' => '°F']" :value="$service->unit" />
                    <x-field name="use_low_c" label="Used from, °C" inputmode="decimal" :value="$service->use_low_c" />
                    <x-field name="use_high_c" label="Used up to, °C" inputmode="decimal" :value="$service->use_high_c" />
                    <x-field name="immersion_mm" label="Immersion, mm" help="dial thermometers 50–75; others ten diameters beyond the sensor"
                        inputmode="numeric" :value="$service->immersion_mm" />
                    <x-field name="interval_days" label="First interval, days" inputmode="numeric" :value="$service->interval_days" />
                    <x-field name="cap_days" label="Longest interval allowed by a third party, days" inputmode="numeric" :value="$service->cap_days" />
                    <x-field name="certificate" label="Certificate, for a reference thermometer" maxlength="60" :value="$service->certificate" />
                    <x-field name="certificate_expanded_u_c" label="Certificate uncertainty, °C (k = 2)" inputmode="decimal"
                        :value="$service->certificate_expanded_u_c" />
                    <x-field name="certificate_due_on" label="Certificate valid until" help="date, like 2027-06-30"
                        :value="$service->certificate_due_on?->toDateString()" />
                    <fieldset class="wide"><legend class="form-label">Conditions of use</legend>@foreach (Stress::cases() as $stress)
                        <x-tick name="stresses[]" :value="$stress->value" :checked="in_array($stress->value, (array) old('stresses', $service->stresses),
                        true)">{{ ThermometerWords::stress($stress) }}</x-tick>@endforeach</fieldset>
                    <x-tick name="each_batch" class="wide" :checked="old('each_batch', $service->each_batch)">Check before and after every batch</x-tick>
                </div>
                <button class="do quiet apart">Save</button>
            </form>
        </details>
    @endif
    <x-slot:act><a href="{{ route('labels', ['code' => $thermometer->code]) }}">Label</a>@if (Gate::allows('record'))<a class="do"
        href="{{ route('verify.show', $thermometer) }}" data-primary>Check <kbd>Enter</kbd></a>@endif</x-slot>
    <x-slot:evidence>
        @if ($newest = $thermometer->newestVerification)
            <h2>Next check</h2><p><b>{{ Rheacid\Site\SiteClock::day($newest->due_at) }}</b><br>{{ $newest->interval_why }}</p>
            <h2>Range covered</h2><p>{{ $screen->covered }}</p>
            @if ($screen->gaps !== [])<p><x-state is="care">Not covered: {{ implode(', ', $screen->gaps) }}.</x-state><br><span
                class="soft">Readings there are marked. A boiling-point or comparison check within {{ Rheacid\Core\Celsius::by(10) }} of a limit covers
                it.</span></p>@endif
        @endif
        @if ($service->certificate)<h2>Certificate</h2><p>
            {{ $service->certificate }}, ± {{ Rheacid\Core\Celsius::by($service->certificate_expanded_u_c) }}, until
            {{ Rheacid\Site\SiteClock::day($service->certificate_due_on) }}</p>@endif
        <p class="note">Typical drift: a few hundredths of a degree per year at low temperatures, about {{ Rheacid\Core\Celsius::by(0.3) }} per year at
            {{ Rheacid\Core\Celsius::between(400, 500) }}. Common practice, no source.</p>
    </x-slot>
</x-house>
