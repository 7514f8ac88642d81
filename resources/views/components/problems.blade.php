{{-- Everything that was refused, at the top for those who listen; each stands beside its field as well. --}}
@if ($errors->any())
    <div class="problems" role="alert">
        @foreach ($errors->all() as $message)
            <p>{{ $message }}</p>
        @endforeach
    </div>
@endif
@if (session('done'))
    <p class="verdict is-met" role="status"><x-sign is="met" /> {{ session('done') }}</p>
@endif
