<x-house :title="'Bottle ' . $lot->code" room="Ready">
    @php($objection = $lot->isBuffer() ? Rheacid\Actions\Calibrate\OpenRun::objection($lot) : null)
    <div class="big"><span class="n">{{ $lot->nominal_ph === null ? $lot->code : Rheacid\Core\Numbers::fixed($lot->nominal_ph, 2) }}</span><span class="unit">{{ $lot->label }}<br>{{ $lot->usesLeft() }} of {{ $lot->uses_allowed }} uses left</span></div>
    <p class="verdict">@if ($objection)<x-state is="fail">{{ ucfirst($objection) }}</x-state>@elseif ($lot->isBuffer())<x-state is="met">Usable until {{ Rheacid\Plant::day($lot->usableUntil()) }}</x-state>@else<x-state is="idle">{{ ucfirst($lot->kind) }}, never used to calibrate pH</x-state>@endif</p>
    <h2>Used by</h2>
    <table class="stack">
        @forelse ($lot->uses->reverse() as $use)
            <tr><td>{{ Rheacid\Plant::short($use->at) }}</td><td><a class="cell-link" href="{{ route('runs.show', $use->run) }}">{{ $use->run->pair->electrode->code }}</a></td><td>{{ $use->run->holder->name }}</td></tr>
        @empty
            <tr><td class="soft">Not used yet.</td></tr>
        @endforelse
    </table>
    <x-slot:evidence>
        <h2>On the label</h2>
        <dl>
            <dt>Printed expiry</dt><dd>{{ Rheacid\Plant::day($lot->expires_on) }}</dd>
            <dt>Opened</dt><dd>{{ $lot->opened_on ? Rheacid\Plant::day($lot->opened_on) . ', good for ' . $lot->days_after_opening . ' days' : 'not yet' }}</dd>
            @if ($lot->expanded_u_ph !== null)<dt>Uncertainty</dt><dd>± {{ Rheacid\Core\Numbers::plain($lot->expanded_u_ph) }} pH (k = 2)</dd>@endif
        </dl>
        @if ($lot->isBuffer())
            <h2>pH by temperature</h2>
            <dl>@foreach ([15, 20, 25, 30] as $celsius)@if ($lot->buffer()->covers($celsius))<dt>{{ $celsius }} °C</dt><dd>{{ Rheacid\Core\Numbers::fixed($lot->buffer()->phAt($celsius), 3) }}</dd>@endif @endforeach</dl>
        @endif
    </x-slot>
</x-house>
