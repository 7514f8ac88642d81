<?php

declare(strict_types=1);

// Sixty PINs at once for a colleague, from a bench that is signed in; files that are just too large; and a host that is not ours,
// whose refusal must say what a browser may do with it. Called by ops/attack.

[, $port, $passphrase] = $argv;
$address = "http://127.0.0.1:$port";
$jar = tempnam(sys_get_temp_dir(), 'guesses');
$one = static function (string $path, array|string|null $body = null, array $headers = []) use ($address, $jar): CurlHandle {
    $curl = curl_init($address . $path);
    curl_setopt_array($curl, [
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_HEADER => true,
        CURLOPT_COOKIEFILE => $jar,
        CURLOPT_COOKIEJAR => $jar,
        CURLOPT_TIMEOUT => 60,
        CURLOPT_HTTPHEADER => $headers,
    ]);
    if ($body !== null) {
        curl_setopt_array($curl, [CURLOPT_POST => true, CURLOPT_POSTFIELDS => $body]);
    }

    return $curl;
};
$ask = static function (CurlHandle $curl): array {
    $page = (string) curl_exec($curl);
    $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
    unset($curl);

    return [$status, $page];
};
$token = static fn(string $page): string => preg_match('/name="_token" value="([^"]+)"/', $page, $match) === 1 ? $match[1] : '';
$wrong = [];

$ask($one('/sign-in', http_build_query(['_token' => $token($ask($one('/sign-in'))[1]), 'username' => 'oda', 'passphrase' => $passphrase])));
[, $page] = $ask($one('/hands'));
preg_match_all('#/hands/(\d+)"[^>]*>\s*([^<]+)#', $page, $people, PREG_SET_ORDER);
$colleague =
    array_values(array_filter($people, static fn(array $person): bool => str_contains($person[2], 'Perrin')))[0][1] ??
    exit("no colleague on /hands\n");
$form = $token($ask($one("/hands/$colleague"))[1]);
$many = curl_multi_init();
$handles = [];
for ($i = 0; $i < 60; $i++) {
    curl_multi_add_handle(
        $many,
        $handles[] = $one("/hands/$colleague", http_build_query(['_token' => $form, 'pin' => sprintf('%06d', 700_100 + $i)])),
    );
}
do {
    curl_multi_exec($many, $running);
    curl_multi_select($many, 0.1);
} while ($running > 0);
foreach ($handles as $handle) {
    $status = curl_getinfo($handle, CURLINFO_RESPONSE_CODE);
    if ($status >= 500 || $status === 0) {
        $wrong[] = "a PIN was answered with $status";
    }
}

[, $page] = $ask($one('/calibrate/1'));
foreach (
    [
        '5.5 MB' => str_repeat("0.1;170.0;21\n", 430_000),
        '4.9 MB of commas' => str_repeat(',', 4_900_000),
        '4.9 MB of lines' => str_repeat("\n", 4_900_000),
    ]
    as $what => $content
) {
    [$status, $answer] = $ask(
        $one('/pairs/1/log', [
            '_token' => $token($ask($one('/yourself/secrets'))[1]),
            'form' => sprintf('%s-0000-4000-8000-000000000000', bin2hex(random_bytes(4))),
            'log' => new CURLStringFile($content, 'log.csv', 'text/csv'),
        ]),
    );
    if ($status >= 500 || $status === 0) {
        $wrong[] = "$what as a log was answered with $status";
    }
}
[$status, $answer] = $ask($one('/sign-in', null, ['Host: elsewhere.example']));
if ($status !== 400 || !str_contains($answer, 'Content-Security-Policy:') || !str_contains($answer, 'X-Content-Type-Options: nosniff')) {
    $wrong[] = "a foreign host was answered with $status, or without the headers that say what a browser may do";
}
unlink($jar);
echo implode("\n", $wrong), "\n";
exit($wrong === [] ? 0 : 1);
