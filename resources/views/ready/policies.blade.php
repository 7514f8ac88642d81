<x-house title="Policies" room="Ready">
    <table class="stack">
        <thead><tr><th>Policy</th><th>Slope</th><th>Read-back</th><th>Every</th><th>Buffers</th></tr></thead>
        @foreach ($policies as $policy)
            <tr>
                <td><a class="cell-link" href="{{ route('policies.show', $policy) }}"><b>{{ $policy->name }}</b></a> <span class="soft">version {{ $policy->version }}</span></td>
                <td>{{ Rheacid\Core\Numbers::plain($policy->slope_low_percent) }}–{{ Rheacid\Core\Numbers::plain($policy->slope_high_percent) }} %</td>
                <td>{{ Rheacid\Core\Numbers::plain($policy->read_back_limit_ph) }} pH</td>
                <td>{{ Rheacid\View\PolicyWords::interval($policy) }}</td>
                <td>{{ Rheacid\View\PolicyWords::buffers($policy) }}</td>
            </tr>
        @endforeach
    </table>
    <h2>Which instrument follows which</h2>
    <table class="stack">
        @foreach ($pairs as $pair)
            <tr>
                <td><a class="cell-link" href="{{ route('pairs.show', $pair) }}"><b>{{ $pair->electrode->code }}</b></a> on {{ $pair->name() }}</td>
                <td>{{ $pair->policy->name }}, version {{ $pair->policy->version }}</td>
                <td>@can('lead')<details><summary>Change</summary><form method="post" action="{{ route('policies.assign', $pair) }}"><x-form-id />
                    <select class="form-select" name="policy" aria-label="Policy of {{ $pair->electrode->code }}">@foreach ($policies as $policy)<option value="{{ $policy->code }}" @selected($policy->code === $pair->policy->code)>{{ $policy->name }}</option>@endforeach</select>
                    <input class="form-control apart" name="reason" aria-label="Why" placeholder="why" maxlength="400"><button class="do quiet apart">Follow it from now on</button></form></details>@endcan</td>
            </tr>
        @endforeach
    </table>
    <x-slot:evidence><h2>What they are</h2><p>A policy says what a calibration has to reach, how often it is due, and which buffers in which order. A lead changes it; what was judged before keeps the version it was judged by.</p></x-slot>
</x-house>
