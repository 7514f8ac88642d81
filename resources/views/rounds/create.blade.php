@use(Rheacid\View\Measure\RoundStartScreen)
<x-house title="Measuring round" room="Measure">
    <form id="round" method="post" action="{{ route('rounds.store') }}" data-keep>
        <x-form-id />
        @error('batches')<p class="problem" role="alert">{{ $message }}</p>@enderror
        @foreach ([['Due now or within two hours', $screen->due, true], ['Not due', $screen->others, false]] as [$title, $candidates, $ticked])
            @if ($candidates !== [])
                <h2>{{ $title }}</h2>
                <ul class="todo">
                    @foreach ($candidates as $one)
                        <li><x-tick name="batches[]" :value="(string) $one->batch->id" :id="'f-batches-' . $one->batch->id"
                            :checked="old('batches') === null ? $ticked : in_array((string) $one->batch->id, (array) old('batches'),
                            true)"><b>{{ $one->batch->vessel }} · {{ $one->batch->code }}</b> <small
                            class="soft">{{ $one->batch->product->name }} · {{ implode(', ',
                            $one->places) }} · {{ $one->stage->words() }} ·
                            {{ RoundStartScreen::asks($one) }}{{ $one->batch->product->method->matrix === Rheacid\Core\Measuring\Matrix::Insertion
                            ? ' · insertion: spear tip only' : '' }}</small></x-tick></li>
                    @endforeach
                </ul>
            @endif
        @endforeach
        @if ($screen->due === [] && $screen->others === [])<p>No batch is running. <a href="{{ route('batches.create') }}">Start batch</a></p>@endif
        @if (count($screen->due) + count($screen->others) === Rheacid\Queries\Rounds\RoundPlan::MOST)<p class="what">
            Only the {{ Rheacid\Queries\Rounds\RoundPlan::MOST }} most urgent batches are listed. Start another round for the rest.</p>@endif
        <h2>Instruments</h2>
        <div class="fields">
            <x-choice name="pair" label="Pair" :options="collect($screen->pairs)->mapWithKeys(fn ($pair) => [$pair->id => $pair->code . ' on ' . $pair->name
                . ' · ' . Rheacid\Queries\Ready\Readiness::words($pair->status())])" />
            <x-choice name="thermometer" label="Thermometer" :options="collect($screen->thermometers)->mapWithKeys(fn ($one) => [$one->id => $one->code . ' · '
                . Rheacid\Queries\Ready\Thermometers::words($one->status())])" />
            <x-tick name="still" class="wide" :checked="old('still', old('form') === null ? '1'
                : null)">I record only stable readings. A number that nobody watched for the whole time is kept as said.</x-tick>
            <x-radios name="way" class="wide" label="How samples are read" value="vats"
                :options="['vats' => 'At the vats: draw a cup, read it, go on',
                'coded' => 'At the bench: draw all cups first, then read them under codes in a mixed order']" />
        </div>
    </form>
    <x-slot:act><a href="{{ route('measure') }}">Measure one batch</a><button class="do" form="round"
        data-primary>Start round <kbd>Enter</kbd></button></x-slot>
    <x-slot:evidence>
        <h2>During the round</h2>
        <ul class="steps"><li>Draw a cup; never put an electrode into a vessel.</li><li>Rinse and blot before each cup.</li><li>
            Read the check buffer at the start, after every {{ Rheacid\Core\Care\ControlCheckStatus::SAMPLES }} samples or
            {{ Rheacid\Core\Care\ControlCheckStatus::HOURS }} h, and at the end.</li><li>
            Every tenth sample is read twice. At the vats it is a repeat, which you know. Under codes it is a blind duplicate: nobody sees which two cups are a
            pair, and twenty such pairs give the repeatability of your site.</li></ul>
        <p class="note">You can stop at any time and continue later.</p>
        <p><a href="{{ route('repeatability') }}">Second cups</a></p>
    </x-slot>
</x-house>
