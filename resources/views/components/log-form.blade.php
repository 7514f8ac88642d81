@props(['action'])
<form method="post" action="{{ $action }}" enctype="multipart/form-data">
    <x-form-id />
    <x-field name="log" label="Log file" type="file" accept=".csv,.tsv,.txt,.log"
        help="columns for time, mV and °C, separated by comma, semicolon or tab; up to 5 MB. You see it first; nothing is recorded yet." />
    <button class="do quiet apart">Open log</button>
</form>
