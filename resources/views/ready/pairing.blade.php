<x-house title="Pair meter and electrode" room="Ready">
    <form id="pairing" method="post" action="{{ route('pairing.store') }}" data-keep>
        <x-form-id />
        <div class="fields">
            <x-field name="electrode" label="Electrode or sensor" help="code, typed or scanned" list="electrodes" maxlength="20" autofocus />
            <x-field name="meter" label="Meter" help="code" list="meters" maxlength="20" />
            <x-field name="channel" label="Socket" help="only if the meter has several, for example left" maxlength="20" />
            @can('lead')<x-choice name="policy" label="Policy"
                :options="['' => 'as before, or the laboratory policy', ...$policies->pluck('name', 'code')]" />@endcan
            <x-tick name="exchange" class="wide" :checked="old('exchange')">Separate them from their present partners first; those calibrations end</x-tick>
        </div>
        <datalist id="electrodes">@foreach ($electrodes as $electrode)<option value="{{ $electrode->code }}">
            {{ $electrode->name }}, {{ $electrode->kind->words() }}</option>@endforeach</datalist>
        <datalist id="meters">@foreach ($meters as $meter)<option value="{{ $meter->code }}">{{ $meter->name }}</option>@endforeach</datalist>
    </form>
    <h2>Pairs in use</h2>
    <table class="stack">
        <caption class="visually-hidden">Pairs in use</caption>
        @foreach ($together as $pair)
            <tr><th scope="row"><a class="cell-link" href="{{ route('pairs.show', $pair) }}"><b>{{ $pair->electrode->code }}</b></a></th><td>
                on {{ $pair->name() }}</td><td class="soft">since {{ Rheacid\Site\SiteClock::day($pair->paired_at) }}</td>
                <td>@if (Gate::allows('record'))<details><summary>Separate</summary><form method="post" action="{{ route('pairs.part', $pair) }}"><x-form-id />
                    <input class="form-control" name="reason" aria-label="Reason to separate {{ $pair->electrode->code }}" placeholder="reason" maxlength="400">
                    <button class="do quiet apart">Separate pair</button></form></details>@endif</td></tr>
        @endforeach
    </table>
    <x-slot:act><a href="{{ route('ready') }}">Back</a><button class="do" form="pairing" data-primary>Pair <kbd>Enter</kbd></button></x-slot>
    <x-slot:evidence>
        <h2>Why it matters</h2>
        <p>A calibration belongs to one meter with one electrode. If you change either, the new pair must be calibrated. The old history is kept.</p>
    </x-slot>
</x-house>
