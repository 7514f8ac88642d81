<h2>Where you are signed in</h2>
<table class="stack">
    <caption class="visually-hidden">Sessions</caption>
    <thead><tr><th scope="col">Since</th><th scope="col">From</th><th scope="col">Last seen</th><th scope="col"><span class="visually-hidden">Sign out</span>
        </th></tr></thead>
    @foreach ($signIns as $one)
        <tr>
            <td>{{ Rheacid\Site\SiteClock::full(Carbon\CarbonImmutable::parse($one->began_at, 'UTC')) }}{{ $one->by_pin ? ', by PIN' : '' }}</td>
            <td>{{ $one->address }}, {{ $one->device }}</td>
            <td>{{ $one->isHere ? 'now' : Rheacid\Site\SiteClock::full(Carbon\CarbonImmutable::parse($one->seen_at, 'UTC')) }}</td>
            <td>
                @if ($one->isHere)
                    <x-state is="idle">this device</x-state>
                @else
                    <form method="post" action="{{ route('yourself.secrets.end', $one->id) }}">
                        @csrf
                        <button class="do quiet">Sign out</button>
                    </form>
                @endif
            </td>
        </tr>
    @endforeach
</table>
