@props(['cups', 'action', 'current' => null, 'speed' => 1, 'next' => null])
{{-- The simulated bench: labels only, what is truly in a cup is not told. The next cup is where the electrode belongs now. --}}
<section class="bench" aria-labelledby="bench-title">
    <form method="post" action="{{ $action }}">
        @csrf
        <h2 id="bench-title">Simulated bench (no real meter): move the electrode into a cup</h2>
        <label class="soft">speed <select class="form-select" name="speed">
            @foreach (Rheacid\Bench\SimulatedBench::SPEEDS as $choice)<option value="{{ $choice }}" @selected($choice === $speed)>{{ $choice }} ×</option>
                @endforeach
        </select></label>
        @foreach ($cups as $cup)
            <button name="cup" value="{{ $cup->id }}" aria-pressed="{{ $cup->id === $current ? 'true' : 'false' }}" @if ($cup->id === $next) data-next
                @endif>{{ $cup->label }}@if ($cup->id === $next) <kbd>Enter</kbd>@endif</button>
        @endforeach
    </form>
    {{ $slot }}
</section>
