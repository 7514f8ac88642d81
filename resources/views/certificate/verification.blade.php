@php($screen = $certificate->screen)
@php($check = $screen->check)
<table>
    <tr><th>Thermometer</th><td>
        {{ $check->thermometer->code }} · {{ $check->thermometer->name }}, {{ $check->thermometer->kind->words() }}, resolution
        {{ Rheacid\Core\Celsius::by($check->thermometer->resolution_c) }}</td></tr>
    <tr><th>Verified</th><td>
        {{ Rheacid\Site\SiteClock::full($check->at) }}, by {{ $check->person->name }},
        {{ Rheacid\Core\Words\ThermometerWords::method($check->method) }}{{ $check->as_left ? ', as left' : '' }}</td></tr>
    <tr><th>Reference</th><td>{{ $check->rests_on }}</td></tr>
    <tr><th>Readings</th><td>{{ $screen->readings() === [] ? $screen->read() : implode('; ', $screen->readings()) . ' °' . ($screen->check->unit ?? 'C') }}
        </td></tr>
    <tr><th>Error</th><td>{{ Rheacid\Core\Celsius::by($check->error_c, 2) }}, expanded uncertainty {{ Rheacid\Core\Celsius::by($check->expanded_u_c,
        2) }} (k = 2)</td></tr>
    <tr><th>Tolerance</th><td>± {{ Rheacid\Core\Celsius::by($check->tolerance_c ?? 1.0) }}</td></tr>
    <tr><th>Verdict</th><td><strong>{{ $screen->first->head }}</strong> {{ $screen->first->sentence }}</td></tr>
    @if ($check->insulation_megaohm !== null)<tr><th>Insulation</th><td>
        {{ Rheacid\Core\Numbers::plain($check->insulation_megaohm) }} MΩ; at least 100 MΩ is required</td></tr>@endif
    <tr><th>Range covered</th><td>{{ Rheacid\Core\Celsius::between($check->verified_low_c, $check->verified_high_c) }}</td></tr>
    <tr><th>Outcome</th><td>{{ $check->outcome === null ? 'not decided yet' : Rheacid\Core\Words\ThermometerWords::outcome($check->outcome->outcome)
        . ($check->outcome->outcome === Rheacid\Core\Thermometry\Outcome::Correct ? ', correction ' . $screen->correction : '') . ', '
        . $check->outcome->person->name }}</td></tr>
    <tr><th>Next check</th><td>{{ Rheacid\Site\SiteClock::day($check->due_at) }}. {{ $check->interval_why }}</td></tr>
</table>
<p>Guarded acceptance: a thermometer passes only if error plus uncertainty stay within the tolerance. Ledger head at printing: {{ $certificate->head }}</p>
