@php($faults = collect(Rheacid\Core\Simulation\Fault::cases())->sortBy(fn ($one) => $one !== Rheacid\Core\Simulation\Fault::Healthy)->mapWithKeys(fn ($one) => [
    $one->value => $one->words()])->all())
<x-house title="Simulated bench" room="Calibrate">
    <p class="what">{{ $pair->electrode->code }} and its buffer cups get the condition that you choose. The same seed gives the same condition. This is for
        practice; no real meter is involved.</p>
    <form id="bench" method="post" action="{{ route('bench.store', $pair) }}">
        <x-form-id />
        <div class="fields">
            <x-choice name="fault" label="Condition" :options="$faults" />
            <x-choice name="also" label="Second condition" :options="['' => 'none', ...array_slice($faults, 1)]" />
            <x-field name="seed" label="Seed" help="a whole number" inputmode="numeric" value="1" />
        </div>
    </form>
    <x-slot:act><a href="{{ route('runs.create', $pair) }}">Back</a><button class="do" form="bench"
        data-primary>Set condition <kbd>Enter</kbd></button></x-slot>
    <x-slot:evidence><h2>What is simulated</h2><p>
        Slope, offset, response time, noise and drift of the electrode, and the error of each buffer, within the ranges in docs/job.md.</p></x-slot>
</x-house>
