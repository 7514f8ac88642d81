@php($product = $screen->product)
<x-house title="Start batch" room="Batches">
    @if (!$product)
        <h2>Choose a product</h2>
        <ul class="todo">
            @forelse ($screen->products as $one)
                <li>
                    <div><b>{{ $one->name }}</b><small>version {{ $one->version }} · {{ $one->family ?? 'own product' }}</small></div>
                        <a @class(['do', 'quiet' => !$loop->first]) href="{{ route('batches.create', ['product' => $one->id]) }}" @if ($loop->first)
                        data-primary @endif>Choose<span class="visually-hidden"> {{ $one->name }}</span></a></li>
            @empty
                <li>No product yet. A lead adopts one from the library.</li>
            @endforelse
        </ul>
        <x-slot:act><a href="{{ route('products') }}">Products and library</a><a href="{{ route('batches') }}">Back</a></x-slot>
    @else
        <p class="what">{{ $product->name }}, version {{ $product->version }} · the batch keeps these limits, even if the product changes later</p>
        @php($standing = $screen->standing)
        @if ($standing->id !== $product->id)<p class="verdict answer">
            <x-state is="care">Not the newest version.</x-state> <span>Version {{ $standing->version }} of {{ $standing->name }} has replaced this one; its
            limits may differ. <b><a href="{{ route('batches.create', ['product' => $standing->id]) }}">Use version {{ $standing->version }}</a></b></span>
            </p>@endif
        <form id="start" method="post" action="{{ route('batches.store') }}" data-keep>
            <x-form-id />
            <input type="hidden" name="product" value="{{ $product->id }}">
            <input type="hidden" name="standing" value="{{ $standing->id }}">
            <div class="fields">
                <x-field name="code" label="Code" :value="$screen->code" help="next number suggested; you can type or scan another" maxlength="20" />
                <x-field name="vessel" label="Vessel" :value="$screen->last?->vessel" help="for example vat 2" maxlength="60" />
                <x-field name="size" label="Size" :value="$screen->last?->size" help="for example 180 kg" maxlength="40" />
                <x-field name="started_at" label="Started at" type="datetime-local" :value="Rheacid\Site\SiteClock::field(now())"
                    help="time limits count from here; a past time is accepted" />
            </div>
            @if ($product->routeNames() !== [])
                <fieldset class="apart"><legend class="form-label">Process route</legend>
                    @foreach ($product->routes as $route)
                        <label class="form-check" for="f-route-{{ $loop->index }}">
                            <input class="form-check-input" type="radio" id="f-route-{{ $loop->index }}" name="route" value="{{ $route['name'] }}"
                            @checked(old('route') === $route['name']) @error('route') aria-invalid="true" aria-describedby="f-route-help" @enderror>
                            {{ $route['name'] }}<br><span class="soft">{{ $route['why'] ?? '' }}</span></label>@endforeach
                    @error('route')<p class="problem" id="f-route-help">{{ $message }}</p>@enderror
                </fieldset>
            @endif
            @if ($product->needs_none)<p class="caution">{{ $product->needs_none }}</p>@endif
            @if ($product->stage_of)<p class="note">One stage of a process, followed by {{ $product->stage_of }}. It is not released on its own.</p>@endif
            <details class="apart"><summary>Planned, split or blended batch</summary>
                <x-tick name="planned" class="apart" :checked="old('planned')">Planned: not started yet</x-tick>
                <x-field name="parents" label="Made from batches"
                    help="codes separated by spaces: the batch it was split from, or the batches it was blended from" maxlength="200" />
            </details>
        </form>
        @if (Gate::allows('record'))
            <x-slot:act><a href="{{ route('batches.create') }}">Choose another product</a>
                <button class="do" form="start" data-primary>Start batch <kbd>Enter</kbd></button></x-slot>
        @endif
        <x-slot:evidence>
            <h2>Limits</h2>
            <dl>@foreach ($product->limits as $row)
                <dt>{{ $row->name }}: {{ Rheacid\Core\Words\LimitWords::bounds($row->toCore(), $row->course) }}</dt>
                <dd>{{ Rheacid\Core\Words\LimitWords::kind($row->kind) }}{{ $row->hours === null ? '' : ', within ' . Rheacid\Core\Numbers::plain($row->hours)
                    . ' h of ' . ($row->since === 'start' ? 'the start' : $row->since) }}{{ $row->routes === null ? '' : ' · ' . implode('; ', $row->routes) }}
                    </dd>@endforeach</dl>
            @foreach ($product->cautions() as $caution)<p class="caution">{{ $caution }}</p>@endforeach
            <p class="note">This is not legal advice. Check with your authority. Where required, a licensed process authority decides.</p>
        </x-slot>
    @endif
</x-house>
