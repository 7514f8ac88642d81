@php($round = $screen->round)
@php($cups = $screen->toDraw())
<x-house title="Round · draw all cups" room="Measure">
    <p class="verdict answer">
        <x-state is="idle">Draw {{ $screen->leftCount() }} cups.</x-state> <span>Mark each cup with its code before you fill it. Where two codes stand, fill
        both cups at once from the same draw. <b>Then confirm, and read the cups by their codes.</b></span></p>
    <table class="stack">
        <caption class="visually-hidden">Cups to draw</caption>
        <thead><tr><th scope="col">From</th><th scope="col">Mark</th></tr></thead>
        @foreach ($cups as $one)<tr><td><b>{{ $one['from'] }}</b></td><td class="num">@foreach ($one['codes'] as $code)
            <b>{{ $code }}</b>{{ $loop->last ? '' : ' and ' }}@endforeach</td></tr>@endforeach
    </table>
    @if (Gate::allows('record'))
    <form id="draw" class="apart" method="post" action="{{ route('rounds.draw', $round) }}" data-keep>
        <x-form-id />
        <div class="fields">
            <x-field name="drawn_at" label="Drawn at" type="datetime-local" :value="Rheacid\Site\SiteClock::field(now())" />
            <x-tick name="chilled" class="at-the-foot"
                :checked="old('chilled')">Kept cold until read; otherwise a sample older than {{ Rheacid\Core\Measuring\Freshness::MINUTES }} min counts from
                the time it is read</x-tick>
        </div>
    </form>
    <details class="apart"><summary>End the round</summary>
        <form method="post" action="{{ route('rounds.pass', $round) }}"><x-form-id />
            <div class="fields"><x-field name="reason" id="f-end" label="Reason to end the round" :keeps="false" maxlength="400" /></div>
            <button class="do quiet apart">Skip all {{ $screen->leftCount() }}</button>
        </form>
    </details>
    <x-slot:act><a href="{{ route('measure') }}">Continue later</a><button class="do" form="draw"
        data-primary>All cups are drawn <kbd>Enter</kbd></button></x-slot>
    @endif
    <x-slot:evidence>
        <h2>Why codes</h2>
        <p>Whoever knows that two cups are of one sample reads the second to match the first. The codes and the mixed order hide the pair, so that its
            difference shows what a reading of your site is worth.</p>
        <p class="note">If somebody else reads the cups, the person who draws them should not tell which codes belong together.</p>
        <h2>Round</h2>
        <dl><dt>Started</dt><dd>{{ Rheacid\Site\SiteClock::short($round->at) }}, {{ $round->person->name }}</dd><dt>Instruments</dt><dd>
            {{ $round->pair->electrode->code }} on {{ $round->pair->name() }}, {{ $round->thermometer->code }}</dd></dl>
    </x-slot>
</x-house>
