@if ($search->asked !== '')
    <p class="visually-hidden" role="status">{{ $search->count() === 0 ? 'Nothing found' : 'Found: ' . $search->count() }}</p>
    @forelse ($search->atAGlance() as $heading => $hits)
        <h2>{{ $heading }}</h2>
        <ul>
            @foreach ($hits as $hit)<li><a href="{{ $hit->url }}"><b>{{ $hit->title }}</b> <small>{{ $hit->detail }}</small></a></li>@endforeach
        </ul>
    @empty
        <p class="soft">Nothing found for “{{ $search->asked }}”.</p>
    @endforelse
    @if ($search->count() > 8)<p><a href="{{ route('find', ['q' => $search->asked]) }}">All {{ $search->count() }}</a></p>@endif
@endif
