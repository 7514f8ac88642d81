<x-house title="Alike probes side by side" room="Verify">
    @forelse ($groups as $name => $group)
        <h2>{{ ucfirst($name) }}</h2>
        @if ($group['suspect'])<p class="verdict"><x-state is="care">Suspect the bath.</x-state> Several of them read high in the ice: make a fresh slush before you blame the probes.</p>@endif
        @if ($group['chart']->series !== [])<x-history-chart :figure="$group['chart']" />@endif
        <table class="stack">@foreach ($group['lines'] as $line)<tr><td><a class="cell-link" href="{{ route('thermometers.show', $line->id) }}"><b>{{ $line->code }}</b></a></td><td>{{ $line->name }}</td><td><x-thermometer-state :line="$line" /></td><td>{{ $line->intervalDays === null ? '' : 'every ' . $line->intervalDays . ' days' }}</td></tr>@endforeach</table>
    @empty
        <p>No thermometer stands on the shelf yet.</p>
    @endforelse
    <x-slot:act><a class="do" href="{{ route('verify') }}" data-primary>Back <kbd>Enter</kbd></a></x-slot>
    <x-slot:evidence><h2>Why together</h2><p>Alike probes in like service earn a longer interval together, sooner than one alone: of the same kind, in the same place.</p></x-slot>
</x-house>
