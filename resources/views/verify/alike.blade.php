<x-house title="Thermometers side by side" room="Verify">
    @forelse ($groups as $name => $group)
        <h2>{{ ucfirst($name) }}</h2>
        @if ($group['suspect'])<p class="verdict"><x-state
            is="care">Check the bath first.</x-state> Several probes read high in the ice. Make fresh slush before you suspect the probes.</p>@endif
        @if ($group['chart']->series !== [])<x-history-chart :figure="$group['chart']" />@endif
        <table class="stack"><caption class="visually-hidden">{{ ucfirst($name) }}</caption>@foreach ($group['lines'] as $line)<tr><th scope="row">
            <a class="cell-link" href="{{ route('thermometers.show', $line->id) }}"><b>{{ $line->code }}</b></a></th><td>{{ $line->name }}</td><td>
            <x-thermometer-state :line="$line" /></td><td>{{ $line->use->intervalDays === null ? '' : 'every ' . $line->use->intervalDays . ' days' }}</td></tr>
            @endforeach</table>
    @empty
        <p>No thermometer yet.</p>
    @endforelse
    <x-slot:act><a class="do" href="{{ route('verify') }}" data-primary>Back <kbd>Enter</kbd></a></x-slot>
    <x-slot:evidence><h2>Shared history</h2><p>
        Probes of the same kind in the same place share their history. Together they reach a longer interval sooner than one probe alone.</p></x-slot>
</x-house>
