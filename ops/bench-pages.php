<?php

declare(strict_types=1);

// Called by bin/bench: CPU of php-fpm and MariaDB for a page, on the demo and on a plant of 200 running batches, 44 pairs and 66
// thermometers, whose rows are copied, not recorded.

[, $address, $passphrase, $home] = $argv;
const PAGE_ROUNDS = 60;
const PAGES = [
    '/policies',
    '/',
    '/measure',
    '/ready',
    '/today/due.ics',
    '/verify',
    '/batches',
    '/calibrate',
    '/batches/2',
    '/pairs/1',
    '/readings/13',
];

$curl = curl_init();
curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_FOLLOWLOCATION => true]);
$get = static function (string $path) use ($curl, $address): string {
    curl_setopt_array($curl, [CURLOPT_URL => $address . $path, CURLOPT_HTTPGET => true]);
    $body = (string) curl_exec($curl);
    $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);

    return $status === 200 ? $body : exit("$path answered $status\n" . substr(strip_tags($body), 0, 600));
};
$fields = ['username' => 'oda', 'passphrase' => $passphrase];
$page = $get('/sign-in');
foreach (['_token', 'form'] as $hidden) {
    $fields[$hidden] = preg_match('/name="' . $hidden . '" value="([^"]+)"/', $page, $match) === 1 ? html_entity_decode($match[1]) : '';
}
curl_setopt_array($curl, [CURLOPT_URL => "$address/sign-in", CURLOPT_POSTFIELDS => http_build_query($fields)]);
curl_exec($curl);

/** ms of CPU that the servers of this installation have used. */
$used = static function () use ($home): float {
    $ticks = 0;
    foreach (glob('/proc/[0-9]*') ?: [] as $process) {
        $command = (string) @file_get_contents("$process/cmdline");
        if (str_contains($command, 'php-fpm: pool rheacid') || (str_contains($command, 'mariadbd') && str_contains($command, $home))) {
            $stat = explode(' ', (string) preg_replace('/^.*\) /', '', (string) @file_get_contents("$process/stat")));
            $ticks += (int) ($stat[11] ?? 0) + (int) ($stat[12] ?? 0);
        }
    }

    return $ticks * 10.0;
};
$cost = static function (string $path) use ($get, $used): array {
    for ($i = 0; $i < 5; $i++) {
        $body = $get($path);
    }
    $before = $used();
    for ($i = 0; $i < PAGE_ROUNDS; $i++) {
        $get($path);
    }

    return [($used() - $before) / PAGE_ROUNDS, strlen($body) / 1024];
};
$demo = array_combine(PAGES, array_map($cost, PAGES));

preg_match('/^DB_PORT=(.*)$/m', (string) file_get_contents("$home/.env"), $port);
$owner = new PDO(
    "mysql:host=127.0.0.1;port=$port[1];dbname=rheacid",
    'rheacid_owner',
    (string) getenv('DB_OWNER_PASSWORD'),
    [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
);
$copy = require __DIR__ . '/bench-grow.php';
$grow = static fn(mixed ...$of) => $copy($owner, ...$of);
$owner->exec('set foreign_key_checks = 0');
$apart = 'seq * 100000';
$line = static fn(string $part, int $id, string $code, int $copies) => $grow(
    'board',
    "source.part = '$part' and source.thing_id = $id",
    [
        'thing_id' => "source.thing_id + $apart",
        'code' => "concat('$code', seq)",
        'facts' => "json_set(source.facts, '$.id', source.thing_id + $apart, '$.code', concat('$code', seq))",
    ],
    $copies,
);
$grow('batches', 'source.id = 2', ['id' => "source.id + $apart", 'code' => "concat('X', seq)"], 2000);
$grow('batch_events', 'source.batch_id = 2', ['id' => "source.id + $apart", 'batch_id' => "source.batch_id + $apart"], 2000);
$line('batch', 2, 'X', 197);
$grow('pairs', 'source.id = 1', ['id' => "source.id + $apart", 'paired_at' => 'source.paired_at + interval seq second'], 38);
$grow('policy_assignments', 'source.pair_id = 1', ['id' => "source.id + $apart", 'pair_id' => "source.pair_id + $apart"], 38);
$line('pair', 1, 'E-X', 38);
$grow('thermometers', 'source.id = 1', ['id' => "source.id + $apart", 'code' => "concat('T-X', seq)"], 58);
$line('thermometer', 1, 'T-X', 58);

printf("  %-16s %14s %28s\n", '', 'demo', 'grown');
foreach (PAGES as $path) {
    [$ms, $kb] = $cost($path);
    printf(
        "  %-16s %5.1f ms %4.1f × %10.1f ms %4.1f × %6.0f kB\n",
        $path,
        $demo[$path][0],
        $demo[$path][0] / $demo['/policies'][0],
        $ms,
        $ms / $demo['/policies'][0],
        $kb,
    );
}
