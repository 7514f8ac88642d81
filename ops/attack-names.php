<?php

declare(strict_types=1);

// How long it takes until a wrong passphrase is refused, for a name that is known and for one that is not. Called by ops/attack.

[, $port, $times] = $argv;
$took = ['known' => [], 'unknown' => []];
for ($i = 0; $i < (int) $times; $i++) {
    foreach (['known' => 'oda', 'unknown' => 'adi'] as $which => $name) {
        $curl = curl_init("http://127.0.0.1:$port/sign-in");
        $from = ['X-Forwarded-For: 10.' . intdiv($i, 250) . '.' . $i % 250 . ($which === 'known' ? '.1' : '.2')];
        curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_HTTPHEADER => $from]);
        preg_match('/name="_token" value="([^"]+)"/', (string) curl_exec($curl), $token);
        curl_setopt_array($curl, [
            CURLOPT_POST => true,
            CURLOPT_POSTFIELDS => http_build_query(['_token' => $token[1] ?? '', 'username' => $name, 'passphrase' => 'not theirs']),
        ]);
        curl_exec($curl);
        curl_getinfo($curl, CURLINFO_RESPONSE_CODE) === 302 || exit('answered ' . curl_getinfo($curl, CURLINFO_RESPONSE_CODE) . "\n");
        $took[$which][] = curl_getinfo($curl, CURLINFO_TOTAL_TIME) * 1000;
    }
}
$median = static function (array $of): float {
    sort($of);

    return $of[intdiv(count($of), 2)];
};
$apart = (abs($median($took['known']) - $median($took['unknown'])) / $median($took['unknown'])) * 100;
printf("medians %.1f and %.1f ms, %.1f %% apart\n", $median($took['known']), $median($took['unknown']), $apart);
exit($apart <= 5 ? 0 : 1);
