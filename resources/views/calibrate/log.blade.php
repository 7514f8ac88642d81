@php($upload = $screen->upload)
<x-house :title="'Log ' . $upload->name" :room="$upload->draft ? 'Measure' : 'Calibrate'">
    <p class="what">{{ $upload->draft ? 'For a sample of ' . $upload->draft->sample->occasion->batch->code : 'For ' . $upload->pair->electrode->code . ' on ' . $upload->pair->name() }} · {{ count($screen->table->rows) }} points. Nothing is recorded yet.</p>
    <form method="get" action="{{ route('logs.show', $upload) }}">
        <div class="fields">
            @foreach (['time' => 'Time', 'mv' => 'Potential, mV', 'celsius' => 'Temperature, °C'] as $name => $label)
                <x-field :name="$name" :label="$label">
                    <select class="form-select" id="f-{{ $name }}" name="{{ $name }}" data-submits>@for ($column = 0; $column < $screen->table->width(); $column++)<option value="{{ $column }}" @selected($screen->columns->{$name} === $column)>{{ $screen->table->columnName($column) }}</option>@endfor</select>
                </x-field>
            @endforeach
        </div>
        <noscript><button class="do quiet apart">Read with these columns</button></noscript>
    </form>
    <x-settling-trace :figure="$screen->trace" :funnel="false" />
    @if ($screen->plateaus === [])
        <p class="verdict"><x-state is="care">No plateau.</x-state> Nowhere does the log stand still within 0.02 pH for long enough, on a point at least every 1.5 s. Check which column is what.</p>
    @else
        <form id="take" method="post" action="{{ $upload->draft ? route('logs.measure', $upload) : route('logs.calibrate', $upload) }}">
            <x-form-id />
            @foreach (['time', 'mv', 'celsius'] as $name)<input type="hidden" name="{{ $name }}" value="{{ $screen->columns->{$name} }}">@endforeach
            <table class="stack">
                <thead><tr><th>At rest</th><th>pH about</th><th>mV</th><th>{{ Rheacid\Core\Celsius::unit() }}</th><th>{{ $upload->draft ? 'Take' : 'Bottle' }}</th></tr></thead>
                @foreach ($screen->plateaus as $i => $row)
                    <tr>
                        <td class="nowrap">{{ (int) $row['plateau']->fromS }}–{{ (int) $row['plateau']->toS }} s</td>
                        <td class="num">{{ Rheacid\Core\Numbers::fixed($row['ph'], 2) }}</td>
                        <td>{{ Rheacid\Core\Numbers::fixed($row['plateau']->progress->mv, 1) }}</td>
                        <td>{{ Rheacid\Core\Celsius::bare($row['plateau']->progress->celsius, 1) }}</td>
                        <td>
                            @if ($upload->draft)
                                <label class="form-check"><input class="form-check-input" type="checkbox" name="take[]" value="{{ $i }}" checked> as a portion</label>
                            @else
                                <select class="form-select" name="lots[{{ $i }}]" aria-label="Bottle of the plateau {{ $i + 1 }}">
                                    <option value="">leave it out</option>
                                    @foreach ($screen->lots as $lot)<option value="{{ $lot->code }}" @selected(old("lots.$i", $row['lot']) === $lot->code)>{{ $lot->label }} · {{ $lot->code }}{{ $row['role'] === 'read-back' ? ' · read back' : '' }}</option>@endforeach
                                </select>
                            @endif
                        </td>
                    </tr>
                @endforeach
            </table>
            @unless ($upload->draft)
                <p class="form-text">The last plateau that has a bottle is the read-back; it may repeat a bottle.</p>
                <x-field name="reason" label="Why, if a plateau looks like another buffer (may stay empty)" class="apart" maxlength="400" />
            @endunless
        </form>
        <x-slot:act>
            <a href="{{ $upload->draft ? route('drafts.show', $upload->draft) : route('runs.create', $upload->pair) }}">Take nothing</a>
            <button class="do" form="take" data-primary>{{ $upload->draft ? 'Take the ticked portions' : 'Calibrate from this log' }} <kbd>Enter</kbd></button>
        </x-slot>
    @endif
    <x-slot:evidence>
        <h2>How it is read</h2>
        <ul class="steps">
            <li>A plateau stands still within 0.02 pH for 30 s, as in live work.</li>
            <li>A silence of more than 3 s means that the electrode was lifted.</li>
            <li>A buffer is recognised from its potential; you confirm the bottle.</li>
        </ul>
    </x-slot>
</x-house>
