@props(['window', 'gates' => false])
{{-- Fills while the number that was typed last is looked at. --}}
<svg class="ring typed" hidden data-scripted data-window="{{ (int) $window }}" @if ($gates) data-gates @endif viewBox="0 0 120 120" role="img"
    aria-label="seconds since the reading was typed">
    <circle cx="60" cy="60" r="48"/><circle class="arc" cx="60" cy="60" r="48" pathLength="100" stroke-dasharray="0 100" transform="rotate(-90 60 60)"/>
    <text class="n" x="60" y="60" text-anchor="middle">0 s</text><text x="60" y="80" text-anchor="middle" fill="currentColor"
        font-size="14">of {{ (int) $window }} s</text>
</svg>
