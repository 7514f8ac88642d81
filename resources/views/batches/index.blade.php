<x-house title="Batches" room="Batches">
    <table class="stack">
        <thead><tr><th>Batch</th><th>State</th><th>Last pH</th><th>On the rule</th><th>Decision</th></tr></thead>
        @foreach ($screens as $screen)
            @php($row = $screen->rows[0] ?? null)
            <tr>
                <td><a class="cell-link" href="{{ route('batches.show', $screen->batch) }}"><b>{{ $screen->batch->code }}</b></a><br><span class="soft">{{ $screen->batch->product->name }}, {{ $screen->batch->vessel }}, day {{ (int) $screen->batch->started_at->diffInDays(now()) }}</span></td>
                <td><x-state :is="$screen->sign">{{ $screen->batch->state() }}</x-state></td>
                @if ($row)
                    <td class="num">{{ Rheacid\Core\Numbers::fixed($row['reading']->decision->value_ph, 2) }} @if ($row['reading']->decision->expanded_u_ph !== null)<small>± {{ Rheacid\Core\Numbers::fixed($row['reading']->decision->expanded_u_ph, 2) }}</small>@endif</td>
                    <td class="rule"><x-acid-rule :rule="$row['rule']" small /></td>
                    <td><x-state :is="$row['sign']">{{ $row['word'] }}</x-state></td>
                @else
                    <td colspan="3" class="soft">no reading yet</td>
                @endif
            </tr>
        @endforeach
    </table>
</x-house>
