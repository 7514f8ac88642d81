@use(Rheacid\Core\Numbers)
@use(Rheacid\Core\Uncertainty\SiteRepeatability)
@php($sd = $screen->site->sd())
<x-house title="Second cups" room="Measure">
    @if ($sd !== null)
        <p class="verdict answer">
            <x-state is="met">Repeatability of this site.</x-state> <span>{{ Numbers::fixed($sd,
            3) }} pH for one portion (one standard deviation), from {{ $screen->site->pairs }} blind pairs. Every uncertainty since then uses it.</span></p>
    @else
        <p class="verdict answer">
            <x-state is="idle">{{ $screen->site->pairs }} of {{ SiteRepeatability::PAIRS }} blind pairs.</x-state> <span>Until then, uncertainties use the
            pooled value of the policy. @if (Gate::allows('record'))<b>Start a round on which all cups are drawn first: every tenth sample gets a blind
            duplicate.</b>@endif</span></p>
    @endif
    @if ($screen->pairs->isNotEmpty())
        <x-check-chart :figure="$screen->chart" />
        <table class="stack">
            <caption class="visually-hidden">Second cups</caption>
            <thead><tr><th scope="col">Time</th><th scope="col">Sample</th><th scope="col">Kind</th><th scope="col">Second − first</th></tr></thead>
            @foreach ($screen->pairs as $pair)
                <tr><td class="nowrap">{{ Rheacid\Site\SiteClock::short($pair->at) }}</td><td>
                    <a class="cell-link" href="{{ route('readings.show', $pair->first_id) }}">{{ $pair->first->occasion->batch->code }},
                    {{ $pair->first->sample->place }}</a></td><td>{{ $pair->is_blind === false ? 'repeat' : 'blind duplicate' }}</td><td class="num">
                    {{ $pair->difference_ph >= 0 ? '+' : '' }}{{ Numbers::fixed($pair->difference_ph, 3) }} pH</td></tr>
            @endforeach
        </table>
    @endif
    @if (Gate::allows('record'))<x-slot:act><a class="do" href="{{ route('rounds.create') }}" data-primary>Start measuring round <kbd>Enter</kbd></a></x-slot>
    @endif
    <x-slot:evidence>
        <h2>How it is calculated</h2>
        <p>s = √(Σd² / 2n) = √({{ Numbers::fixed($screen->site->sumOfSquares, 5) }} / {{ 2 * $screen->site->pairs }}){{ $screen->site->pairs === 0
            ? ', no pairs yet' : '' }}</p>
        <p>d is the first portion of the second cup minus the first portion of the first cup: single portions, not means.</p>
        <p class="note">Only blind duplicates count: who knows that a cup is a repeat reads it to match. Repeats are drawn and judged like the others.</p>
    </x-slot>
</x-house>
