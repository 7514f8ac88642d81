{{-- The part of a page that changes every second; the page includes it, and htmx fetches it alone. --}}
@if ($live->figure === null)
    <div data-progress data-settled="no" data-wait="" data-seen="">
        <p class="verdict"><x-state is="idle">Waiting for the electrode.</x-state> Rinse and blot it, then move it into the cup.</p>
    </div>
@else
    <div data-progress data-settled="{{ $live->isSettled() ? 'yes' : 'no' }}" data-wait="{{ $live->waitS() }}" data-seen="{{ $live->seenS }}">
        <div class="lead-row">
            <div class="big"><span class="n">{{ Rheacid\Core\Numbers::fixed($live->figure->latest(), $live->figure->in->decimals) }}</span><span
                class="unit">{{ $live->judgedBy }}<br>{{ $live->raw }}{{ Rheacid\Core\Celsius::at($live->celsius, 1) }}</span></div>
            <x-ring :figure="$live->figure" />
        </div>
        <x-settling-trace :figure="$live->figure" />
        <p class="what">{{ $live->figure->words() }}</p>
    </div>
@endif
