@props(['action'])
<form method="post" action="{{ $action }}" enctype="multipart/form-data">
    <x-form-id />
    <x-field name="log" label="Log file" type="file" accept=".csv,.tsv,.txt,.log" help="Time, mV and °C in columns; comma, semicolon or tab; up to 5 MB. It is shown first, and nothing is recorded yet." />
    <button class="do quiet apart">Look through this log</button>
</form>
