<?php

declare(strict_types=1);

// Somebody who writes notes on a batch through the form, one after the other, and sends each until it is acknowledged.
// Called by ops/drill.

[, $port, $passphrase, $acked, $stop, $number] = $argv;
$address = "http://127.0.0.1:$port";
$curl = curl_init();
$ask = static function (string $path, ?array $fields = null) use ($curl, $address): array {
    curl_setopt_array($curl, [
        CURLOPT_URL => $address . $path,
        CURLOPT_RETURNTRANSFER => true,
        CURLOPT_COOKIEFILE => '',
        CURLOPT_TIMEOUT => 20,
        CURLOPT_FOLLOWLOCATION => false,
        CURLOPT_HTTPGET => $fields === null,
    ]);
    if ($fields !== null) {
        curl_setopt($curl, CURLOPT_POSTFIELDS, http_build_query($fields));
    }
    $body = curl_exec($curl);

    return [
        (int) curl_getinfo($curl, CURLINFO_RESPONSE_CODE),
        is_string($body) ? $body : '',
        (string) curl_getinfo($curl, CURLINFO_REDIRECT_URL),
    ];
};
$token = static fn(string $page): string => preg_match('/name="_token" value="([^"]+)"/', $page, $match) === 1 ? $match[1] : '';
$batch = '';
$signIn = static function () use ($ask, $token, $passphrase, &$batch): string {
    for ($try = 0; $try < 600; $try++) {
        [$status, $page] = $ask('/sign-in');
        if ($status === 200) {
            $ask('/sign-in', ['_token' => $token($page), 'username' => 'oda', 'passphrase' => $passphrase]);
        }
        // Its number depends on how often the first start was killed.
        [$status, $page, $to] = $ask($batch === '' ? '/find?q=CS-0417' : $batch);
        if ($status === 302 && preg_match('#/batches/\d+$#', $to, $match) === 1) {
            $batch = $match[0];
            [$status, $page] = $ask($batch);
        }
        if ($status === 200 && $token($page) !== '') {
            return $token($page);
        }
        usleep(200_000);
    }
    exit("nobody can sign in: $status\n");
};
$known = $signIn();
for ($i = 1; !is_file($stop); $i++) {
    $note = "drill $number-$i";
    $form = sprintf('%s-0000-4000-8000-%012d', bin2hex(random_bytes(4)), $i);
    $deadline = microtime(true) + 90;
    while (true) {
        [$status, , $to] = $ask("$batch/notes", ['_token' => $known, 'form' => $form, 'note' => $note]);
        // A refusal leads back to the page as well; the page that follows says which form was recorded.
        if ($status === 302 && !str_contains($to, 'sign-in') && str_contains($ask($batch)[1], "content=\"$form\"")) {
            break;
        }
        if ($status === 419 || ($status === 302 && str_contains($to, 'sign-in'))) {
            $known = $signIn();
        }
        microtime(true) < $deadline || exit("$note was never taken: $status $to\n");
        usleep(100_000);
    }
    file_put_contents($acked, "$note\n", FILE_APPEND);
    usleep(50_000);
}
