@use(Rheacid\Core\Limits\Applies)
@use(Rheacid\Core\Limits\Comparison)
@use(Rheacid\Core\Limits\LimitKind)
@use(Rheacid\Core\Measurands\Measurand)
@php($product = $screen->product)
<x-house :title="'Change · ' . $product->name" room="Batches">
    <p class="what">Saving creates version {{ $product->version + 1 }}. Batches already started keep their version.</p>
    <div id="drawn" hx-post="{{ route('products.draw', $product) }}" hx-trigger="input changed delay:500ms from:#change, change from:#change"
        hx-include="#change" hx-swap="innerHTML">@include('products.drawn')</div>
    <form id="change" method="post" action="{{ route('products.update', $product) }}" data-keep>
        <x-form-id />
        <div class="fields">
            <x-field name="name" label="Name" :value="$product->name" maxlength="120" />
            <x-field name="expected_low_ph" label="Expected pH from" :value="$product->expected_low_ph" inputmode="decimal" />
            <x-field name="expected_high_ph" label="to pH" :value="$product->expected_high_ph" inputmode="decimal" />
            <x-choice name="method" label="Method" :options="collect($screen->methods)->mapWithKeys(fn ($one) => [$one->code => $one->name . ' (' . $one->code
                . ')'])" :value="$product->method->code" />
            <x-field name="routes" label="Process routes" help="one per line, like “Soured: the pH falls in time”; leave empty if there is only one"
                class="wide"><textarea class="form-control" id="f-routes" name="routes" rows="3" aria-describedby="f-routes-help" @error('routes')
                aria-invalid="true" @enderror>{{ is_string(old('routes')) ? old('routes')
                : Rheacid\Http\Forms\Products\TypedSafety::written($product) }}</textarea></x-field>
            <x-field name="needs_none" label="No measured limit protects it, because"
                help="leave empty if a limit does; otherwise a lead releases each batch with a reason" :value="$product->needs_none" maxlength="400"
                class="wide" />
            <x-choice name="kept" label="Storage" :options="['' => 'not stated',
                ...collect(Rheacid\Core\Products\StoredAt::cases())->mapWithKeys(fn ($where) => [$where->value => $where->words()])]"
                :value="$product->kept['where'] ?? ''" />
            <x-tick name="airtight" class="at-the-foot" :checked="old('airtight', $product->kept['airtight'] ?? false)">in airtight packages</x-tick>
            <x-field name="authority" label="Process authority" help="reference of the written process, if required" :value="$product->authority"
                maxlength="200" class="wide" />
            <x-field name="changed_because" label="What changed and why" help="kept with the version" maxlength="400" class="wide" />
        </div>
        @foreach ([...array_map(static fn($limit): array => [(string) $limit->id, $limit], $screen->limits),
            ...array_map(static fn(string $key): array => [$key, null], Rheacid\Http\Forms\Products\TypedLimits::blank())] as [$key, $limit])
            <details class="plan" @if ($limit === null && old("limits.$key.name")) open @endif>
                <summary>{{ $limit ? $limit->name . ' · ' . ($limit->course ? 'on a temperature record'
                    : Rheacid\Core\Words\LimitWords::written($limit->toCore())) : 'Add a limit' }}</summary>
                <div class="fields apart">
                    <x-field :name="'limits[' . $key . '][name]'" label="Name" :value="$limit?->name" maxlength="120" />
                    <x-choice :name="'limits[' . $key . '][kind]'" label="Kind"
                        :options="collect(LimitKind::cases())->mapWithKeys(fn ($kind) => [$kind->value => Rheacid\Core\Words\LimitWords::kind($kind)])"
                        :value="$limit?->kind->value ?? 'operating'" />
                    @if ($limit === null)
                        <x-choice :name="'limits[' . $key . '][measurand]'" label="Quantity" :options="Rheacid\Core\Measurands\Basis::all()" value="ph|" />
                    @endif
                    <x-choice :name="'limits[' . $key . '][op]'" label="Comparison"
                        :options="collect(Comparison::cases())->mapWithKeys(fn ($one) => [$one->value => $one === Comparison::Between ? 'between'
                        : $one->sign()])" :value="$limit?->op->value ?? '<='" />
                    <x-field :name="'limits[' . $key . '][low]'" label="Lower limit" :value="$limit?->edge('low')" inputmode="decimal" />
                    <x-field :name="'limits[' . $key . '][high]'" label="Upper limit" :value="$limit?->edge('high')" inputmode="decimal" />
                    @if ($limit === null || $limit->acidityUnits() !== [])
                        <x-choice :name="'limits[' . $key . '][unit]'" label="Unit of an acidity"
                        :options="$limit === null ? ['' => 'as judged: g of tartaric (volatile: acetic) acid'] + Rheacid\Models\LimitRow::allAcidityUnits()
                        : $limit->acidityUnits()" :value="$limit?->unit ?? ''" />@endif
                    <x-choice :name="'limits[' . $key . '][applies]'" label="When"
                        :options="collect(Applies::cases())->mapWithKeys(fn ($one) => [$one->value => $one->words()])"
                        :value="$limit?->applies->value ?? 'always'" />
                    <x-field :name="'limits[' . $key . '][hours]'" label="Within hours" :value="$limit?->hours" inputmode="decimal" />
                    <x-field :name="'limits[' . $key . '][since]'" label="Counted from" :value="$limit?->since ?? 'start'"
                        help="start, or a step such as pitched" maxlength="40" />
                    <x-field :name="'limits[' . $key . '][condition]'" label="Only if" :value="$limit?->condition" help="optional; asked once per batch"
                        maxlength="200" />
                    <x-field :name="'limits[' . $key . '][routes]'" label="Routes" :value="implode('; ', $limit?->routes ?? [])"
                        help="names separated by semicolons; leave empty for all routes" maxlength="400" />
                    @if (($limit?->course['kind'] ?? '') !== 'degree-hours' && ($limit === null || $limit->measurand === Measurand::Temperature))
                        @php($course = $limit?->course ?? [])
                        <x-choice :name="'limits[' . $key . '][course]'" label="On a temperature record"
                            :options="['' => 'no: each reading is judged'] + Rheacid\Http\Forms\Products\TypedLimits::COURSES" :value="$course['kind'] ?? ''" />
                        <x-field :name="'limits[' . $key . '][course_amount]'" label="Minutes, units or hours"
                            :value="isset($course['minutes']) || isset($course['units']) || ($course['kind'] ?? '') === 'time-beyond'
                            ? Rheacid\Core\Numbers::plain((float) ($course['minutes'] ?? $course['units'] ?? $course['hours'])) : ''"
                            help="minutes held, pasteurisation units, or hours allowed above" inputmode="decimal" />
                        <x-field :name="'limits[' . $key . '][course_z]'" label="z of the units, °C"
                            :value="Rheacid\Core\Numbers::plain((float) ($course['z_c'] ?? Rheacid\Core\Courses\Lethality::BEER_Z_C))"
                            help="for pasteurisation units; the lower limit is their base: 60 °C and z 7 °C for beer" inputmode="decimal" />
                        <x-field :name="'limits[' . $key . '][course_from]'" label="Record counts from step" :value="$course['from'] ?? ''"
                            help="for example packed; leave empty for the start" maxlength="40" />
                        <x-field :name="'limits[' . $key . '][course_to]'" label="to step" :value="$course['to'] ?? ''"
                            help="leave empty if the end of the record ends it" maxlength="40" />
                    @endif
                    <x-field :name="'limits[' . $key . '][if_violated]'" label="If not met" :value="$limit?->if_violated" maxlength="400" class="wide" />
                    <x-field :name="'limits[' . $key . '][source]'" label="Source" :value="$limit?->source" maxlength="200" class="wide" />
                    @if ($limit)
                        <x-tick :name="'limits[' . $key . '][out]'" :checked="old('limits.' . $key . '.out')">Remove this limit</x-tick>@endif
                </div>
            </details>
        @endforeach
        @include('products.sampling')
    </form>
    <x-slot:act><a href="{{ route('products.show', $product) }}">Back</a>
            <button class="do" form="change" data-primary>Save as version {{ $product->version + 1 }} <kbd>Enter</kbd></button></x-slot>
    <x-slot:evidence><h2>What holds a batch</h2>
        <p>Critical and legal limits are binding: if one is not met or not proven, the batch is held. Operating and spoilage limits are reported for review.
            Targets are your own.</p>
        <p class="note">You are responsible if you widen a critical limit. Name its source. A process authority and local codes take precedence.</p></x-slot>
</x-house>
