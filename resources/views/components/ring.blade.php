@props(['figure'])
<svg class="ring" viewBox="0 0 120 120" role="img"
    aria-label="{{ $figure->progress->settled ? 'stable' : 'stable for ' . (int) $figure->stillForS() . ' of ' . (int) $figure->windowS . ' seconds' }}">
    <circle cx="60" cy="60" r="48"/>
    <circle @class(['arc', 'full' => $figure->progress->settled]) cx="60" cy="60" r="48" pathLength="100" stroke-dasharray="{{ $figure->ring() }} 100"
        transform="rotate(-90 60 60)"/>
    <text class="n" x="60" y="60" text-anchor="middle">{{ (int) $figure->stillForS() }} s</text>
    <text x="60" y="80" text-anchor="middle" fill="currentColor"
        font-size="14">{{ $figure->progress->settled ? 'stable' : 'of ' . (int) $figure->windowS . ' s' }}</text>
</svg>
