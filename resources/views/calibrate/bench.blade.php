<x-house title="Set the scene of the simulated bench" room="Calibrate">
    <p class="what">{{ $pair->electrode->code }} gets the condition that you choose, and the cups of buffer what belongs to it. The same seed gives the same scene. This is practice, never a real meter.</p>
    @if (Gate::allows('record'))
    <form id="bench" method="post" action="{{ route('bench.store', $pair) }}">
        <x-form-id />
        <div class="fields">
            <x-field name="fault" label="Condition"><select class="form-select" id="f-fault" name="fault">@foreach (Rheacid\Core\Simulation\Fault::cases() as $fault)<option value="{{ $fault->value }}" @selected(old('fault') === $fault->value)>{{ $fault->words() }}</option>@endforeach</select></x-field>
            <x-field name="also" label="And at the same time"><select class="form-select" id="f-also" name="also"><option value="">nothing else</option>@foreach (Rheacid\Core\Simulation\Fault::cases() as $fault)@continue($fault === Rheacid\Core\Simulation\Fault::Healthy)<option value="{{ $fault->value }}" @selected(old('also') === $fault->value)>{{ $fault->words() }}</option>@endforeach</select></x-field>
            <x-field name="seed" label="Seed" help="a whole number" inputmode="numeric" value="1" />
        </div>
    </form>
    @else
        <p class="what">Checkers and leads do this. What was recorded can be read.</p>
    @endif
    <x-slot:act><a href="{{ route('runs.create', $pair) }}">Back</a>@if (Gate::allows('record'))<button class="do" form="bench" data-primary>Set it <kbd>Enter</kbd></button>@endif</x-slot>
    <x-slot:evidence><h2>What is drawn</h2><p>Slope, offset, time constants, noise and drift of the electrode, and how far a buffer has gone, within the ranges that docs/job.md lists.</p></x-slot>
</x-house>
