@php($event = $batch->newestEvent)
<x-house :title="'Tag · ' . $batch->code" room="Batches">
    <div class="labels">
        <div class="label tag">
            <canvas data-code="{{ $batch->code }}" width="96" height="96" aria-hidden="true"></canvas>
            <div>
                <b>{{ strtoupper($batch->state()->value) }}</b>
                <strong>{{ $batch->code }} · {{ $batch->product->name }}</strong>
                <span>{{ $batch->vessel }} · {{ $batch->size }}</span>
                <span>{{ $event?->reason }}</span>
                @if ($line->reading->value !== null)<span>{{ $line->reading->measurand->name() }} {{ $isRounded
                    ? $line->reading->measurand->said($line->reading->value, 1)
                    : $line->reading->shown() }}{{ $isRounded ? ', rounded to one decimal; judged as ' . Rheacid\Core\Numbers::fixed($line->reading->value,
                    $line->reading->measurand->decimals()) : '' }}, {{ Rheacid\Site\SiteClock::short($line->reading->readAt) }}</span>@endif
                <span>since {{ Rheacid\Site\SiteClock::full($event?->at ?? $batch->started_at) }}, by {{ $event?->person->name }}</span>
                @if ($batch->state() === Rheacid\Core\Batches\BatchState::Held)<em>Do not move, use, rework or taste until a lead decides.</em>@endif
            </div>
        </div>
    </div>
    <x-slot:act><a href="{{ route('batches.show', $batch) }}">Open batch {{ $batch->code }}</a>
        <button class="do" data-print data-primary>Print <kbd>Enter</kbd></button></x-slot>
    <x-slot:evidence><h2>Using the tag</h2>
        <p>Print the tag, hang it on the vessel, and replace it when the state changes. Scan its code into the search to open the batch.</p>
        <p><a href="{{ route('batches.tag', $isRounded ? $batch : [$batch, 'digits' => 1]) }}">{{ $isRounded ? 'Show the value as judged'
            : 'Show the value with one decimal' }}</a></p></x-slot>
</x-house>
