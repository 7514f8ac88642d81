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
    @foreach ([400, 700] as $weight)<link rel="preload" as="font" type="font/woff2" crossorigin href="{{ Vite::asset("node_modules/@fontsource/atkinson-hyperlegible/files/atkinson-hyperlegible-latin-$weight-normal.woff2") }}">@endforeach
    @vite(['resources/css/rheacid.scss', 'resources/js/rheacid.js'])
</head>
<body data-person="{{ $person->id }}">
<a class="skip" href="#surface">To the task</a>
<nav class="rail" aria-label="Rooms">
    <a class="mark" href="{{ route('today') }}"><x-mark />Rheacid</a>
    <ul>
        @foreach (Rheacid\View\Rooms::all() as $name => [$route, $count])
            <li><a href="{{ route($route) }}" @if ($room === $name) aria-current="page" @endif><span>{{ $name }}</span>@if ($count > 0)<span class="count">{{ $count }}<span class="visually-hidden"> waiting</span></span>@endif</a></li>
        @endforeach
    </ul>
</nav>
<header class="top">
    <h1>{{ $title }}</h1>
    <span class="clock">{{ Rheacid\SiteClock::local(now())->format('D H:i') }}</span>
    <span class="hands"><a href="{{ route('hands') }}" title="Change hands">{{ $person->name }}</a> <small>{{ $person->role?->value }}@if (Rheacid\Guard\Standing::isByPin() && $person->role !== Rheacid\Models\Role::Checker), <a href="{{ route('yourself.passphrase') }}">by PIN</a>@endif</small>
        <form method="post" action="{{ route('sign-out') }}">@csrf<button class="do link">Sign out</button></form>
    </span>
    <form action="{{ route('find') }}" role="search">
        <input class="form-control" type="search" name="q" aria-label="Find a batch, bottle or instrument" placeholder="find a batch, bottle …" value="{{ request()->routeIs('find') && is_string(request('q')) ? request('q') : '' }}">
    </form>
</header>
<main class="surface" id="surface">
    <div class="task">
        <p class="offline" role="status" hidden>No connection. Nothing is lost: what you typed waits here, and the reading goes on when it is back.</p>
        @if ($closed = Rheacid\Settings::now()->closedSince)
            <p class="verdict" role="status"><x-state is="fail">Recording is closed.</x-state> Since {{ Rheacid\SiteClock::full($closed) }}, while Rheacid moves to a new version. What is recorded can be read; what you typed stays here.</p>
        @endif
        <x-problems />
        {{ $slot }}
    </div>
    @if ($act)<div class="act">{{ $act }}</div>@endif
</main>
@if ($evidence)<aside class="evidence" aria-label="What this rests on">{{ $evidence }}</aside>@endif
<dialog id="shortcuts" aria-labelledby="shortcuts-title">
    <h2 id="shortcuts-title">Keys</h2>
    <dl>
        <dt>Enter</dt><dd>the thing to do on this screen</dd>
        <dt>/</dt><dd>find a batch, bottle or instrument</dd>
        <dt>1 – {{ count(Rheacid\View\Rooms::NAMES) }}</dt><dd>the rooms, from the top; during a run the cups, in their order</dd>
        <dt>?</dt><dd>this list</dd>
    </dl>
    <label class="form-check"><input class="form-check-input" type="checkbox" data-switch="keys" checked> keys are on, on this device</label>
    <label class="form-check"><input class="form-check-input" type="checkbox" data-switch="tone" checked> a soft tone and a vibration when a reading has settled</label>
    <form method="dialog"><button class="do quiet">Close</button></form>
</dialog>
</body>
</html>
