<x-house title="Values from elsewhere" room="Measure">
    <p class="what">A value from elsewhere proves a critical or legal limit only where its source is named here, and its uncertainty is known.</p>
    <table class="stack">
        <thead><tr><th>Source</th><th>Believed for</th><th>Why</th><th></th></tr></thead>
        @forelse ($sources as $source)
            <tr>
                <td><b>{{ $source->name }}</b></td>
                <td><x-state :is="$source->is_named ? 'met' : 'idle'">{{ $source->measurand->name() }}{{ $source->is_named ? '' : ', taken back' }}</x-state></td>
                <td>{{ $source->reason }}<br><span class="soft">{{ $source->person->name }}, {{ Rheacid\SiteClock::short($source->at) }}</span></td>
                <td>@if ($source->is_named && Gate::allows('lead'))<details><summary>Take it back</summary><form method="post" action="{{ route('sources.store') }}"><x-form-id /><input type="hidden" name="name" value="{{ $source->name }}"><input type="hidden" name="measurand" value="{{ $source->measurand->value }}"><input type="hidden" name="is_named" value="0"><label class="form-label" for="f-back-{{ $source->id }}">Why</label><input class="form-control" id="f-back-{{ $source->id }}" name="reason" maxlength="400" autocomplete="off"><button class="do quiet apart">Take it back</button></form></details>@endif</td>
            </tr>
        @empty
            <tr><td colspan="4" class="soft">No source is named. What comes from elsewhere is judged, and proves nothing that binds.</td></tr>
        @endforelse
    </table>
    @if (Gate::allows('lead'))
        <h2>Name one</h2>
        <form id="source" method="post" action="{{ route('sources.store') }}" data-keep>
            <x-form-id /><input type="hidden" name="is_named" value="1">
            <div class="fields">
                <x-field name="name" label="Source" help="as it will be typed: Measured by" maxlength="120" />
                <x-field name="measurand" label="Believed for"><select class="form-select" id="f-measurand" name="measurand">@foreach (Rheacid\Http\Controllers\SourceController::quantities() as $one)<option value="{{ $one->value }}" @selected(old('measurand') === $one->value)>{{ $one->name() }}</option>@endforeach</select></x-field>
                <x-field name="reason" label="Why" class="wide" help="an accreditation, a comparison that was passed" maxlength="400" />
            </div>
        </form>
        <x-slot:act><a href="{{ route('measure') }}">Measure</a><button class="do" form="source" data-primary>Name it <kbd>Enter</kbd></button></x-slot>
    @endif
    <x-slot:evidence>
        <h2>Who names it</h2>
        <p>A lead. It counts from then on; values that were entered before stay as they were judged.</p>
        <p class="note">Nothing here replaces what your authority accepts.</p>
    </x-slot>
</x-house>
