<x-house title="Reference temperatures" room="Verify">
    @if ($wrong !== [])<div class="problems" role="alert"><p>The cost could not be calculated. Correct the fields below.</p></div>@endif
    <div class="tables">
        <div><h2>Boiling point of water</h2><table><caption class="visually-hidden">Boiling point of water</caption><thead><tr><th scope="col">hPa</th>
            <th scope="col">°C</th></tr></thead>@foreach ($boiling as [$hpa, $celsius])<tr><td>{{ $hpa }}</td><td class="num">
            {{ Rheacid\Core\Numbers::fixed($celsius, 2) }}</td></tr>@endforeach</table></div>
        <div><h2>By elevation, standard atmosphere</h2><table><caption class="visually-hidden">By elevation, standard atmosphere</caption><thead><tr>
            <th scope="col">m</th><th scope="col">kPa</th><th scope="col">°C</th></tr></thead>@foreach ($heights as [$metres, $kpa, $celsius])<tr><td>
            {{ $metres }}</td><td>{{ Rheacid\Core\Numbers::fixed($kpa, 1) }}</td><td class="num">{{ Rheacid\Core\Numbers::fixed($celsius, 1) }}</td></tr>
            @endforeach</table><p class="soft">Weather changes it by up to ± {{ Rheacid\Core\Celsius::by(0.8) }}.{{ $site === null ? '' : ' This site is at '
            . Rheacid\Core\Numbers::plain($site) . ' m.' }}</p></div>
        <div><h2>Pt100 (Pt1000: ten times)</h2><table><caption class="visually-hidden">Pt100 (Pt1000: ten times)</caption><thead><tr><th scope="col">°C</th>
            <th scope="col">Ω</th></tr></thead>@foreach ($platinum as [$celsius, $ohm])<tr><td>{{ Rheacid\Core\Numbers::plain($celsius) }}</td><td class="num">
            {{ Rheacid\Core\Numbers::fixed($ohm, 2) }}</td></tr>@endforeach</table></div>
        <div><h2>°C and °F</h2><table><caption class="visually-hidden">°C and °F</caption><thead><tr><th scope="col">°C</th><th scope="col">°F</th></tr></thead>
            @foreach ($scales as [$celsius, $fahrenheit])<tr><td>{{ Rheacid\Core\Numbers::plain($celsius) }}</td><td class="num">
            {{ Rheacid\Core\Numbers::fixed($fahrenheit, 1) }}</td></tr>@endforeach</table></div>
    </div>
    <h2>Cost of a temperature error</h2>
    <form id="cost" action="{{ route('verify.reference') }}">
        <div class="fields">
            @foreach (['kg_h' => 'Water heated, kg/h', 'hours' => 'Hours per year', 'error' => 'Heated too far by, °C', 'efficiency' => 'Efficiency, %',
                'price' => 'Price per kWh'] as $name => $label)
                <div>
                    <label class="form-label" for="f-{{ $name }}">{{ $label }}</label>
                    <input class="form-control" id="f-{{ $name }}" name="{{ $name }}" inputmode="decimal" autocomplete="off" value="{{ $values[$name] }}"
                        @isset($wrong[$name]) aria-invalid="true" aria-describedby="f-{{ $name }}-help" @endisset>
                    @isset($wrong[$name])<p class="problem" id="f-{{ $name }}-help">{{ $wrong[$name][0] }}</p>@endisset
                </div>
            @endforeach
        </div>
    </form>
    @if ($cost)<p class="verdict"><b>{{ Rheacid\Core\Numbers::fixed($cost['cost'], 0) }}</b> per year, for {{ Rheacid\Core\Numbers::fixed($cost['kwh'],
        0) }} kWh of unnecessary heating.</p>@endif
    <x-slot:act><a href="{{ route('verify') }}">Back</a><a href="#" data-print>Print</a><button class="do" form="cost"
        data-primary>Calculate <kbd>Enter</kbd></button></x-slot>
    <x-slot:evidence><h2>Sources</h2><dl><dt>Boiling point</dt><dd>IAPWS-IF97, region 4</dd><dt>Pressure by elevation</dt><dd>standard atmosphere, ISO 2533</dd>
        <dt>Platinum</dt><dd>IEC 60751, Callendar–Van Dusen</dd><dt>Cost</dt><dd>m · c · ΔT ÷ efficiency × price, c = 4.18 kJ/(kg K)</dd></dl><p class="note">
        Formulae from memory, checked against general-purpose libraries.</p></x-slot>
</x-house>
