<x-house title="Policies" room="Ready">
    <table class="stack">
        <caption class="visually-hidden">Policies</caption>
        <thead><tr><th scope="col">Policy</th><th scope="col">Slope</th><th scope="col">Read-back within</th><th scope="col">Calibration interval</th>
            <th scope="col">Buffers</th></tr></thead>
        @foreach ($policies as $policy)
            <tr>
                <td><a class="cell-link" href="{{ route('policies.show', $policy) }}"><b>{{ $policy->name }}</b></a> <span
                    class="soft">version {{ $policy->version }}</span></td>
                <td>{{ Rheacid\Core\Numbers::plain($policy->slope_low_percent) }}–{{ Rheacid\Core\Numbers::plain($policy->slope_high_percent) }} %</td>
                <td>{{ Rheacid\Core\Numbers::plain($policy->read_back_limit_ph) }} pH</td>
                <td>{{ Rheacid\View\Ready\PolicyWords::interval($policy) }}</td>
                <td>{{ Rheacid\View\Ready\PolicyWords::buffers($policy) }}</td>
            </tr>
        @endforeach
    </table>
    <h2>Instruments and their policies</h2>
    <table class="stack">
        <caption class="visually-hidden">Instruments and their policies</caption>
        @foreach ($pairs as $pair)
            <tr>
                <th scope="row"><a class="cell-link" href="{{ route('pairs.show', $pair) }}"><b>{{ $pair->electrode->code }}</b></a> on {{ $pair->name() }}</th>
                <td>{{ $pair->policy->name }}, version {{ $pair->policy->version }}</td>
                <td>@can('lead')<details><summary>Change</summary><form method="post" action="{{ route('policies.assign', $pair) }}"><x-form-id />
                    <x-choice name="policy" :id="'f-policy-' . $pair->id" :label="'Policy of ' . $pair->electrode->code"
                        :options="$policies->pluck('name', 'code')" :value="$pair->policy->code" :keeps="false" />
                    <x-field name="reason" :id="'f-reason-' . $pair->id" label="Reason" :keeps="false" maxlength="400" />
                        <button class="do quiet apart">Assign policy</button></form></details>@endcan</td>
            </tr>
        @endforeach
    </table>
    <x-slot:evidence><h2>Policies</h2><p>
        A policy sets what a calibration must reach, how often it is due, and which buffers are used in which order. A lead can change it. Earlier calibrations
        keep the version that judged them.</p></x-slot>
</x-house>
