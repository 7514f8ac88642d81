<x-house :title="'Policy ' . $policy->name" room="Ready">
    @php($leads = Gate::allows('lead'))
    @php($choices = [
        'interval_kind' => ['Calibration is valid for', array_map(fn ($kind) => [$kind->value, Rheacid\View\Ready\PolicyWords::kind($kind)],
            Rheacid\Core\Care\IntervalKind::cases()), $policy->interval_kind->value],
        'buffer_family' => ['Buffers', array_map(fn ($family) => [$family->value, Rheacid\View\Ready\PolicyWords::family($family)],
            Rheacid\Core\Solutions\BufferFamily::cases()), $policy->buffer_family->value],
        'buffer_order' => ['Order of buffers', array_map(fn ($order) => [$order->value, Rheacid\View\Ready\PolicyWords::order($order)],
            Rheacid\Core\Solutions\BufferOrder::cases()), $policy->buffer_order->value],
        'fit' => ['Calibration line', array_map(fn ($fit) => [$fit->value, Rheacid\View\Ready\PolicyWords::fit($fit)],
            Rheacid\Core\Electrode\FitMethod::cases()), $policy->fit->value],
        'said_proves' => ['Typed readings that were stable before typing', [['0', 'prove no binding limit'], ['1', 'prove binding limits too']],
            $policy->said_proves ? '1' : '0'],
        'rinse' => ['Rinse with', [['distilled', 'distilled or deionised water'], ['tap', 'clean tap water']], $policy->rinse],
    ])
    <p class="what">Version {{ $policy->version }}@if ($versions->first()->isNot($policy)). <a
        href="{{ route('policies.show', $versions->first()) }}">The newest is version {{ $versions->first()->version }}</a>@endif</p>
    @error('policy')<p class="problem">{{ $message }}</p>@enderror
    <form id="policy" @if ($leads) method="post" action="{{ route('policies.update', $policy) }}" data-keep @endif>
        <x-form-id />
        <fieldset class="fields" @disabled(!$leads)>
            @foreach (Rheacid\Http\Forms\Ready\PolicyRequest::NUMBERS as $name => [$label])
                <x-field :name="$name" :label="$label" inputmode="decimal" :value="$policy->getAttribute($name)" />
            @endforeach
            @foreach ($choices as $name => [$label, $options, $now])
                <x-choice :$name :$label :options="array_column($options, 1, 0)" :value="$now" />
                @if ($name === 'interval_kind')<x-field name="interval_count" label="Number of them" inputmode="numeric"
                    :value="$policy->interval_count" />@endif
            @endforeach
            @if ($leads)
                <x-field name="copy_as" label="Save as a copy named" help="leave empty to change this policy" maxlength="80" />
                <x-field name="reason" label="Reason for the change" maxlength="400" />
            @endif
        </fieldset>
    </form>
    <x-slot:act><a href="{{ route('policies') }}">All policies</a>@if ($leads)<button class="do" form="policy"
        data-primary>Save policy <kbd>Enter</kbd></button>@endif</x-slot>
    <x-slot:evidence>
        <h2>Versions</h2>
        <dl>@foreach ($versions as $version)<dt><a href="{{ route('policies.show', $version) }}">Version {{ $version->version }}</a></dt><dd>
            slope from {{ Rheacid\Core\Numbers::plain($version->slope_low_percent) }} %, {{ Rheacid\View\Ready\PolicyWords::interval($version) }}</dd>
            @endforeach</dl>
        @if ($assignments->isNotEmpty())<h2>Assigned to</h2><dl>@foreach ($assignments as $assignment)<dt>
            {{ $assignment->pair->electrode->code }} since {{ Rheacid\Site\SiteClock::day($assignment->at) }}</dt><dd>
            {{ implode(': ', array_filter([$assignment->person?->name, $assignment->reason])) }}</dd>@endforeach</dl>@endif
        @unless ($leads)<p class="note">Only a lead can change policies.</p>@endunless
    </x-slot>
</x-house>
