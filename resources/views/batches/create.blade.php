@php($product = $screen->product)
<x-house title="Start a batch" room="Batches">
    @if (!$product)
        <h2>Of what?</h2>
        <ul class="todo">
            @forelse ($screen->products as $one)
                <li>
                    <div><b>{{ $one->name }}</b><small>version {{ $one->version }} · {{ $one->family ?? 'own product' }}</small></div><a @class(['do', 'quiet' => !$loop->first]) href="{{ route('batches.create', ['product' => $one->id]) }}" @if ($loop->first) data-primary @endif>Choose<span class="visually-hidden"> {{ $one->name }}</span></a></li>
            @empty
                <li>No product yet. A lead makes one from the library.</li>
            @endforelse
        </ul>
        <x-slot:act><a href="{{ route('products') }}">Products and the library</a><a href="{{ route('batches') }}">Back</a></x-slot>
    @else
        <p class="what">{{ $product->name }}, version {{ $product->version }} · its limits stay with this batch, whatever is changed later</p>
        <form id="start" method="post" action="{{ route('batches.store') }}" data-keep>
            <x-form-id />
            <input type="hidden" name="product" value="{{ $product->id }}">
            <div class="fields">
                <x-field name="code" label="Code" :value="$screen->code" help="the next number; type another, or scan one" maxlength="20" />
                <x-field name="vessel" label="Vessel" :value="$screen->last?->vessel" help="like vat 2" maxlength="60" />
                <x-field name="size" label="Size" :value="$screen->last?->size" help="like 180 kg" maxlength="40" />
                <x-field name="started_at" label="Begun at" type="datetime-local" :value="Rheacid\SiteClock::field(now())" help="its limits count from then; the past is accepted too" />
            </div>
            @if ($product->routeNames() !== [])
                <fieldset class="apart"><legend>How is it made safe?</legend>
                    @foreach ($product->routes as $route)
                        <label class="form-check"><input class="form-check-input" type="radio" name="route" value="{{ $route['name'] }}" @checked(old('route') === $route['name'])> {{ $route['name'] }}<br><span class="soft">{{ $route['why'] ?? '' }}</span></label>@endforeach
                    @error('route')<p class="problem">{{ $message }}</p>@enderror
                </fieldset>
            @endif
            @if ($product->needs_none)<p class="caution">{{ $product->needs_none }}</p>@endif
            @if ($product->stage_of)<p class="note">A stage of a process, followed by {{ $product->stage_of }}: it is not released by itself.</p>@endif
            <details class="apart"><summary>Planned only, split off, or blended</summary>
                <label class="form-check apart"><input class="form-check-input" type="checkbox" name="planned" value="1" @checked(old('planned'))> planned: it has not begun</label>
                <x-field name="parents" label="Came out of" help="codes of batches, parted by a space: one it was split off from, or those it was blended of" maxlength="200" />
            </details>
        </form>
        @if (Gate::allows('record'))
            <x-slot:act><a href="{{ route('batches.create') }}">Another product</a>
                <button class="do" form="start" data-primary>Start {{ $screen->code }} <kbd>Enter</kbd></button></x-slot>
        @endif
        <x-slot:evidence>
            <h2>Its limits</h2>
            <dl>@foreach ($product->limits as $row)
                <dt>{{ $row->name }}: {{ Rheacid\Core\Words\LimitWords::bounds($row->toCore(), $row->course) }}</dt>
                <dd>{{ Rheacid\Core\Words\LimitWords::kind($row->kind) }}{{ $row->hours === null ? '' : ', within ' . Rheacid\Core\Numbers::plain($row->hours) . ' h of ' . ($row->since === 'start' ? 'the start' : $row->since) }}{{ $row->routes === null ? '' : ' · ' . implode('; ', $row->routes) }}</dd>@endforeach</dl>
            @foreach ($product->cautions() as $caution)<p class="caution">{{ $caution }}</p>@endforeach
            <p class="note">Not legal advice: check with your authority. Where one is required, a licensed process authority decides.</p>
        </x-slot>
    @endif
</x-house>
