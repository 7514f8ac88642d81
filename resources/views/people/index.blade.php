@use(Rheacid\Core\Access\Role)
@php($roles = collect(Role::cases())->mapWithKeys(fn ($role) => [$role->value => $role->value])->all())
<x-house title="People" room="Site">
    @if (is_array($told = session('code')))
        <p class="verdict answer">
            <x-state is="idle">{{ $told['code'] }}</x-state> <span>is the invitation code of {{ $told['name'] }}. It works once, within
            {{ Rheacid\Guard\Invitations::DAYS }} days, at <b>{{ route('join') }}</b>. It is shown only now.</span></p>
    @endif
    <table class="stack">
        <caption class="visually-hidden">People</caption>
        <thead><tr><th scope="col">Name</th><th scope="col">Role</th><th scope="col"><span class="visually-hidden">Change</span></th></tr></thead>
        @foreach ($people as $person)
            <tr id="person-{{ $person->id }}">
                <td><b>{{ $person->name }}</b>@if ($person->invented) <small class="soft">invented</small>@endif<br><span
                    class="soft">{{ $person->credential?->username }}</span></td>
                <td><x-state is="idle">{{ $person->role?->value }}{{ $person->enabled ? '' : ', left' }}</x-state></td>
                <td>
                    @if (Gate::allows('lead') && $person->isNot(auth()->user()))
                        <details><summary>Change</summary>
                            <form method="post" action="{{ route('people.appoint', $person) }}"><x-form-id />
                                <x-choice name="role" :id="'f-role-' . $person->id" label="Role" :options="$roles" :value="$person->role?->value"
                                    :keeps="false" />
                                <x-tick name="enabled" :id="'f-enabled-' . $person->id" :checked="$person->enabled" :keeps="false">works here</x-tick>
                                <x-field name="reason" :id="'f-reason-' . $person->id" label="Reason" :keeps="false" maxlength="400" />
                                <button class="do quiet apart">Save role</button>
                            </form>
                            <form method="post" action="{{ route('people.sign-out', $person) }}"><x-form-id />
                                <button class="do quiet apart">Sign out everywhere</button></form>
                            @if ($person->enabled)
                                <form method="post" action="{{ route('people.code', $person) }}"><x-form-id />
                                    @if ($person->role === Role::Lead)
                                        <p class="note">A code for a lead needs a second lead, who is present.</p>
                                        <x-field name="second" :id="'f-second-' . $person->id" label="Second lead’s sign-in name" :keeps="false" maxlength="40"
                                            autocapitalize="none" />
                                        <x-field name="second_passphrase" :id="'f-second-passphrase-' . $person->id" label="Second lead’s passphrase"
                                            :keeps="false" type="password" maxlength="200" />
                                    @endif
                                    <button class="do quiet apart">New invitation code</button>
                                </form>
                            @endif
                        </details>
                    @endif
                </td>
            </tr>
        @endforeach
    </table>
    <x-pages :of="$people" before="Before" after="After" />
    @if (Gate::allows('lead'))
        <h2>Invite a person</h2>
        <form id="invite" method="post" action="{{ route('people.store') }}" data-keep>
            <x-form-id />
            <div class="fields">
                <x-field name="name" label="Name" help="shown on records" maxlength="80" />
                <x-field name="username" label="Sign-in name" help="letters, digits, dots, dashes" maxlength="40" autocapitalize="none" />
                <x-field name="email" label="E-mail (optional)" help="for deadline warnings" type="email" maxlength="200" />
                <x-choice name="role" label="Role" :options="$roles" />
            </div>
        </form>
        <x-slot:act><button class="do" form="invite" data-primary>Invite <kbd>Enter</kbd></button></x-slot>
    @endif
    <x-slot:evidence>
        <h2>Roles</h2>
        <p><b>Checkers</b> measure, calibrate, verify and log. <b>Leads</b> also set limits, policies and products, decide about held batches, and manage
            people. <b>Auditors</b> read everything and change nothing.</p>
        <p>When somebody leaves, their name stays on their records and their sessions end at once.</p>
        <ul class="links">@can('read-access')<li><a href="{{ route('access') }}">Access log</a></li><li><a href="{{ route('system') }}">This installation</a>
            </li>@endcan<li><a href="{{ route('settings') }}">Settings</a></li></ul>
    </x-slot>
</x-house>
