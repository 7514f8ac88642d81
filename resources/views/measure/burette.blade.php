{{-- The part of the page that changes every second. --}}
@foreach ($burettes as $i => $one)
    @php($last = $one->points[count($one->points) - 1])
    <p class="what">Portion {{ $i + 1 }}: <b>{{ Rheacid\Core\Numbers::fixed($last[0], 2) }} mL, pH {{ Rheacid\Core\Numbers::fixed($last[1],
        2) }}</b>, {{ count($one->points) }} points; {{ match (true) { $one->isPast => 'past every endpoint, finished',
        $one->isEmpty => 'the burette is empty; use less sample', default => 'running' } }}</p>
    @if ($loop->last && count($one->points) > 4)<x-titration
        :figure="new Rheacid\View\Figures\TitrationFigure(Rheacid\Core\Acidity\TitrationCurve::through($one->points), $last[0], $last[1])" />@endif
@endforeach
<p><a class="do quiet" href="{{ route('titrations.create', [$batch, 'runs' => implode(',', $runs), 'take' => 1]) }}">Use {{ count($burettes) === 1
    ? 'this curve' : 'these curves' }}</a></p>
