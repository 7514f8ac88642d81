<x-house title="Labels" room="Ready">
    <div class="labels">
        @forelse ($labels as $label)
            <div class="label">
                <canvas data-code="{{ $label['code'] }}" width="96" height="96" aria-hidden="true"></canvas>
                <div><b>{{ $label['code'] }}</b><strong>{{ $label['name'] }}</strong><span>{{ $label['detail'] }}</span>@if ($label['warning'])<em>{{ $label['warning'] }}</em>@endif</div>
            </div>
        @empty
            <p>There is nothing of that code on the shelf.</p>
        @endforelse
    </div>
    <x-slot:act><button class="do" data-print data-primary>Print <kbd>Enter</kbd></button></x-slot>
    <x-slot:evidence>
        <h2>How they are used</h2>
        <p>The square holds the code. A scanner types it into the search and the thing opens; typed by hand it does the same.</p>
        <p class="note">Wipe before you stick. Renew a label that cannot be read: look-alikes are mixed up.</p>
    </x-slot>
</x-house>
