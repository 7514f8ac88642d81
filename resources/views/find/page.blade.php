<x-house title="Search" room="Search">
    <x-search class="when-narrow" id="find" />
    @if ($search->asked === '')
        <p>Search by code, name, product, vessel, step or page: <i>CS-0417</i>, <i>chilli</i>, <i>vat 2</i>, <i>settings</i>. One wrong letter in a word does no
            harm.</p>
    @elseif ($search->groups === [])
        <p class="verdict"><x-state
            is="idle">Nothing found</x-state> for “{{ $search->asked }}”. Check the spelling, or search by a code, product or vessel.</p>
    @endif
    @foreach ($search->groups as $heading => $hits)
        <h2>{{ $heading }}</h2>
        <ul class="hits">
            @foreach ($hits as $hit)<li><a href="{{ $hit->url }}">{{ $hit->title }}</a> <small>{{ $hit->detail }}</small></li>@endforeach
        </ul>
    @endforeach
    @if ($search->isPartial)<p class="note">Only the newest matches of each word were searched. Add a word to find older ones.</p>@endif
</x-house>
