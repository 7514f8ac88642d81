<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>{{ $title }} · Rheacid</title>
    @vite(['resources/css/rheacid.scss'])
</head>
<body class="sign-in">
<main>
    <h1>{{ $title }}</h1>
    <p>{{ $message }}</p>
    @if ($number ?? null)<p class="soft">error number {{ $number }}</p>@endif
    <p><a class="do" href="/">Go to Today</a></p>
</main>
</body>
</html>
