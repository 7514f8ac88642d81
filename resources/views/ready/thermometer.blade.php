<x-house :title="$thermometer->name" room="Ready">
    <p class="what">{{ $thermometer->kind }}, shows {{ Rheacid\Core\Numbers::plain($thermometer->resolution_c) }} °C</p>
    <h2>Checks</h2>
    <table class="stack">
        <thead><tr><th>When</th><th>Method</th><th>Error</th><th>Correction</th><th>Covers</th><th>Due</th></tr></thead>
        @forelse ($thermometer->checks->reverse() as $check)
            <tr>
                <td>{{ Rheacid\Plant::short($check->at) }}, {{ $check->person->name }}</td>
                <td>{{ $check->method }} point</td>
                <td class="num">{{ Rheacid\Core\Numbers::fixed($check->error_c, 1) }} <small>± {{ Rheacid\Core\Numbers::fixed($check->expanded_u_c, 1) }} °C</small></td>
                <td>{{ $check->correction_c == 0 ? 'none' : Rheacid\Core\Numbers::fixed($check->correction_c, 1) . ' °C' }}</td>
                <td>{{ Rheacid\Core\Numbers::plain($check->covers_low_c) }} to {{ Rheacid\Core\Numbers::plain($check->covers_high_c) }} °C</td>
                <td><x-state :is="$check->due_at->isPast() ? 'care' : 'met'">{{ Rheacid\Plant::short($check->due_at) }}</x-state></td>
            </tr>
        @empty
            <tr><td colspan="6" class="soft">Never checked.</td></tr>
        @endforelse
    </table>
</x-house>
