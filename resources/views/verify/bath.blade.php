@use(Rheacid\Core\Thermometry\VerificationMethod)
@use(Rheacid\Core\Words\ThermometerWords)
@php($thermometer = $screen->thermometer)
@php($unit = old('unit', $screen->service->unit))
@php($source = is_string(old('source')) ? old('source') : 'typed')
<x-house :title="'Verify · ' . $thermometer->code . ' ' . $thermometer->name" room="Verify">
    <p class="what">{{ $thermometer->kind->words() }}{{ $screen->service->place ? ' · ' . $screen->service->place : '' }} · tolerance ± {{ Rheacid\Core\Celsius::by($screen->service->tolerance_c) }}{{ $screen->service->tolerance_class ? ', ' . $screen->service->tolerance_standard . ' class ' . $screen->service->tolerance_class : '' }} <x-thermometer-state :line="$screen->line" /></p>
    <nav class="methods" aria-label="How it is checked">
        @foreach ($thermometer->kind->isRtd() ? VerificationMethod::cases() : VerificationMethod::read() as $method)<a href="{{ route('verify.show', [$thermometer, 'method' => $method->value]) }}" @if ($method === $screen->method) aria-current="page" @endif>{{ ucfirst(ThermometerWords::method($method)) }}</a>@endforeach
    </nav>
    @if (Gate::allows('record'))
    <form id="check" method="post" action="{{ route('verify.store', $thermometer) }}" data-keep>
        <x-form-id />
        {{-- Enter in a field judges; the buttons of the bath come later. --}}
        <button class="visually-hidden" tabindex="-1" aria-hidden="true">Judge</button>
        <input type="hidden" name="method" value="{{ $screen->method->value }}">
        <input type="hidden" name="source" value="{{ $source }}">
        <div class="bath">
            <x-bath :screen="$screen" />
            <div>
                <label class="form-check"><input class="form-check-input" type="checkbox" name="bath[]" value="all" data-ticks-all @checked(in_array('all', (array) old('bath', []), true))> <b>all as drawn</b></label>
                @foreach ($screen->ticks() as $key => $words)<label class="form-check tick-{{ $key }}"><input class="form-check-input" type="checkbox" name="bath[]" value="{{ $key }}" @checked(in_array($key, (array) old('bath', []), true))> {{ $words }}</label>@endforeach
                @if ($screen->method === VerificationMethod::Boiling)<p class="caution">Steam and boiling water burn: glove, sleeve, face away. Follow your site’s rules and local codes.</p>@endif
            </div>
        </div>
        <div class="fields narrow">
            @if ($screen->method === VerificationMethod::Rtd)
                <x-field name="ohm" label="Resistance at the ice point" help="Ω, four wires if you can" inputmode="decimal" autofocus />
                <x-field name="insulation" label="Insulation, at room temperature" help="MΩ between leads and sheath; the check that most people skip" inputmode="decimal" />
            @else
                @foreach (range(0, 2) as $i)<x-field name="readings[{{ $i }}]" :label="['First reading', 'Second', 'Third'][$i]" inputmode="text" />@endforeach
                <x-field name="unit" label="Read in"><select class="form-select" id="f-unit" name="unit"><option value="C" @selected($unit === 'C')>°C</option><option value="F" @selected($unit === 'F')>°F</option></select></x-field>
                @if ($screen->method === VerificationMethod::Boiling)
                    <x-field name="pressure" label="Air pressure" help="kPa, hPa or mmHg: as a barometer here reads it" inputmode="text" />
                    <x-field name="reduced" label="Which pressure is it?"><select class="form-select" id="f-reduced" name="reduced"><option value="" @selected(old('reduced') === null || old('reduced') === '')>as the site’s barometer gives it{{ $screen->barometer === null ? '' : ': ' . $screen->barometer->words() }}</option><option value="no" @selected(old('reduced') === 'no')>read here, at this height</option><option value="yes" @selected(old('reduced') === 'yes')>reduced to sea level, from a weather report</option></select></x-field>
                    <x-field name="elevation" label="Or the elevation" :help="'poorer: weather moves it by ' . Rheacid\Core\Celsius::by(0.8) . ($screen->elevation === null ? '' : '; the site lies at ' . Rheacid\Core\Numbers::plain($screen->elevation) . ' m')" inputmode="text" />
                @elseif ($screen->method === VerificationMethod::Comparison)
                    <x-field name="reference" label="Reference thermometer"><select class="form-select" id="f-reference" name="reference"><option value="">choose</option>@foreach ($screen->references as $reference)<option value="{{ $reference->code }}" @selected(old('reference') === $reference->code || $screen->references->count() === 1)>{{ $reference->code }} · ± {{ Rheacid\Core\Celsius::by($reference->service()->certificate_expanded_u_c) }}</option>@endforeach</select></x-field>
                    <x-field name="reference_c" label="It reads" :help="Rheacid\Core\Celsius::unit() . ', or with its unit'" inputmode="text" />
                @endif
            @endif
        </div>
        @error('readings')<p class="problem">{{ $message }}</p>@enderror
        @if ($source !== 'typed')<p class="what">{{ $source === 'simulated' ? 'These readings come from the simulated bath, not from a real probe.' : 'These readings come from the file, where it had come to rest.' }}</p>@endif
        @if ($screen->baths !== [])
            <section class="bench" aria-labelledby="bath-title"><div class="bench-row"><h2 id="bath-title">Simulated bath, not a real one: dip the probe</h2>
                @foreach ($screen->baths as $bath)<button formaction="{{ route('verify.dip', $thermometer) }}" name="dip" value="{{ $bath->value }}">{{ $bath->words() }}</button>@endforeach
            </div></section>
        @endif
    </form>
    @else
        <p class="what">Checkers and leads do this. What was recorded can be read.</p>
    @endif
    @if ($screen->method !== VerificationMethod::Rtd && Gate::allows('record'))
        <details class="apart"><summary>Readings from a logger’s file</summary>
            <form method="post" action="{{ route('verify.log', $thermometer) }}" enctype="multipart/form-data"><x-form-id /><input type="hidden" name="method" value="{{ $screen->method->value }}">
                <x-field name="log" label="Log file" help="seconds and temperature in two columns; the readings are taken where it had come to rest"><input class="form-control" id="f-log" type="file" name="log" accept=".csv,.txt,text/csv,text/plain"></x-field><button class="do quiet apart">Take its readings</button></form>
        </details>
    @endif
    @if (in_array($screen->method, [VerificationMethod::Ice, VerificationMethod::Rtd], true))
        <h2>What would spoil it</h2>
        <div class="mistakes">
            <figure><svg viewBox="0 0 120 90" role="img" aria-label="ice cubes floating in much water"><path class="water" d="M16 22h88l-6 60h-76z"/><path class="vessel" d="M12 12l8 74h80l8-74"/>@foreach ([[26, 18], [50, 14], [74, 20]] as [$x, $y])<rect class="ice" x="{{ $x }}" y="{{ $y }}" width="17" height="17"/>@endforeach<rect class="probe" x="58" y="0" width="5" height="66" rx="2"/></svg><figcaption><b>Cubes in much water</b> reads high by {{ Rheacid\Core\Celsius::by(1) }} or twice that</figcaption></figure>
            <figure><svg viewBox="0 0 120 90" role="img" aria-label="the probe at the wall"><path class="water" d="M16 16h88l-6 66h-76z"/><path class="vessel" d="M12 8l8 78h80l8-78"/><rect class="probe" x="93" y="0" width="5" height="66" rx="2"/></svg><figcaption><b>At the wall</b> reads high, up to {{ Rheacid\Core\Celsius::by(1) }}</figcaption></figure>
            <figure><svg viewBox="0 0 120 90" role="img" aria-label="the stem is not immersed"><path class="water" d="M16 30h88l-6 52h-76z"/><path class="vessel" d="M12 22l8 64h80l8-64"/><rect class="probe" x="58" y="0" width="5" height="38" rx="2"/></svg><figcaption><b>Not deep enough</b> reads towards the room</figcaption></figure>
            <figure><svg viewBox="0 0 120 90" role="img" aria-label="salt in the ice"><path class="water" d="M16 16h88l-6 66h-76z"/><path class="vessel" d="M12 8l8 78h80l8-78"/><rect class="probe" x="58" y="0" width="5" height="66" rx="2"/>@foreach ([[34, 40], [44, 60], [76, 46], [84, 66], [40, 28]] as [$x, $y])<circle class="salt" cx="{{ $x }}" cy="{{ $y }}" r="2.5"/>@endforeach</svg><figcaption><b>Salt in the ice</b> reads low</figcaption></figure>
        </div>
    @endif
    @if (Gate::allows('record'))
        <x-slot:act><a href="{{ route('thermometers.show', $thermometer) }}">Its history</a><button class="do" form="check" data-primary>Judge these readings <kbd>Enter</kbd></button></x-slot>
    @endif
    <x-slot:evidence>
        <h2>Rests on</h2>
        <dl>
            <dt>{{ ucfirst(ThermometerWords::method($screen->method)) }}</dt>
            <dd>{{ match ($screen->method) {
                VerificationMethod::Boiling => 'pure water by the pressure at the pot, ± ' . Rheacid\Core\Celsius::by(0.3) . '; by elevation ± ' . Rheacid\Core\Celsius::by(0.8),
                VerificationMethod::Comparison => 'a thermometer with a certificate in date',
                default => Rheacid\Core\Celsius::at(0, 1) . ' ± ' . Rheacid\Core\Celsius::bareBy(0.1, 1) . ', crushed slush',
            } }}</dd>
            <dt>Covers</dt><dd>{{ $screen->coverage() }}</dd>
        </dl>
        @if ($screen->last)
            <h2>Last check</h2>
            <p><a href="{{ route('verifications.show', $screen->last) }}">{{ Rheacid\SiteClock::short($screen->last->at) }}</a>, {{ ThermometerWords::method($screen->last->method) }}: {{ ThermometerWords::error($screen->last->error_c, $screen->last->expanded_u_c) }}</p>
            @if ($screen->wouldConfirm())<p class="soft">This bath can confirm it{{ $screen->method === VerificationMethod::Ice ? ', if what it is made of is ticked' : ' within ' . Rheacid\Core\Celsius::by(2) . ' of ' . Rheacid\Core\Celsius::at($screen->last->reference_c, 1) . '' }}: a correction is used only after a fresh bath has shown it again.</p>@endif
            @if ($screen->last->outcome?->outcome === Rheacid\Core\Thermometry\Outcome::Adjusted)<p><x-state is="care">It was adjusted: this check is its state as left.</x-state></p>@endif
        @endif
        @if ($thermometer->kind === Rheacid\Core\Thermometry\ThermometerKind::Glass)<p class="caution">Glass, and mercury in it, never near food: a broken one makes everything within reach a foreign-body case. Collect mercury by your site’s rules and local codes.</p>@endif
        <p class="note">All probes of one bath high by {{ Rheacid\Core\Celsius::by(1) }} or more: suspect the bath first. Thin food needs a thin probe; product on the probe makes it slow and reads towards the room.</p>
    </x-slot>
</x-house>
