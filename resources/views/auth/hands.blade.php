<x-house title="Change hands" room="Hands">
    <h2>Who is at the bench?</h2>
    <ul class="todo">
        @foreach ($people as $person)
            <li><div><b>{{ $person->name }}</b><small>{{ $person->role?->value }}{{ $person->is(auth()->user()) ? ', signed in' : '' }}</small></div>
                <a class="do quiet" href="{{ route('hands.create', $person) }}">{{ $person->name }}</a></li>
        @endforeach
    </ul>
    <x-slot:evidence><h2>Your page</h2><ul class="links"><li><a href="{{ route('yourself') }}">E-mail, passphrase, PIN</a></li><li>
        <a href="{{ route('yourself.code') }}">Authenticator</a></li></ul></x-slot>
</x-house>
