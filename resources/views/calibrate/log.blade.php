@php($upload = $screen->upload)
<x-house :title="'Log ' . $upload->name" :room="$upload->draft ? 'Measure' : 'Calibrate'">
    <p class="what">{{ $upload->draft ? 'For a sample of ' . $upload->draft->sample->occasion->batch->code : 'For ' . $upload->pair->electrode->code . ' on '
        . $upload->pair->name() }} · {{ count($screen->table->rows) }} points. Nothing has been recorded yet.</p>
    <form method="get" action="{{ route('logs.show', $upload) }}">
        <div class="fields">
            @foreach (['time' => 'Time', 'mv' => 'Potential, mV', 'celsius' => 'Temperature, °C'] as $name => $label)
                <x-choice :$name :$label :options="array_map($screen->table->columnName(...), range(0, $screen->table->width() - 1))"
                    :value="$screen->columns->{$name}" submits />
            @endforeach
        </div>
        <noscript><button class="do quiet apart">Use these columns</button></noscript>
    </form>
    <x-settling-trace :figure="$screen->trace" :funnel="false" />
    @if ($screen->plateaus === [])
        <p class="verdict"><x-state is="care">No stable stretch found.</x-state> The log is nowhere stable within {{ Rheacid\Core\Numbers::fixed(0.02,
            2) }} pH for long enough, with a point at least every {{ Rheacid\Core\Numbers::fixed(1.5, 1) }} s. Check the columns above.</p>
    @else
        <form id="take" method="post" action="{{ $upload->draft ? route('logs.measure', $upload) : route('logs.calibrate', $upload) }}">
            <x-form-id />
            @foreach (['time', 'mv', 'celsius'] as $name)<input type="hidden" name="{{ $name }}" value="{{ $screen->columns->{$name} }}">@endforeach
            <table class="stack">
                <caption class="visually-hidden">{{ 'Log ' . $upload->name }}</caption>
                <thead><tr><th scope="col">Stable</th><th scope="col">pH, about</th><th scope="col">mV</th><th scope="col">{{ Rheacid\Core\Celsius::unit() }}
                    </th><th scope="col">{{ $upload->draft ? 'Use' : 'Bottle' }}</th></tr></thead>
                @foreach ($screen->plateaus as $i => $row)
                    <tr>
                        <td class="nowrap">{{ (int) $row['plateau']->fromS }}–{{ (int) $row['plateau']->toS }} s</td>
                        <td class="num">{{ Rheacid\Core\Numbers::fixed($row['ph'], 2) }}</td>
                        <td>{{ Rheacid\Core\Numbers::fixed($row['plateau']->progress->mv, 1) }}</td>
                        <td>{{ Rheacid\Core\Celsius::bare($row['plateau']->progress->celsius, 1) }}</td>
                        <td>
                            @if ($upload->draft)
                                <x-tick name="take[]" :value="(string) $i" :id="'f-take-' . $i" checked :keeps="false">as a portion</x-tick>
                            @else
                                <select class="form-select" name="lots[{{ $i }}]" aria-label="Bottle of stretch {{ $i + 1 }}">
                                    <option value="">leave it out</option>
                                    @foreach ($screen->lots as $lot)<option value="{{ $lot->code }}" @selected(old("lots.$i", $row['lot']) === $lot->code)>
                                        {{ $lot->label }} · {{ $lot->code }}{{ $row['role'] === 'read-back' ? ' · read-back' : '' }}</option>@endforeach
                                </select>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </table>
            @unless ($upload->draft)
                <p class="form-text">The last stretch with a bottle is the read-back. It may repeat a bottle.</p>
                <x-point-questions form="take" />
                @if ($errors->has('soak_reason') || $errors->has('reason') || old('reason'))
                    <x-field name="reason" label="Reason not to wait" class="apart" maxlength="400" />@endif
            @endunless
        </form>
        <x-slot:act>
            <a href="{{ $upload->draft ? route('drafts.show', $upload->draft) : route('runs.create', $upload->pair) }}">Cancel</a>
            <button class="do" form="take" data-primary>{{ $upload->draft ? 'Use ticked portions' : 'Calibrate from log' }} <kbd>Enter</kbd></button>
        </x-slot>
    @endif
    <x-slot:evidence>
        <h2>How the log is read</h2>
        <ul class="steps">
            <li>A stretch counts as stable if it stays within {{ Rheacid\Core\Numbers::fixed(0.02, 2) }} pH for 30 s, as at the bench.</li>
            <li>A gap of more than 3 s means that the electrode was lifted.</li>
            <li>Rheacid recognises each buffer from its potential. You confirm the bottle.</li>
        </ul>
    </x-slot>
</x-house>
