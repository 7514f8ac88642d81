@use(Rheacid\Core\Thermometry\VerificationMethod)
@use(Rheacid\Core\Words\ThermometerWords)
@php($thermometer = $screen->thermometer)
@php($unit = old('unit', $screen->service->unit))
@php($source = is_string(old('source')) ? old('source') : 'typed')
<x-house :title="'Verify · ' . $thermometer->code . ' ' . $thermometer->name" room="Verify">
    <p class="what">{{ $thermometer->kind->words() }}{{ $screen->service->place ? ' · ' . $screen->service->place
        : '' }} · tolerance ± {{ Rheacid\Core\Celsius::by($screen->service->tolerance_c) }}{{ $screen->service->tolerance_class ? ', '
        . $screen->service->tolerance_standard . ' class ' . $screen->service->tolerance_class : '' }} <x-thermometer-state :line="$screen->line" /></p>
    <nav class="methods" aria-label="Method of the check">
        @foreach ($thermometer->kind->isRtd() ? VerificationMethod::cases() : VerificationMethod::read() as $method)<a
            href="{{ route('verify.show', [$thermometer, 'method' => $method->value]) }}" @if ($method === $screen->method) aria-current="page"
            @endif>{{ ucfirst(ThermometerWords::method($method)) }}</a>@endforeach
    </nav>
    @if (Gate::allows('record'))
    <form id="check" method="post" action="{{ route('verify.store', $thermometer) }}" data-keep>
        <x-form-id />
        {{-- Enter in a field records the check; the buttons of the bath come later. --}}
        <button class="visually-hidden" tabindex="-1" aria-hidden="true">Record check</button>
        <input type="hidden" name="method" value="{{ $screen->method->value }}">
        <input type="hidden" name="source" value="{{ $source }}">
        <div class="bath">
            <x-bath :screen="$screen" />
            <div>
                <x-tick name="bath[]" value="all" data-ticks-all :checked="in_array('all', (array) old('bath', []), true)"><b>everything as drawn</b></x-tick>
                @foreach ($screen->ticks() as $key => $words)<x-tick name="bath[]" class="tick-{{ $key }}" :value="$key"
                    :checked="in_array($key, (array) old('bath', []), true)">{{ $words }}</x-tick>@endforeach
                @if ($screen->method === VerificationMethod::Boiling)<p class="caution">
                    Steam and boiling water burn. Wear gloves and long sleeves, and keep your face away. Follow your site’s rules and local codes.</p>@endif
            </div>
        </div>
        <div class="fields narrow">
            @if ($screen->method === VerificationMethod::Rtd)
                <x-field name="ohm" label="Resistance at the ice point" help="Ω, four wires if you can" inputmode="decimal" autofocus />
                <x-field name="insulation" label="Insulation at room temperature" help="MΩ between leads and sheath" inputmode="decimal" />
            @else
                @foreach (range(0, 2) as $i)<x-field name="readings[{{ $i }}]" :label="['First reading', 'Second', 'Third'][$i]" inputmode="text" />@endforeach
                <x-choice name="unit" label="Unit" :options="['C' => '°C', 'F' => '°F']" :value="$unit" />
                @if ($screen->method === VerificationMethod::Boiling)
                    <x-field name="pressure" label="Air pressure" help="in kPa, hPa or mmHg, as your barometer shows it" inputmode="text" />
                    <x-choice name="reduced" label="Kind of pressure" :options="['' => 'as the site’s barometer shows it' . ($screen->barometer === null ? ''
                        : ': ' . $screen->barometer->words()), 'no' => 'measured here, at this elevation',
                        'yes' => 'reduced to sea level, from a weather report']" />
                    <x-field name="elevation" label="Or elevation" :help="'less certain: weather changes the boiling point by ' . Rheacid\Core\Celsius::by(0.8)
                        . ($screen->elevation === null ? '' : '; this site is at ' . Rheacid\Core\Numbers::plain($screen->elevation) . ' m')"
                        inputmode="text" />
                @elseif ($screen->method === VerificationMethod::Comparison)
                    <x-choice name="reference" label="Reference thermometer"
                        :options="['' => 'choose', ...$screen->references->mapWithKeys(fn ($reference) => [$reference->code => $reference->code . ' · ± '
                        . Rheacid\Core\Celsius::by($reference->service()->certificate_expanded_u_c)])]"
                        :value="$screen->references->count() === 1 ? $screen->references->first()->code : ''" />
                    <x-field name="reference_c" label="Reference reading" :help="Rheacid\Core\Celsius::example()" inputmode="text" />
                @endif
            @endif
        </div>
        @error('readings')<p class="problem">{{ $message }}</p>@enderror
        @if ($source !== 'typed')<p class="what">{{ $source === 'simulated' ? 'These readings come from the simulated bath, not from a real probe.'
            : 'These readings come from the file, where the value was stable.' }}</p>@endif
        @if ($screen->baths !== [])
            <section class="bench" aria-labelledby="bath-title"><div class="bench-row"><h2 id="bath-title">Simulated bath (not a real one): dip the probe</h2>
                @foreach ($screen->baths as $bath)<button formaction="{{ route('verify.dip', $thermometer) }}" name="dip"
                    value="{{ $bath->value }}">{{ $bath->words() }}</button>@endforeach
            </div></section>
        @endif
    </form>
    @else
        <p class="what">Auditors read here and record nothing.</p>
    @endif
    @if ($screen->method !== VerificationMethod::Rtd && Gate::allows('record'))
        <details class="apart"><summary>Readings from a logger’s file</summary>
            <form method="post" action="{{ route('verify.log', $thermometer) }}" enctype="multipart/form-data"><x-form-id />
                <input type="hidden" name="method" value="{{ $screen->method->value }}">
                <x-field name="log" label="Log file" help="two columns: seconds and temperature; stable stretches become readings">
                    <input class="form-control" id="f-log" type="file" name="log" accept=".csv,.txt,text/csv,text/plain"></x-field>
                    <button class="do quiet apart">Use its readings</button></form>
        </details>
    @endif
    @if (in_array($screen->method, [VerificationMethod::Ice, VerificationMethod::Rtd], true))
        <h2>Common mistakes</h2>
        <div class="mistakes">
            <figure><svg viewBox="0 0 120 90" role="img" aria-label="Ice cubes floating in a lot of water"><path class="water" d="M16 22h88l-6 60h-76z"/>
                <path class="vessel" d="M12 12l8 74h80l8-74"/>@foreach ([[26, 18], [50, 14], [74, 20]] as [$x, $y])
                <rect class="ice" x="{{ $x }}" y="{{ $y }}" width="17" height="17"/>@endforeach<rect class="probe" x="58" y="0" width="5" height="66" rx="2"/>
                </svg><figcaption><b>Ice cubes in a lot of water</b> read high by {{ Rheacid\Core\Celsius::between(1, 2) }}</figcaption></figure>
            <figure><svg viewBox="0 0 120 90" role="img" aria-label="The probe at the wall"><path class="water" d="M16 16h88l-6 66h-76z"/>
                <path class="vessel" d="M12 8l8 78h80l8-78"/><rect class="probe" x="93" y="0" width="5" height="66" rx="2"/></svg><figcaption>
                <b>Probe at the wall</b> reads high by up to {{ Rheacid\Core\Celsius::by(1) }}</figcaption></figure>
            <figure><svg viewBox="0 0 120 90" role="img" aria-label="The stem is not immersed"><path class="water" d="M16 30h88l-6 52h-76z"/>
                <path class="vessel" d="M12 22l8 64h80l8-64"/><rect class="probe" x="58" y="0" width="5" height="38" rx="2"/></svg><figcaption>
                <b>Not deep enough</b> reads towards room temperature</figcaption></figure>
            <figure><svg viewBox="0 0 120 90" role="img" aria-label="Salt in the ice"><path class="water" d="M16 16h88l-6 66h-76z"/>
                <path class="vessel" d="M12 8l8 78h80l8-78"/><rect class="probe" x="58" y="0" width="5" height="66" rx="2"/>
                @foreach ([[34, 40], [44, 60], [76, 46], [84, 66], [40, 28]] as [$x, $y])<circle class="salt" cx="{{ $x }}" cy="{{ $y }}" r="2.5"/>@endforeach
                </svg><figcaption><b>Salt in the ice</b> reads low</figcaption></figure>
        </div>
    @endif
    @if (Gate::allows('record'))
        <x-slot:act><a href="{{ route('thermometers.show', $thermometer) }}">History</a><button class="do" form="check"
            data-primary>Record check <kbd>Enter</kbd></button></x-slot>
    @endif
    <x-slot:evidence>
        <h2>Based on</h2>
        <dl>
            <dt>{{ ucfirst(ThermometerWords::method($screen->method)) }}</dt>
            <dd>{{ match ($screen->method) {
                VerificationMethod::Boiling => 'pure water, from the pressure here, ± ' . Rheacid\Core\Celsius::by(0.3) . '; from the elevation ± '
                    . Rheacid\Core\Celsius::by(0.8),
                VerificationMethod::Comparison => 'a reference thermometer with a valid certificate',
                default => Rheacid\Core\Celsius::at(0, 1) . ' ± ' . Rheacid\Core\Celsius::bareBy(0.1, 1) . ', crushed ice slush',
            } }}</dd>
            <dt>Range covered</dt><dd>{{ $screen->coverage() }}</dd>
        </dl>
        @if ($screen->last)
            <h2>Last check</h2>
            <p><a href="{{ route('verifications.show', $screen->last) }}">{{ Rheacid\Site\SiteClock::short($screen->last->at) }}</a>,
                {{ ThermometerWords::method($screen->last->method) }}: {{ ThermometerWords::error($screen->last->error_c, $screen->last->expanded_u_c) }}</p>
            @if ($screen->wouldConfirm())<p class="soft">
                A check here can confirm it{{ $screen->method === VerificationMethod::Ice ? ', if you tick how the bath is made' : ' within '
                . Rheacid\Core\Celsius::by(2) . ' of ' . Rheacid\Core\Celsius::at($screen->last->reference_c, 1)
                . '' }}. A correction is used only after a fresh bath has shown the same error.</p>@endif
            @if ($screen->last->outcome?->outcome === Rheacid\Core\Thermometry\Outcome::Adjusted)<p>
                <x-state is="care">It was adjusted. This check is the as-left state.</x-state></p>@endif
        @endif
        @if ($thermometer->kind === Rheacid\Core\Thermometry\ThermometerKind::Glass)<p class="caution">
            Keep glass thermometers away from food. If one breaks, treat everything within reach as contaminated with glass. Collect mercury by your site’s
            rules and local codes.</p>@endif
        <p class="note">If all probes in one bath read high by {{ Rheacid\Core\Celsius::by(1) }} or more, suspect the bath first. Use a thin probe for thin
            food. Product on the probe makes it slow.</p>
    </x-slot>
</x-house>
