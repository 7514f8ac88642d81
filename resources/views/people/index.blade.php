@use(Rheacid\Models\Role)
<x-house title="People" room="Today">
    @if (is_array($told = session('code')))
        <p class="verdict answer"><x-state is="idle">{{ $told['code'] }}</x-state> <span>is the code for {{ $told['name'] }}, for {{ Rheacid\Guard\Invitations::DAYS }} days and one use, on <b>{{ route('join') }}</b>. It is shown this once.</span></p>
    @endif
    <table class="stack">
        <thead><tr><th>Name</th><th>Role</th><th></th></tr></thead>
        @foreach ($people as $person)
            <tr>
                <td><b>{{ $person->name }}</b>@if ($person->invented) <small class="soft">invented</small>@endif<br><span class="soft">{{ $person->credential?->username }}</span></td>
                <td><x-state :is="$person->enabled ? 'met' : 'idle'">{{ $person->role?->value }}{{ $person->enabled ? '' : ', works here no more' }}</x-state></td>
                <td>
                    @if (Gate::allows('lead') && $person->isNot(auth()->user()))
                        <details><summary>Change</summary>
                            <form method="post" action="{{ route('people.appoint', $person) }}"><x-form-id />
                                <label class="form-label" for="f-role-{{ $person->id }}">Role</label>
                                    <select class="form-select" id="f-role-{{ $person->id }}" name="role">@foreach (Role::cases() as $role)
                                    <option value="{{ $role->value }}" @selected($person->role === $role)>{{ $role->value }}</option>@endforeach</select>
                                <label class="form-check"><input class="form-check-input" type="checkbox" name="enabled" value="1" @checked($person->enabled)> works here</label>
                                <label class="form-label" for="f-reason-{{ $person->id }}">Why</label><input class="form-control" id="f-reason-{{ $person->id }}" name="reason" maxlength="400" autocomplete="off">
                                <button class="do quiet apart">Record it</button>
                            </form>
                            <form method="post" action="{{ route('people.sign-out', $person) }}"><x-form-id />
                                <button class="do quiet apart">Sign out everywhere</button></form>
                            @if ($person->enabled)
                                <form method="post" action="{{ route('people.code', $person) }}"><x-form-id />
                                    @if ($person->role === Role::Lead)
                                        <p class="note">A code for a lead needs a second lead, who stands by.</p>
                                        <x-field name="second" :id="'f-second-' . $person->id" label="Second lead signs in as" :keeps="false" maxlength="40" autocapitalize="none" />
                                        <x-field name="second_passphrase" :id="'f-second-passphrase-' . $person->id" label="Second lead’s passphrase" :keeps="false" type="password" maxlength="200" />
                                    @endif
                                    <button class="do quiet apart">A new code, after forgetting</button>
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
        <h2>Invite somebody</h2>
        <form id="invite" method="post" action="{{ route('people.store') }}" data-keep>
            <x-form-id />
            <div class="fields">
                <x-field name="name" label="Name" help="as it stands on records" maxlength="80" />
                <x-field name="username" label="Signs in as" help="letters, digits, dots, dashes" maxlength="40" autocapitalize="none" />
                <x-field name="email" label="Address, if wanted" help="for warnings of deadlines" type="email" maxlength="200" />
                <x-field name="role" label="Role"><select class="form-select" id="f-role" name="role">@foreach (Role::cases() as $role)
                    <option value="{{ $role->value }}" @selected(old('role') === $role->value)>{{ $role->value }}</option>@endforeach</select>
                </x-field>
            </div>
        </form>
        <x-slot:act><button class="do" form="invite" data-primary>Invite <kbd>Enter</kbd></button></x-slot>
    @endif
    <x-slot:evidence>
        <h2>Who may what</h2>
        <p><b>Checkers</b> measure, calibrate, verify and log. <b>Leads</b> also decide about limits, policies, products, held batches and people. <b>Auditors</b> read everything and change nothing.</p>
        <p>Whoever leaves keeps the name on what they recorded; their sessions end at once.</p>
        <ul class="links">@can('read-access')<li><a href="{{ route('access') }}">Access log</a></li><li><a href="{{ route('system') }}">Description of this installation</a></li>@endcan<li><a href="{{ route('settings') }}">Settings of the site</a></li></ul>
    </x-slot>
</x-house>
