<x-house title="Take a shelf from a file" room="Ready">
    @if ($file === null)
        @if (Gate::allows('record'))
        <form id="shelf" method="post" action="{{ route('shelf.preview') }}" enctype="multipart/form-data" data-keep>
            <x-form-id />
            <x-field name="file" label="CSV file" help="comma or semicolon between the cells; the first line names the columns"><input class="form-control" id="f-file" type="file" name="file" accept=".csv,text/csv,text/plain"></x-field>
            <x-field name="shelf" label="Or its text" class="apart"><textarea class="form-control" id="f-shelf" name="shelf" rows="10">{{ $text }}</textarea></x-field>
        </form>
        @else
            <p class="what">Checkers and leads do this. What was recorded can be read.</p>
        @endif
    @else
        <p class="verdict">@if ($file->isWhole())<x-state is="met">Everything can be taken.</x-state> {{ count($file->rows) }} {{ count($file->rows) === 1 ? 'thing' : 'things' }}; nothing is on the shelf yet.@else<x-state is="care">Not yet.</x-state> Mend the lines that cannot be taken, and send the text again. A file is taken whole or not at all.@endif</p>
        <table class="stack">
            <thead><tr><th>Line</th><th>Code</th><th>What</th><th></th></tr></thead>
            @foreach ($file->rows as $row)
                <tr><td>{{ $row['line'] }}</td><td><b>{{ $row['code'] }}</b></td><td>{{ $row['what'] }}</td><td>@if ($row['problems'] === [])<x-state is="met">can be taken</x-state>@else<x-state is="fail">{{ implode('; ', $row['problems']) }}</x-state>@endif</td></tr>
            @endforeach
        </table>
        <form id="take" method="post" action="{{ $file->isWhole() ? route('shelf.take') : route('shelf.preview') }}">
            <x-form-id />
            <x-field name="shelf" label="The text" class="apart"><textarea class="form-control" id="f-shelf" name="shelf" rows="8" @readonly($file->isWhole())>{{ $text }}</textarea></x-field>
        </form>
    @endif
    <x-slot:act>
        <a href="{{ $file === null ? route('ready') : route('shelf.import') }}">{{ $file === null ? 'Back to the shelf' : 'Another file' }}</a>
        @if ($file === null)<button class="do" form="shelf" data-primary>Look at it first <kbd>Enter</kbd></button>
        @elseif ($file->isWhole())<button class="do" form="take" data-primary>Put them on the shelf <kbd>Enter</kbd></button>
        @else<button class="do" form="take" data-primary>Look again <kbd>Enter</kbd></button>@endif
    </x-slot>
    <x-slot:evidence>
        <h2>Columns</h2>
        <dl>
            <dt>what, code</dt><dd>needed; what is meter, electrode, thermometer or bottle</dd>
            @foreach (Rheacid\Shelf\NewThing::cases() as $what)<dt>{{ $what->value }}</dt><dd>{{ implode(', ', array_diff(array_keys($what->fields()), ['code'])) }}</dd>@endforeach
        </dl>
    </x-slot>
</x-house>
