@props(['bar'])
<figure>
<svg class="budget" viewBox="0 0 {{ $bar::WIDTH }} 14" role="img" aria-label="Shares of the uncertainty">
    @foreach ($bar->parts as $part)<rect x="{{ $part['x'] }}" y="0" width="{{ $part['width'] }}" height="14"/>@endforeach
</svg>
<ul class="parts">@foreach ($bar->parts as $part)<li><span>{{ $part['label'] }}</span><span>{{ $part['ph'] }} · {{ $part['percent'] }}</span></li>
    @endforeach</ul>
</figure>
