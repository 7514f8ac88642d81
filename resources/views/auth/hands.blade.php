<x-house title="Change hands" room="Hands">
    <h2>Who is at the bench?</h2>
    <ul class="todo">
        @foreach ($people as $person)
            <li><div><b>{{ $person->name }}</b><small>{{ $person->role?->value }}{{ $person->is(auth()->user()) ? ', here now' : '' }}</small></div><a class="do quiet" href="{{ route('hands.create', $person) }}">{{ $person->name }}</a></li>
        @endforeach
    </ul>
    <x-slot:evidence><h2>Warnings</h2><p><a href="{{ route('yourself') }}">Where warnings of deadlines reach you</a></p></x-slot>
</x-house>
