<x-house :title="'Certificate · ' . $screen->check->thermometer->code . ', check ' . $screen->check->id" room="Verify">
    <div class="certificate">@include('verify.certificate-body')</div>
    <x-slot:act><a href="{{ route('checks.pdf', $screen->check) }}">As PDF</a><a href="{{ route('checks.result', $screen->check) }}">Back to the check</a><button class="do" data-print data-primary>Print <kbd>Enter</kbd></button></x-slot>
</x-house>
