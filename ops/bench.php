<?php

declare(strict_types=1);

// Called by bin/bench. Every figure is a median; the bare route, PHP's own start and numpy are measured in the same run.

[, $address, $passphrase] = $argv;
const PAGE_ROUNDS = 40;
const PROCESS_ROUNDS = 30;
const FITS = 5000;

$curl = curl_init();
curl_setopt_array($curl, [CURLOPT_RETURNTRANSFER => true, CURLOPT_COOKIEFILE => '', CURLOPT_FOLLOWLOCATION => true]);
$get = static function (string $path) use ($curl, $address): string {
    curl_setopt_array($curl, [CURLOPT_URL => $address . $path, CURLOPT_HTTPGET => true]);
    $body = (string) curl_exec($curl);
    $status = curl_getinfo($curl, CURLINFO_RESPONSE_CODE);
    $status === 200 || exit("$path answered $status\n");

    return $body;
};
$post = static function (string $path, string $page, array $fields) use ($curl, $address): string {
    foreach (['_token', 'form'] as $hidden) {
        if (preg_match('/name="' . $hidden . '" value="([^"]+)"/', $page, $match) === 1) {
            $fields[$hidden] = $match[1];
        }
    }
    curl_setopt_array($curl, [CURLOPT_URL => $address . $path, CURLOPT_POSTFIELDS => http_build_query($fields)]);
    curl_exec($curl);

    return (string) parse_url((string) curl_getinfo($curl, CURLINFO_EFFECTIVE_URL), PHP_URL_PATH);
};
$median = static function (array $values): float {
    sort($values);

    return $values[intdiv(count($values), 2)];
};
$page = static function (string $path) use ($get, $curl, $median): float {
    $times = [];
    for ($i = 0; $i < PAGE_ROUNDS + 5; $i++) {
        $get($path);
        $times[] = curl_getinfo($curl, CURLINFO_TOTAL_TIME) * 1000;
    }

    return $median(array_slice($times, 5));
};
$process = static function (array $command, string $input) use ($median): float {
    $times = [];
    for ($i = 0; $i < PROCESS_ROUNDS; $i++) {
        $start = hrtime(true);
        $handle = proc_open($command, [['pipe', 'r'], ['pipe', 'w'], ['pipe', 'w']], $pipes);
        fwrite($pipes[0], $input);
        fclose($pipes[0]);
        stream_get_contents($pipes[1]);
        proc_close($handle);
        $times[] = (hrtime(true) - $start) / 1e6;
    }

    return $median($times);
};
$line = static fn(string $what, float $ms, float $beside): int => printf("  %-34s %7.1f ms  %5.2f times\n", $what, $ms, $ms / $beside);

$post('/sign-in', $get('/sign-in'), ['username' => 'oda', 'passphrase' => $passphrase]);
$run = $post('/calibrate/1/runs', $get('/calibrate/1'), ['lots' => ['Q-36', 'Q-31'], 'source' => 'simulated']);
$post("$run/immersions", $get($run), ['cup' => 9, 'speed' => 60]);
$draft = $post('/measure/2/drafts', $get('/measure/2'), ['pair' => 2, 'thermometer' => 1, 'stage' => 'underway', 'place' => 'blend', 'drawn_at' => (new DateTimeImmutable('-1 hour', new DateTimeZone('Europe/Dublin')))->format('Y-m-d\TH:i'), 'source' => 'simulated']);

$bare = $page('/up');
echo "Pages of the journey beside a bare route of the same application\n";
$line('bare route', $bare, $bare);
foreach (['/', '/ready', '/calibrate', '/calibrate/1', $run, "$run/live", '/calibrations/12', '/measure', '/measure/2', $draft, '/batches', '/batches/2', '/readings/13'] as $path) {
    $line($path, $page($path), $bare);
}

$compute = dirname(__DIR__) . '/bin/compute';
$empty = $process(['php', '-r', 'echo 1;'], '');
echo "One bin/compute nernst-slope beside php -r 'echo 1;'\n";
$line("php -r 'echo 1;'", $empty, $empty);
$line('bin/compute nernst-slope', $process([$compute, 'nernst-slope'], '{"temperature_c": 25}'), $empty);

$calibrations = [];
for ($i = 0; $i < FITS; $i++) {
    $calibrations[] = ['fit' => 'least-squares', 'points' => [
        ['buffer_ph' => 4.01, 'mv' => 170 + $i % 7, 'temperature_c' => 25],
        ['buffer_ph' => 7.0, 'mv' => -3 + $i % 3, 'temperature_c' => 25],
        ['buffer_ph' => 10.01, 'mv' => -176 - $i % 5, 'temperature_c' => 25],
    ]];
}
$numpy = <<<'PYTHON'
    import json, sys
    import numpy as np
    for c in json.load(sys.stdin):
        np.polyfit([p["buffer_ph"] for p in c["points"]], [p["mv"] for p in c["points"]], 1)
    PYTHON;
$json = json_encode($calibrations, JSON_THROW_ON_ERROR);
$reference = $process(['/usr/bin/python3', '-c', $numpy], $json);
echo FITS, " three-point calibrations in one array beside numpy's polyfit called as often\n";
$line('numpy polyfit', $reference, $reference);
$line('bin/compute ph-calibration', $process([$compute, 'ph-calibration'], $json), $reference);
