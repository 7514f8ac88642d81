@use(Rheacid\Core\Words\LimitWords)
@php($judged = $product->judged())
@if ($product->safety->routes !== [])<h2>Process routes (a batch takes one)</h2><dl>@foreach ($product->safety->routes as $route)
    <dt>{{ $route['name'] }}</dt><dd>{{ $route['why'] }}</dd>@endforeach</dl>@endif
@if ($product->safety->needsNone)<p class="verdict"><x-state is="care">No measured limit protects it.</x-state> {{ $product->safety->needsNone }}</p>@endif
@if ($product->safety->stageOf)
    <p class="verdict"><x-state is="idle">One stage of a process.</x-state> Followed by {{ $product->safety->stageOf }}. It is not released on its own.
        </p>@endif
<h2>Limits</h2>
<table class="stack">
    <caption class="visually-hidden">Limits</caption>
    <thead><tr><th scope="col">Limit</th><th scope="col">Meaning</th><th scope="col">Source</th></tr></thead>
    @foreach ($product->limits as $limit)
        <tr>
            <td><b>{{ $limit['name'] }}</b><br>{{ LimitWords::kind($judged[$limit['name']]->limit->kind) }}<br>{{ LimitWords::bounds($judged[$limit['name']],
                $limit['course']) }}{{ $limit['course'] ? '' : ', ' . LimitWords::due($judged[$limit['name']]) }}@if ($limit['routes'])<br><span
                class="soft">route: {{ implode('; ', $limit['routes']) }}</span>@endif</td>
            <td>{{ $limit['meaning'] }} <span class="soft">{{ $limit['if_violated'] }}</span></td>
            <td>{{ $limit['source'] }}<br>@if ($limit['certainty'] === 'low')<x-state is="care">low certainty: check with your authority</x-state>@else<span
                class="soft">{{ $limit['certainty'] === 'own' ? 'set by this site' : $limit['certainty'] . ' certainty' }}</span>@endif</td>
        </tr>
    @endforeach
</table>
@if ($product->told !== [])<h2>Also check</h2><ul class="steps">@foreach ($product->told as $one)<li>{{ $one }}</li>@endforeach</ul>@endif
@foreach ($product->schools as $school)
    <h2>{{ $school['topic'] }}: practice differs</h2>
    <dl>@foreach ($school['options'] as $option)<dt>{{ $option['name'] }}</dt><dd>{{ $option['why'] }}</dd>@endforeach</dl>
@endforeach
