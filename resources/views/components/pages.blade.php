@props(['of'])
@if ($of->hasPages())
    <nav class="pages" aria-label="Pages">
        @if ($of->previousPageUrl())<a href="{{ $of->previousPageUrl() }}" rel="prev">Newer</a>@endif
        @if ($of->nextPageUrl())<a href="{{ $of->nextPageUrl() }}" rel="next">Older</a>@endif
    </nav>
@endif
