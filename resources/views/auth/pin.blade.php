<x-house :title="'Change hands to ' . $person->name" room="Hands">
    <form id="pin" method="post" action="{{ route('hands.store', $person) }}">
        @csrf
        <div class="fields"><x-field name="pin" label="PIN" type="password" inputmode="numeric" autocomplete="off" maxlength="12" autofocus /></div>
    </form>
    <x-slot:act><button class="do" form="pin" data-primary>Change hands to {{ $person->name }} <kbd>Enter</kbd></button></x-slot>
</x-house>
