<html lang="en"><head><meta charset="utf-8"><title>Certificate of verification</title></head>
<body><h1>Certificate of verification {{ $screen->check->thermometer->code }} / {{ $screen->check->id }}</h1>@include('verify.certificate-body')</body></html>
