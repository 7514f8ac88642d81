<x-house :title="'Add ' . ($what->value === 'electrode' ? 'an ' : 'a ') . $what->value" room="Ready">
    <form id="add" method="post" action="{{ route('add.store', $what) }}" data-keep>
        <x-form-id />
        @php([$seldom, $usual] = collect($what->fields())->partition(fn ($field, $name) => in_array($name, Rheacid\Http\Forms\Ready\ThingKind::SELDOM, true)))
        <div class="fields">@foreach ($usual as $name => $field)<x-shelf-field :$name :$field />@endforeach</div>
        @if ($seldom->isNotEmpty())
            <details class="apart" @if ($errors->hasAny($seldom->keys()->all()) || $seldom->keys()->contains(fn ($name) => filled(old($name)))) open @endif>
                <summary>Conductivity or redox standard, certificate, printed table</summary>
                <div class="fields apart">@foreach ($seldom as $name => $field)<x-shelf-field :$name :$field />@endforeach</div>
            </details>
        @endif
    </form>
    <x-slot:act><a href="{{ route('ready') }}">Back</a><button class="do" form="add" data-primary>Add {{ $what->value }} <kbd>Enter</kbd></button></x-slot>
    <x-slot:evidence>
        @if ($what === Rheacid\Http\Forms\Ready\ThingKind::Bottle)
            <h2>Shelf life</h2>
            <ul class="steps"><li>Buffers up to pH 7.5: 90 days after opening. Alkaline buffers: 30 days, because they take up carbon dioxide.</li><li>
                Ten pH calibrations, or five for conductivity.</li><li>Sachets and powders: the day they are made up.</li><li>
                The printed expiry date, if it comes first.</li></ul>
            <p class="note">Common practice, no source. A table printed on the bottle replaces the built-in one.</p>
        @else
            <h2>Codes</h2>
            <p>Similar instruments get mixed up. Put the code on a label and scan it, or type it into the search, to open the right one.</p>
            <p class="note">A calibration belongs to one meter with one electrode. Add both, then pair them.</p>
        @endif
    </x-slot>
</x-house>
