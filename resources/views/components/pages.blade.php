@props(['of', 'before' => 'Newer', 'after' => 'Older'])
@if ($of->hasPages())
    <nav class="pages" aria-label="Pages">
        @if ($of->previousPageUrl())<a href="{{ $of->previousPageUrl() }}" rel="prev">{{ $before }}</a>@endif
        @if ($of->nextPageUrl())<a href="{{ $of->nextPageUrl() }}" rel="next">{{ $after }}</a>@endif
    </nav>
@endif
