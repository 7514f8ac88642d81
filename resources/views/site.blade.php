<x-house title="Site" room="Site">
    <div class="when-narrow"><div class="looks"><span>Signed in: <b>{{ auth()->user()->name }}</b>, {{ auth()->user()->role?->value }}</span><a
        href="{{ route('hands') }}">Change hands</a>
        <form method="post" action="{{ route('sign-out') }}">@csrf<button class="do link">Sign out</button></form></div></div>
    <div class="doors">
        @foreach ($sections as $section => $doors)
            <section aria-labelledby="s-{{ $loop->index }}">
                <h2 id="s-{{ $loop->index }}">{{ $section }}</h2>
                <ul>
                    @foreach ($doors as $door)<li><a href="{{ $door['url'] }}">{{ $door['name'] }}</a><small>{{ $door['hint'] }}</small></li>@endforeach
                </ul>
            </section>
        @endforeach
    </div>
</x-house>
