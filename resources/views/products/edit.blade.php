@use(Rheacid\Core\Limits\Applies)
@use(Rheacid\Core\Limits\Comparison)
@use(Rheacid\Core\Limits\LimitKind)
@use(Rheacid\Core\Measurands\Measurand)
@php($product = $screen->product)
<x-house :title="'Change · ' . $product->name" room="Batches">
    <p class="what">This makes version {{ $product->version + 1 }}. Batches that have begun keep the version they were started under.</p>
    <div id="drawn" hx-post="{{ route('products.draw', $product) }}" hx-trigger="input changed delay:500ms from:#change, change from:#change" hx-include="#change" hx-swap="innerHTML">@include('products.drawn')</div>
    @if (Gate::allows('lead'))
    <form id="change" method="post" action="{{ route('products.update', $product) }}" data-keep>
        <x-form-id />
        <div class="fields">
            <x-field name="name" label="Name" :value="$product->name" maxlength="120" />
            <x-field name="expected_low_ph" label="Usually from pH" :value="$product->expected_low_ph" inputmode="decimal" />
            <x-field name="expected_high_ph" label="up to pH" :value="$product->expected_high_ph" inputmode="decimal" />
            <x-field name="method" label="Measured by"><select class="form-select" id="f-method" name="method">@foreach ($screen->methods as $one)
                <option value="{{ $one->code }}" @selected(old('method', $product->method->code) === $one->code)>{{ $one->name }} ({{ $one->code }})</option>@endforeach</select>
            </x-field>
            <x-field name="routes" label="Routes by which it is made safe" help="one a line, like Soured: the pH comes down in time; empty where there is one only" class="wide"><textarea class="form-control" id="f-routes" name="routes" rows="3">{{ is_string(old('routes')) ? old('routes') : Rheacid\Products\TypedSafety::written($product) }}</textarea></x-field>
            <x-field name="needs_none" label="Nothing measured guards it, because" help="empty where a limit does; else a lead releases it with a reason, and the papers say so" :value="$product->needs_none" maxlength="400" class="wide" />
            <x-field name="kept" label="It is kept"><select class="form-select" id="f-kept" name="kept">
                <option value="">not said</option>@foreach (Rheacid\Core\Products\KeptAt::cases() as $where)
                <option value="{{ $where->value }}" @selected(old('kept', $product->kept['where'] ?? '') === $where->value)>{{ $where->words() }}</option>@endforeach</select>
            </x-field>
            <label class="form-check at-the-foot"><input class="form-check-input" type="checkbox" name="airtight" value="1" @checked(old('airtight', $product->kept['airtight'] ?? false))> in airtight packages</label>
            <x-field name="authority" label="Process authority" help="reference of its written process, where one is needed" :value="$product->authority" maxlength="200" class="wide" />
            <x-field name="changed_because" label="What is changed, and why" help="stands with the version for ever" maxlength="400" class="wide" />
        </div>
        @foreach ([...array_map(static fn($limit): array => [(string) $limit->id, $limit], $screen->limits), ...array_map(static fn(string $key): array => [$key, null], Rheacid\Products\TypedLimits::blank())] as [$key, $limit])
            <details class="plan" @if ($limit === null && old("limits.$key.name")) open @endif>
                <summary>{{ $limit ? $limit->name . ' · ' . ($limit->course ? 'on a course of temperatures' : Rheacid\Core\Words\LimitWords::written($limit->toCore())) : 'Another limit' }}</summary>
                <div class="fields apart">
                    <x-field :name="'limits[' . $key . '][name]'" label="Name" :value="$limit?->name" maxlength="120" />
                    <x-field :name="'limits[' . $key . '][kind]'" label="Kind">
                        <select class="form-select" id="f-limits-{{ $key }}-kind" name="limits[{{ $key }}][kind]">@foreach (LimitKind::cases() as $kind)
                        <option value="{{ $kind->value }}" @selected(old("limits.$key.kind", $limit?->kind->value ?? 'operating') === $kind->value)>{{ Rheacid\Core\Words\LimitWords::kind($kind) }}</option>@endforeach</select>
                    </x-field>
                    @if ($limit === null)
                        <x-field :name="'limits[' . $key . '][measurand]'" label="Of what">
                            <select class="form-select" id="f-limits-{{ $key }}-measurand" name="limits[{{ $key }}][measurand]">@foreach (Measurand::cases() as $one)
                            <option value="{{ $one->value }}" @selected(old("limits.$key.measurand", 'ph') === $one->value)>{{ $one->name() }}{{ $one->unit() === '' ? '' : ', ' . $one->unit() }}</option>@endforeach</select>
                        </x-field>
                    @endif
                    <x-field :name="'limits[' . $key . '][op]'" label="Compared">
                        <select class="form-select" id="f-limits-{{ $key }}-op" name="limits[{{ $key }}][op]">@foreach (Comparison::cases() as $one)
                        <option value="{{ $one->value }}" @selected(old("limits.$key.op", $limit?->op->value ?? '<=') === $one->value)>{{ $one === Comparison::Between ? 'between' : $one->sign() }}</option>@endforeach</select>
                    </x-field>
                    <x-field :name="'limits[' . $key . '][low]'" label="Lower edge" :value="$limit?->low" :help="$limit?->typed !== null && $limit->measurand === Measurand::TitratableAcidity ? 'g of tartaric acid' : null" inputmode="decimal" />
                    <x-field :name="'limits[' . $key . '][high]'" label="Upper edge" :value="$limit?->high" :help="$limit?->typed !== null && $limit->measurand === Measurand::TitratableAcidity ? 'g of tartaric acid' : null" inputmode="decimal" />
                    <x-field :name="'limits[' . $key . '][applies]'" label="When">
                        <select class="form-select" id="f-limits-{{ $key }}-applies" name="limits[{{ $key }}][applies]">@foreach (Applies::cases() as $one)
                        <option value="{{ $one->value }}" @selected(old("limits.$key.applies", $limit?->applies->value ?? 'always') === $one->value)>{{ $one->words() }}</option>@endforeach</select>
                    </x-field>
                    <x-field :name="'limits[' . $key . '][hours]'" label="Within hours" :value="$limit?->hours" inputmode="decimal" />
                    <x-field :name="'limits[' . $key . '][since]'" label="Counted from" :value="$limit?->since ?? 'start'" help="start, or a step like pitched" maxlength="40" />
                    <x-field :name="'limits[' . $key . '][condition]'" label="Only if" :value="$limit?->condition" help="asked once per batch; may stay empty" maxlength="200" />
                    <x-field :name="'limits[' . $key . '][routes]'" label="On routes" :value="implode('; ', $limit?->routes ?? [])" help="names, parted by a semicolon; empty: on all" maxlength="400" />
                    <x-field :name="'limits[' . $key . '][throughout]'" label="Temperature throughout from" :value="($limit?->course['kind'] ?? '') === 'throughout' ? $limit->course['from'] : ''" help="a step like packed: it holds all the time from then on" maxlength="40" />
                    <x-field :name="'limits[' . $key . '][if_violated]'" label="If it is not met" :value="$limit?->if_violated" maxlength="400" class="wide" />
                    <x-field :name="'limits[' . $key . '][source]'" label="Source" :value="$limit?->source" maxlength="200" class="wide" />
                    @if ($limit)
                        <label class="form-check"><input class="form-check-input" type="checkbox" name="limits[{{ $key }}][out]" value="1" @checked(old("limits.$key.out"))> leave it out</label>@endif
                </div>
            </details>
        @endforeach
        @include('products.sampling')
    </form>
    @else
        <p class="what">A lead does this. What was recorded can be read.</p>
    @endif
    @if (Gate::allows('lead'))
        <x-slot:act><a href="{{ route('products.show', $product) }}">Back</a>
            <button class="do" form="change" data-primary>Keep as version {{ $product->version + 1 }} <kbd>Enter</kbd></button></x-slot>
    @endif
    <x-slot:evidence><h2>What holds a batch</h2>
        <p>Critical and legal limits bind: not met or not proven holds the batch. Operating limits and spoilage are told and reviewed; targets are the maker’s.</p>
        <p class="note">Widening a critical limit is yours to answer for: name its source. A process authority and local codes outrank it.</p></x-slot>
</x-house>
