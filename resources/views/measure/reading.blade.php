@php($reading = $screen->reading)
@php($batch = $reading->sample->batch)
<x-house :title="'Reading on ' . $batch->code" room="Batches">
    @if ($reading->successor)
        <p class="verdict"><x-state is="care">Superseded.</x-state> This entry was corrected. <a href="{{ route('readings.show', $reading->successor) }}">Open the newer one</a></p>
    @endif
    @if ($reading->isInDoubt())
        <p class="verdict"><x-state is="fail">In doubt.</x-state> {{ $reading->calibration->void->reason }} Measure a fresh sample on a new calibration; the decision below stands as it was made.</p>
    @endif
    <p class="what">{{ $batch->product->name }} · batch <a href="{{ route('batches.show', $batch) }}"><b>{{ $batch->code }}</b></a> · {{ $reading->sample->stage->words() }} · {{ $reading->sample->place }}, drawn {{ Rheacid\SiteClock::full($reading->sample->drawn_at) }}</p>
    <div class="big"><span class="n">{{ Rheacid\Core\Numbers::fixed($screen->decision->value_ph, 2) }}</span>@if ($screen->decision->expanded_u_ph !== null)<span class="pm">± {{ Rheacid\Core\Numbers::fixed($screen->decision->expanded_u_ph, 2) }}</span>@endif<span class="unit">pH, the highest of {{ $reading->replicates->count() }}<br>mean {{ Rheacid\Core\Numbers::fixed($screen->decision->mean_ph, 3) }}</span></div>
    <x-acid-rule :rule="$screen->rule" />
    <x-decision :lines="$screen->lines" :blocks="$screen->blocks" />
    @if ($reading->superseded)
        <p class="verdict"><x-state is="idle">Correction.</x-state> {{ $reading->reason }} <a href="{{ route('readings.show', $reading->superseded) }}">The entry before</a></p>
    @endif
    <h2>Portions</h2>
    <x-replicates :replicates="$reading->replicates" :calibration="$reading->calibration" />
    <x-slot:act>
        @if ($mayCorrect)<a href="{{ route('corrections.create', $reading) }}">Correct this reading</a>@endif
        <a class="do" href="{{ route('batches.show', $batch) }}" data-primary>To batch {{ $batch->code }} <kbd>Enter</kbd></a>
    </x-slot>
    <x-slot:evidence>
        <x-rests-on :calibration="$reading->calibration" :pair="$reading->pair" :check="$reading->verification" :method="$reading->method" />
        @if ($screen->budget)<h2>What the ± is made of</h2><x-budget :bar="$screen->budget" />@endif
        @if (auth()->user()->role->writes() && $reading->pair->parting === null)
            <h2>The electrode after food</h2>
            <form class="hygiene" method="post" action="{{ route('care.store', $reading->pair) }}">
                <x-form-id />
                @foreach (Rheacid\Core\Care\CareKind::hygiene() as $kind)<button class="do quiet" name="act" value="{{ $kind->value }}">{{ ucfirst(Rheacid\Core\Words\CareWords::happened($kind)) }}</button>@endforeach
            </form>
            <p class="soft">{{ Rheacid\Core\Words\CareWords::how(Rheacid\Core\Care\CareKind::Sanitised) }}</p>
        @endif
        <h2>On record</h2>
        <dl><dt>{{ $reading->person->name }}</dt><dd>observed {{ Rheacid\SiteClock::full($reading->observed_at) }}<br>entered {{ Rheacid\SiteClock::full($reading->entered_at) }}</dd></dl>
        <p class="note">Your site’s plan and local codes decide about the product. Rheacid says which limit was met.</p>
    </x-slot>
</x-house>
