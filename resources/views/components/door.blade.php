@props(['title', 'wide' => false])
{{-- A page for who is not in yet. --}}
<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Rheacid</title>
    <link rel="icon" href="/mark.svg" type="image/svg+xml">
    @vite(['resources/css/rheacid.scss', 'resources/js/rheacid.js'])
</head>
<body @class(['sign-in', 'wide' => $wide])>
<main>
    {{ $slot }}
</main>
</body>
</html>
