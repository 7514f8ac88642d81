@use(Rheacid\Core\Limits\BatchState)
@use(Rheacid\Core\Numbers)
<x-house title="Batches" room="Batches">
    <form class="fields narrow" method="get" action="{{ route('batches') }}">
        <div><label class="form-label" for="f-state">State</label>
        <select class="form-select" id="f-state" name="state" data-submits><option value="">all</option>@foreach (BatchState::cases() as $one)
            <option value="{{ $one->value }}" @selected($one === $state)>{{ $one->value }}</option>@endforeach</select></div>
        <div><label class="form-label" for="f-code">Code begins with</label>
        <input class="form-control" id="f-code" name="code" value="{{ $search }}" maxlength="20" autocomplete="off"></div>
        <div class="at-the-foot"><button class="do quiet">Show</button></div>
    </form>
    <table class="stack">
        <thead><tr><th>Batch</th><th>State</th><th>Last value</th><th>Nearest limit</th><th>Decision</th></tr></thead>
        @forelse ($lines as $line)
            <tr>
                <td><a class="cell-link" href="{{ route('batches.show', $line->id) }}"><b>{{ $line->code }}</b></a><br><span class="soft">{{ $line->product }}, {{ $line->vessel }}, day {{ (int) $line->since->diffInDays(now()) }}</span></td>
                <td><x-state :is="Rheacid\View\BatchScreen::sign($line->state)">{{ $line->state?->value }}</x-state></td>
                @if ($line->value !== null)
                    <td class="num">{{ $line->measurand->shown($line->value) }} @if ($line->expandedU !== null)<small>± {{ $line->measurand->shownBy($line->expandedU) }}</small>@endif</td>
                    <td>@if ($line->spare !== null){{ $line->spare < 0 ? 'lacks' : '' }} {{ $line->measurand->shownBy(abs($line->spare)) }}{{ $line->spare < 0 ? '' : ' to spare' }}@else<span class="soft">none due</span>@endif</td>
                @else
                    <td colspan="2" class="soft">no reading yet</td>
                @endif
                @php($said = $line->said())
                <td>@if ($said['word'])<x-state :is="$said['sign']">{{ $said['word'] }}</x-state><br>@endif
                    <span class="soft">{{ $said['detail'] }}@if ($next = $line->next()){{ $said['detail'] ? ' · ' : '' }}{{ Rheacid\Today\BatchTasks::due($next) }}@endif</span></td>
            </tr>
        @empty
            <tr>
                <td colspan="5" class="soft">{{ $state === null && $search === '' ? 'No batch yet. One begins with its product and the limits of that; what is read of it is judged by them.' : 'No batch like that.' }}</td>
            </tr>
        @endforelse
    </table>
    <x-pages :of="$page" />
    <x-slot:act><a href="{{ route('products') }}">Products</a>@if (Gate::allows('record'))<a class="do" href="{{ route('batches.create') }}" data-primary>Start a batch <kbd>Enter</kbd></a>@endif</x-slot>
</x-house>
