@props(['pair'])
@use(Rheacid\Core\Care\CareKind)
@use(Rheacid\Core\Care\Dirt)
@use(Rheacid\Core\Care\SoakSchool)
@use(Rheacid\Core\Words\CareWords)
{{-- Two taps: one opens what is meant, the other writes it down. --}}
<form id="care" class="care-log" method="post" action="{{ route('care.store', $pair) }}">
    <x-form-id />
    <x-enter-sends-nothing />
    @error('act')<p class="problem">{{ $message }}</p>@enderror
    <details name="care"><summary>Soak</summary>
        <p class="form-text">{{ CareWords::how(CareKind::Soak, $pair->electrode->kind) }}</p>
        @foreach (SoakSchool::cases() as $school)<button class="do quiet" name="act"
            value="soak {{ $school->value }}">{{ CareWords::soak($school) }}</button>@endforeach
    </details>
    <details name="care"><summary>Clean</summary>
        <p class="form-text">{{ CareWords::how(CareKind::Cleaned, $pair->electrode->kind) }}</p>
        @foreach (Dirt::cases() as $dirt)
            <button class="do quiet" name="act" value="cleaned {{ $dirt->value }}">{{ CareWords::cleaning($dirt) }}</button>
            <p class="caution">{{ CareWords::cleaningCaution($dirt) }}</p>
        @endforeach
        <p class="caution">{{ CareWords::cleanersTogether() }}</p>
    </details>
    <details name="care"><summary>Store, top up{{ $pair->electrode->kind->hasFillHole() === false ? '' : ', refill' }}</summary>
        @foreach ([CareKind::Stored, CareKind::ToppedUp, ...($pair->electrode->kind->hasFillHole() === false ? [] : [CareKind::Refilled])] as $kind)<button
            class="do quiet" name="act" value="{{ $kind->value }}">{{ ucfirst(CareWords::happened($kind)) }}</button><p class="form-text">
            {{ CareWords::how($kind, $pair->electrode->kind) }}</p>@endforeach
    </details>
    <details name="care"><summary>Before and after food</summary>
        @foreach (CareKind::hygiene() as $kind)<button class="do quiet" name="act" value="{{ $kind->value }}">{{ ucfirst(CareWords::happened($kind)) }}</button>
            <p class="form-text">{{ CareWords::how($kind, $pair->electrode->kind) }}</p>@endforeach
        <p class="caution">{{ CareWords::cleanersTogether() }}</p>
    </details>
    <details name="care"><summary>Inspect</summary>
        @foreach (CareWords::inspection($pair->electrode->kind) as $key => $words)<x-tick name="good[]" :value="(string) $key">{{ $words }}</x-tick>@endforeach
        <button class="do quiet" name="act" value="inspected">Record inspection</button>
    </details>
    <details name="care"><summary>Something happened</summary>
        @foreach (CareKind::incidents() as $kind)<button class="do quiet" name="act"
            value="{{ $kind->value }}">{{ ucfirst(CareWords::happened($kind)) }}</button>@if (CareWords::how($kind, $pair->electrode->kind))
            <p class="form-text">{{ CareWords::how($kind, $pair->electrode->kind) }}</p>@endif @endforeach
        <p class="form-text">Any of these makes a calibration due at once.</p>
    </details>
    <details name="care"><summary>Take out of use</summary>
        @foreach ([CareKind::OutOfUse, CareKind::BackInUse, ...(Gate::allows('lead') ? [CareKind::Retired] : [])] as $kind)<button class="do quiet" name="act"
            value="{{ $kind->value }}">{{ ucfirst(CareWords::happened($kind)) }}</button>@endforeach
        <x-field name="note" label="Note (optional)" maxlength="400" class="apart" />
    </details>
</form>
