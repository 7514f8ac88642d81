<html lang="en"><head><meta charset="utf-8"><title>Certificate</title></head>
<body><h1>Certificate · {{ $certificate->of }}</h1><p>{{ config('rheacid.site') }}</p>@include($certificate->body)</body></html>
