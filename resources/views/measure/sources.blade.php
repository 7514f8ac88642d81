<x-house title="Accepted outside sources" room="Site">
    <p class="what">A value measured elsewhere proves a critical or legal limit only if its source is listed here and its uncertainty is known.</p>
    <table class="stack">
        <caption class="visually-hidden">Accepted outside sources</caption>
        <thead><tr><th scope="col">Source</th><th scope="col">Accepted for</th><th scope="col">Reason</th><th scope="col">
            <span class="visually-hidden">Change</span></th></tr></thead>
        @forelse ($sources as $source)
            <tr>
                <td><b>{{ $source->name }}</b></td>
                <td><x-state :is="$source->is_named ? 'met' : 'idle'">{{ $source->measurand->name() }}{{ $source->is_named ? ''
                    : ', withdrawn' }}</x-state></td>
                <td>{{ $source->reason }}<br><span class="soft">{{ $source->person->name }}, {{ Rheacid\Site\SiteClock::short($source->at) }}</span></td>
                <td>@if ($source->is_named && Gate::allows('lead'))<details><summary>Withdraw</summary>
                    <form method="post" action="{{ route('sources.store') }}"><x-form-id /><input type="hidden" name="name" value="{{ $source->name }}">
                    <input type="hidden" name="measurand" value="{{ $source->measurand->value }}"><input type="hidden" name="is_named" value="0">
                    <x-field name="reason" :id="'f-back-' . $source->id" label="Reason" :keeps="false" maxlength="400" />
                    <button class="do quiet apart">Withdraw acceptance</button></form></details>@endif</td>
            </tr>
        @empty
            <tr><td colspan="4" class="soft">No source is accepted yet. Values from elsewhere are judged but prove no binding limit.</td></tr>
        @endforelse
    </table>
    @if (Gate::allows('lead'))
        <h2>Accept a source</h2>
        <form id="source" method="post" action="{{ route('sources.store') }}" data-keep>
            <x-form-id /><input type="hidden" name="is_named" value="1">
            <div class="fields">
                <x-field name="name" label="Source" help="exactly as typed in “Measured by”" maxlength="120" />
                <x-choice name="measurand" label="Accepted for" :options="collect(Rheacid\Http\Controllers\Measure\SourceController::quantities())
                    ->mapWithKeys(fn ($one) => [$one->value => $one->name()])" />
                <x-field name="reason" label="Reason" class="wide" help="for example an accreditation or a passed comparison" maxlength="400" />
            </div>
        </form>
        <x-slot:act><a href="{{ route('measure') }}">Measure</a><button class="do" form="source" data-primary>Accept source <kbd>Enter</kbd></button></x-slot>
    @endif
    <x-slot:evidence>
        <h2>Who decides</h2>
        <p>A lead accepts a source. It counts from then on; earlier values stay as they were judged.</p>
        <p class="note">This does not replace the rules of your authority.</p>
    </x-slot>
</x-house>
