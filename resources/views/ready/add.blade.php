<x-house :title="'Add ' . ($what->value === 'electrode' ? 'an ' : 'a ') . $what->value" room="Ready">
    @if (Gate::allows('record'))
    <form id="add" method="post" action="{{ route('add.store', $what) }}" data-keep>
        <x-form-id />
        @php([$seldom, $usual] = collect($what->fields())->partition(fn ($field, $name) => in_array($name, Rheacid\Shelf\NewThing::SELDOM, true)))
        <div class="fields">@foreach ($usual as $name => $field)<x-shelf-field :$name :$field />@endforeach</div>
        @if ($seldom->isNotEmpty())
            <details class="apart" @if ($errors->hasAny($seldom->keys()->all()) || $seldom->keys()->contains(fn ($name) => filled(old($name)))) open @endif>
                <summary>A conductivity or redox standard, a certificate, or a table of its own</summary>
                <div class="fields apart">@foreach ($seldom as $name => $field)<x-shelf-field :$name :$field />@endforeach</div>
            </details>
        @endif
    </form>
    @else
        <p class="what">Checkers and leads do this. What was recorded can be read.</p>
    @endif
    <x-slot:act><a href="{{ route('ready') }}">Back to the shelf</a><button class="do" form="add" data-primary>Put it on the shelf <kbd>Enter</kbd></button></x-slot>
    <x-slot:evidence>
        @if ($what === Rheacid\Shelf\NewThing::Bottle)
            <h2>How long it keeps</h2>
            <ul class="steps"><li>Buffers up to pH 7.5: 90 days after opening; alkaline ones 30, they take up carbon dioxide.</li><li>Ten pH calibrations, five of conductivity.</li><li>Sachets and powders: the day they are made up.</li><li>The printed expiry, if it comes first.</li></ul>
            <p class="note">These are common practice. A table printed on the bottle goes before the shipped one.</p>
        @else
            <h2>Why a code</h2>
            <p>Look-alikes are mixed up. A code on a label, typed or scanned into the search, opens the right thing.</p>
            <p class="note">A calibration belongs to a meter together with an electrode: pair them when both stand on the shelf.</p>
        @endif
    </x-slot>
</x-house>
