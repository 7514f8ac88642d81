<html lang="en"><head><meta charset="utf-8"><title>Certificate</title></head>
<body><h1>Certificate · {{ $certificate->of }}</h1><p>{{ Rheacid\Site\Settings::now()->name }}</p>@include($certificate->body)</body></html>
