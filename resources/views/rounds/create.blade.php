@use(Rheacid\View\RoundStartScreen)
<x-house title="Set out on a round" room="Measure">
    @if (Gate::allows('record'))
    <form id="round" method="post" action="{{ route('rounds.store') }}" data-keep>
        <x-form-id />
        @error('batches')<p class="problem" role="alert">{{ $message }}</p>@enderror
        @foreach ([['Due now, or within two hours', $screen->due, true], ['Not due', $screen->others, false]] as [$title, $candidates, $ticked])
            @if ($candidates !== [])
                <h2>{{ $title }}</h2>
                <ul class="todo">
                    @foreach ($candidates as $one)
                        <li><label class="form-check"><input class="form-check-input" type="checkbox" name="batches[]" value="{{ $one->batch->id }}" @checked(old('batches') === null ? $ticked : in_array((string) $one->batch->id, (array) old('batches'), true))> <span><b>{{ $one->batch->vessel }} · {{ $one->batch->code }}</b> <small class="soft">{{ $one->batch->product->name }} · {{ implode(', ', $one->places) }} · {{ $one->stage->words() }} · {{ RoundStartScreen::asks($one) }}{{ $one->batch->product->method->matrix === Rheacid\Core\Measuring\Matrix::Insertion ? ' · by insertion: with a spear only' : '' }}</small></span></label></li>
                    @endforeach
                </ul>
            @endif
        @endforeach
        @if ($screen->due === [] && $screen->others === [])<p>No batch is running. <a href="{{ route('batches.create') }}">Start one</a></p>@endif
        @if (count($screen->due) + count($screen->others) === Rheacid\Rounds\Way::MOST)<p class="what">Only the {{ Rheacid\Rounds\Way::MOST }} batches that stand worst are offered here; the others follow on a second round.</p>@endif
        <h2>With what</h2>
        <div class="fields">
            <x-field name="pair" label="Pair"><select class="form-select" id="f-pair" name="pair">@foreach ($screen->pairs as $pair)<option value="{{ $pair->id }}" @selected((int) old('pair') === $pair->id)>{{ $pair->code }} on {{ $pair->name }} · {{ Rheacid\Shelf\Readiness::words($pair->status()) }}</option>@endforeach</select></x-field>
            <x-field name="thermometer" label="Thermometer"><select class="form-select" id="f-thermometer" name="thermometer">@foreach ($screen->thermometers as $thermometer)<option value="{{ $thermometer->id }}" @selected((int) old('thermometer') === $thermometer->id)>{{ $thermometer->code }} · {{ Rheacid\Shelf\Thermometers::words($thermometer->status()) }}</option>@endforeach</select></x-field>
            <label class="form-check wide"><input class="form-check-input" type="checkbox" name="still" value="1" @checked(old('still', old('form') === null ? '1' : null))> I write down only what stood still, for 60 s where a limit binds; else each vat asks</label>
            <x-field name="drawn_at" label="All drawn at" type="datetime-local" help="empty: each as its turn comes" />
            <label class="form-check at-the-foot"><input class="form-check-input" type="checkbox" name="chilled" value="1" @checked(old('chilled'))> kept cold since: else, after {{ Rheacid\Core\Measuring\Freshness::MINUTES }} min a sample counts from when it is read</label>
        </div>
    </form>
    <x-slot:act><a href="{{ route('measure') }}">One batch only</a><button class="do" form="round" data-primary>Set out <kbd>Enter</kbd></button></x-slot>
    @else
        <p class="what">Checkers and leads do this. What was recorded can be read.</p>
    @endif
    <x-slot:evidence>
        <h2>On the way</h2>
        <ul class="steps"><li>Draw a cup, never an electrode in a vessel.</li><li>Rinse and blot before each.</li><li>Read the check buffer at the start, after every {{ Rheacid\Core\Care\ControlCheckStatus::SAMPLES }} samples or {{ Rheacid\Core\Care\ControlCheckStatus::HOURS }} h, and at the end.</li><li>Every tenth sample is read twice, the second cup under a code of its own.</li></ul>
        <p class="note">It can be left at any time and gone on with later.</p>
        <p><a href="{{ route('repeatability') }}">What the second cups say</a></p>
    </x-slot>
</x-house>
