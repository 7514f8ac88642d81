<x-house title="Labels" room="Ready">
    <div class="labels">
        @forelse ($labels as $label)
            <div class="label">
                <canvas data-code="{{ $label['code'] }}" width="96" height="96" aria-hidden="true"></canvas>
                <div><b>{{ $label['code'] }}</b><strong>{{ $label['name'] }}</strong><span>{{ $label['detail'] }}</span>@if ($label['warning'])<em>{{ $label[
                    'warning'] }}</em>@endif</div>
            </div>
        @empty
            <p>Nothing has this code.</p>
        @endforelse
    </div>
    <x-slot:act><button class="do" data-print data-primary>Print <kbd>Enter</kbd></button></x-slot>
    <x-slot:evidence>
        <h2>Using labels</h2>
        <p>The square holds the code. Scan it into the search, or type the code, to open the instrument or bottle.</p>
        <p class="note">Wipe the surface before you stick a label. Replace a label that cannot be read: similar things get mixed up.</p>
    </x-slot>
</x-house>
