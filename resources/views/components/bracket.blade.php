@props(['low', 'high'])
@php($scale = new Rheacid\View\Figures\Scale(2, 11, 2, 108))
<figure class="small spark"><svg viewBox="0 0 110 14" role="img"
    aria-label="calibrated from pH {{ Rheacid\Core\Numbers::fixed($low, 2) }} to {{ Rheacid\Core\Numbers::fixed($high, 2) }}"><path class="tick" d="M2 8H108"/>
    <rect class="bracket" x="{{ $scale->within($low) }}" y="4" width="{{ max(2, $scale->within($high) - $scale->within($low)) }}" height="8"/></svg><figcaption>
    pH {{ Rheacid\Core\Numbers::fixed($low, 2) }}–{{ Rheacid\Core\Numbers::fixed($high, 2) }}</figcaption></figure>
