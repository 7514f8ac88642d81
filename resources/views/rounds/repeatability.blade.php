@use(Rheacid\Core\Numbers)
@use(Rheacid\Core\Uncertainty\SiteRepeatability)
@php($sd = $screen->site->sd())
<x-house title="Blind duplicates" room="Measure">
    @if ($sd !== null)
        <p class="verdict answer"><x-state is="met">The site’s own.</x-state> <span>One portion repeats within {{ Numbers::fixed($sd, 3) }} pH (one standard deviation), from {{ $screen->site->pairs }} pairs. It stands in every ± since.</span></p>
    @else
        <p class="verdict answer"><x-state is="idle">{{ $screen->site->pairs }} of {{ SiteRepeatability::PAIRS }} pairs.</x-state> <span>Until then the ± rests on the policy’s pooled value. @if (Gate::allows('record'))<b>Set out on a round: every tenth sample gets a second cup.</b>@endif</span></p>
    @endif
    @if ($screen->pairs->isNotEmpty())
        <x-check-chart :figure="$screen->chart" />
        <table class="stack">
            <thead><tr><th>When</th><th>Sample</th><th>Second − first</th></tr></thead>
            @foreach ($screen->pairs as $pair)
                <tr><td class="nowrap">{{ Rheacid\SiteClock::short($pair->at) }}</td><td><a class="cell-link" href="{{ route('readings.show', $pair->first_id) }}">{{ $pair->first->occasion->batch->code }}, {{ $pair->first->sample->place }}</a></td><td class="num">{{ $pair->difference_ph >= 0 ? '+' : '' }}{{ Numbers::fixed($pair->difference_ph, 3) }} pH</td></tr>
            @endforeach
        </table>
    @endif
    @if (Gate::allows('record'))<x-slot:act><a class="do" href="{{ route('rounds.create') }}" data-primary>Set out on a round <kbd>Enter</kbd></a></x-slot>
    @endif
    <x-slot:evidence>
        <h2>How it is told</h2>
        <p>s = √(Σd² / 2n) = √({{ Numbers::fixed($screen->site->sumOfSquares, 5) }} / {{ 2 * $screen->site->pairs }}){{ $screen->site->pairs === 0 ? ', nothing yet' : '' }}</p>
        <p>d is the first portion of the second cup less the first portion of the first: what one portion does, not a mean.</p>
        <p class="note">The second cup stands under a code of its own, so that the eye does not help the hand.</p>
    </x-slot>
</x-house>
