<x-house :title="'Certificate · ' . $certificate->of" :room="$certificate->room">
    <p class="what">{{ Rheacid\Site\Settings::now()->name }}</p>
    <div class="certificate">@include($certificate->body)</div>
    <x-slot:act><a href="{{ url()->current() }}.pdf">PDF</a><a href="{{ $certificate->back }}">Back</a><button class="do" data-print
        data-primary>Print <kbd>Enter</kbd></button></x-slot>
</x-house>
