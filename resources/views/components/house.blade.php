@props(['title', 'room', 'evidence' => null, 'act' => null])
@php($person = auth()->user())
<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Rheacid</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    @if (session('confirmed'))<meta name="confirmed" content="{{ session('confirmed') }}">@endif
    @if (session()->hasOldInput())<meta name="returned" content="yes">@endif
    {{-- Before the sheet asks for them: letters that come late would move what one reads. --}}
    @foreach ([400, 700] as $weight)<link rel="preload" as="font" type="font/woff2" crossorigin
        href="{{ Vite::asset("node_modules/@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-$weight-normal.woff2") }}">@endforeach
    @vite(['resources/css/rheacid.scss', 'resources/js/rheacid.js'])
</head>
<body data-person="{{ $person->id }}">
<a class="skip" href="#surface">Skip to content</a>
<nav class="rail" aria-label="Menu">
    <a class="mark" href="{{ route('today') }}"><x-mark />Rheacid</a>
    <ul>
        @foreach (Rheacid\View\Rooms::all() as $name => [$route, $count])
            <li><a href="{{ route($route) }}" @if ($room === $name) aria-current="page" @endif><span>@if ($route === 'site')<span
                class="when-wide">Site</span><span class="when-narrow">More</span>@else{{ $name }}@endif</span>@if ($count > 0)<span
                class="count">{{ $count }}<span class="visually-hidden"> waiting</span></span>@endif</a></li>
        @endforeach
    </ul>
</nav>
<header class="top">
    <h1>{{ $title }}</h1>
    <span class="hands"><a href="{{ route('hands') }}" title="Change hands">{{ $person->name }}</a>
        <small>{{ $person->role?->value }}@if (Rheacid\Guard\SignedInBy::isByPin() && $person->role !== Rheacid\Core\Access\Role::Checker), <a
            href="{{ route('yourself.passphrase') }}">by PIN</a>@endif</small>
        <form class="when-wide" method="post" action="{{ route('sign-out') }}">@csrf<button class="do link">Sign out</button></form></span>
    <span class="clock">{{ Rheacid\Site\SiteClock::local(now())->format('D H:i') }}</span>
    <a class="to-search when-narrow" href="{{ route('find') }}"><svg viewBox="0 0 24 24" aria-hidden="true"><circle cx="10" cy="10" r="6" />
        <path d="M15 15l6 6" /></svg><span class="visually-hidden">Search</span></a>
    <x-search class="when-wide" id="search" />
</header>
<p class="visually-hidden" role="status" data-says></p>
<main class="surface" id="surface">
    <div class="task">
        <p class="offline" role="status" hidden>No connection. What you typed is kept here. The reading continues when the connection returns.</p>
        @if ($closed = Rheacid\Site\Settings::now()->closedSince)
            <p class="verdict" role="status">
                <x-state is="fail">Recording is paused.</x-state> Rheacid has been updating since {{ Rheacid\Site\SiteClock::full($closed) }}. You can read
                records; what you typed is kept here.</p>
        @endif
        <x-problems />
        {{ $slot }}
    </div>
    @if ($act)<div class="act">{{ $act }}</div>@endif
</main>
@if ($evidence)<aside class="evidence" aria-label="Details">{{ $evidence }}</aside>@endif
<dialog id="shortcuts" aria-labelledby="shortcuts-title">
    <h2 id="shortcuts-title">Keyboard shortcuts</h2>
    <dl>
        <dt>Enter</dt><dd>main action of the page</dd>
        <dt>/</dt><dd>search</dd>
        <dt>1 – {{ count(Rheacid\View\Rooms::NAMES) }}</dt><dd>entries of the menu; during a measurement, the cups</dd>
        <dt>?</dt><dd>show this list</dd>
    </dl>
    <label class="form-check"><input class="form-check-input" type="checkbox" data-switch="keys" checked> Use keyboard shortcuts on this device</label>
    <label class="form-check"><input class="form-check-input" type="checkbox" data-switch="tone" checked> Sound and vibration when a reading is stable</label>
    <form method="dialog"><button class="do quiet">Close</button></form>
</dialog>
</body>
</html>
