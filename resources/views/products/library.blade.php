<x-house :title="$product->name" room="Batches">
    <p class="what">Library · {{ $product->family }} · {{ $product->description }} Usually pH {{ Rheacid\Core\Numbers::fixed($product->expectedPh[0], 1) }}–{{ Rheacid\Core\Numbers::fixed($product->expectedPh[1], 1) }}.</p>
    <h2>Limits</h2>
    <table class="stack">
        <thead><tr><th>Limit</th><th>What it means</th><th>Source</th></tr></thead>
        @foreach ($product->limits as $limit)
            <tr>
                <td><b>{{ $limit['name'] }}</b><br>{{ $limit['low'] === null ? ($limit['op'] . ' ' . $limit['high']) : ($limit['high'] === null ? $limit['op'] . ' ' . $limit['low'] : $limit['low'] . '–' . $limit['high']) }}{{ $limit['condition'] ? ' · if ' . lcfirst($limit['condition']) : '' }}</td>
                <td>{{ $limit['meaning'] }} <span class="soft">{{ $limit['if_violated'] }}</span></td>
                <td>{{ $limit['source'] }}<br>@if ($limit['certainty'] === 'low')<x-state is="care">low certainty: check with your authority</x-state>@else<span class="soft">{{ $limit['certainty'] }} certainty</span>@endif</td>
            </tr>
        @endforeach
    </table>
    @if ($product->told !== [])<h2>Asked of a person</h2><ul class="steps">@foreach ($product->told as $one)<li>{{ $one }}</li>@endforeach</ul>@endif
    @foreach ($product->schools as $school)
        <h2>{{ $school['topic'] }}: a choice</h2>
        <dl>@foreach ($school['options'] as $option)<dt>{{ $option['name'] }}</dt><dd>{{ $option['why'] }}</dd>@endforeach</dl>
    @endforeach
    @if (Gate::allows('lead'))
        <form id="take" method="post" action="{{ route('products.take', $product->code) }}"><x-form-id /></form>
        <x-slot:act><a href="{{ route('products') }}">Back</a><button class="do" form="take" data-primary>Take it and change it <kbd>Enter</kbd></button></x-slot>
    @else
        <x-slot:act><a class="do" href="{{ route('products') }}" data-primary>Back <kbd>Enter</kbd></a></x-slot>
    @endif
    <x-slot:evidence>
        <h2>{{ $product->method['name'] }}</h2>
        <ul class="steps">@foreach ($product->method['steps'] as $step)<li>{{ $step }}</li>@endforeach</ul>
        @foreach ($product->cautions as $caution)<p class="caution">{{ $caution }}</p>@endforeach
        <p class="note">From memory; nothing was looked up. Check with your authority.</p>
    </x-slot>
</x-house>
