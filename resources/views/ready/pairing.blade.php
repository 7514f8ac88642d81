<x-house title="Pair meter and electrode" room="Ready">
    @if (Gate::allows('record'))
    <form id="pairing" method="post" action="{{ route('pairing.store') }}" data-keep>
        <x-form-id />
        <div class="fields">
            <x-field name="electrode" label="Electrode or sensor" help="its code, typed or scanned" list="electrodes" maxlength="20" autofocus />
            <x-field name="meter" label="Meter" help="its code" list="meters" maxlength="20" />
            <x-field name="channel" label="Socket" help="only where a meter has several, like left socket" maxlength="20" />
            @can('lead')<x-field name="policy" label="Policy"><select class="form-select" id="f-policy" name="policy"><option value="">as before, else the laboratory's</option>@foreach ($policies as $policy)<option value="{{ $policy->code }}" @selected(old('policy') === $policy->code)>{{ $policy->name }}</option>@endforeach</select></x-field>@endcan
            <label class="form-check wide"><input class="form-check-input" type="checkbox" name="exchange" value="1" @checked(old('exchange'))> exchange: part first what either belongs to now; that calibration is void</label>
        </div>
        <datalist id="electrodes">@foreach ($electrodes as $electrode)<option value="{{ $electrode->code }}">{{ $electrode->name }}, {{ $electrode->kind->words() }}</option>@endforeach</datalist>
        <datalist id="meters">@foreach ($meters as $meter)<option value="{{ $meter->code }}">{{ $meter->name }}</option>@endforeach</datalist>
    </form>
    @else
        <p class="what">Checkers and leads do this. What was recorded can be read.</p>
    @endif
    <h2>Together now</h2>
    <table class="stack">
        @foreach ($together as $pair)
            <tr><td><a class="cell-link" href="{{ route('pairs.show', $pair) }}"><b>{{ $pair->electrode->code }}</b></a></td><td>on {{ $pair->name() }}</td><td class="soft">since {{ Rheacid\SiteClock::day($pair->paired_at) }}</td>
                <td>@if (Gate::allows('record'))<details><summary>Part them</summary><form method="post" action="{{ route('pairs.part', $pair) }}"><x-form-id /><input class="form-control" name="reason" aria-label="Why {{ $pair->electrode->code }} is parted" placeholder="why" maxlength="400"><button class="do quiet apart">Part</button></form></details>@endif</td></tr>
        @endforeach
    </table>
    <x-slot:act><a href="{{ route('ready') }}">Back to the shelf</a>@if (Gate::allows('record'))<button class="do" form="pairing" data-primary>Pair them <kbd>Enter</kbd></button>@endif</x-slot>
    <x-slot:evidence>
        <h2>Why it matters</h2>
        <p>A calibration belongs to the meter together with the electrode. Exchanging either voids it: the new pair begins uncalibrated, the old history stays.</p>
    </x-slot>
</x-house>
