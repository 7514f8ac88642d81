<x-house title="Import instruments and bottles" room="Ready">
    @if ($file === null)
        <form id="shelf" method="post" action="{{ route('shelf.preview') }}" enctype="multipart/form-data" data-keep>
            <x-form-id />
            <x-field name="file" label="CSV file" help="cells separated by comma or semicolon; the first line names the columns">
                <input class="form-control" id="f-file" type="file" name="file" accept=".csv,text/csv,text/plain"></x-field>
            <x-field name="shelf" label="Or paste the text" class="apart">
                <textarea class="form-control" id="f-shelf" name="shelf" rows="10">{{ $text }}</textarea></x-field>
        </form>
    @else
        <p class="verdict">@if ($file->isWhole())<x-state is="met">Ready to import.</x-state> {{ count($file->rows) === 1 ? 'One line' : count($file->rows)
            . ' lines' }}. Nothing has been recorded yet.@else<x-state
            is="care">Some lines have errors.</x-state> Correct them below and check again. A file is imported as a whole or not at all.@endif</p>
        <table class="stack">
            <caption class="visually-hidden">Import instruments and bottles</caption>
            <thead><tr><th scope="col">Line</th><th scope="col">Code</th><th scope="col">Kind</th><th scope="col">Check</th></tr></thead>
            @foreach ($file->rows as $row)
                <tr><td>{{ $row['line'] }}</td><td><b>{{ $row['code'] }}</b></td><td>{{ $row['what'] }}</td><td>@if ($row['problems'] === [])
                    <x-state is="met">ready</x-state>@else<x-state is="fail">{{ implode('; ', $row['problems']) }}</x-state>@endif</td></tr>
            @endforeach
        </table>
        <form id="take" method="post" action="{{ $file->isWhole() ? route('shelf.take') : route('shelf.preview') }}">
            <x-form-id />
            <x-field name="shelf" label="Text" class="apart"><textarea class="form-control" id="f-shelf" name="shelf" rows="8"
                @readonly($file->isWhole())>{{ $text }}</textarea></x-field>
        </form>
    @endif
    <x-slot:act>
        <a href="{{ $file === null ? route('ready') : route('shelf.import') }}">{{ $file === null ? 'Back' : 'Choose another file' }}</a>
        @if ($file === null)<button class="do" form="shelf" data-primary>Check file <kbd>Enter</kbd></button>
        @elseif ($file->isWhole())<button class="do" form="take" data-primary>Import <kbd>Enter</kbd></button>
        @else<button class="do" form="take" data-primary>Check again <kbd>Enter</kbd></button>@endif
    </x-slot>
    <x-slot:evidence>
        <h2>Columns</h2>
        <dl>
            <dt>what, code</dt><dd>required; “what” is meter, electrode, thermometer or bottle</dd>
            @foreach (Rheacid\Http\Forms\Ready\ThingKind::cases() as $what)<dt>{{ $what->value }}</dt><dd>
                {{ implode(', ', array_diff(array_keys($what->fields()), ['code'])) }}</dd>@endforeach
        </dl>
    </x-slot>
</x-house>
