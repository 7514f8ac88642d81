<?php

declare(strict_types=1);

use Rheacid\Core\Records\LedgerLine;

// Called by bin/bench. Every figure is a median; the bare route, PHP's own start and numpy are measured in the same run.

require dirname(__DIR__) . '/vendor/autoload.php';

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
    // A second time where something is asked first: what was asked goes along as seen.
    foreach (['first', 'again'] as $time) {
        foreach (['_token', 'form', 'seen'] as $hidden) {
            if (preg_match('/name="' . $hidden . '" value="([^"]+)"/', $page, $match) === 1) {
                $fields[$hidden] = html_entity_decode($match[1], ENT_QUOTES);
            }
        }
        curl_setopt_array($curl, [CURLOPT_URL => $address . $path, CURLOPT_POSTFIELDS => http_build_query($fields)]);
        $page = (string) curl_exec($curl);
        if (!str_contains($page, 'name="seen"')) {
            break;
        }
    }

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
$line = static fn(string $what, float $ms, float $beside): int => printf("  %-40s %7.1f ms  %5.2f times\n", $what, $ms, $ms / $beside);

$post('/sign-in', $get('/sign-in'), ['username' => 'oda', 'passphrase' => $passphrase]);
$run = $post('/calibrate/1/runs', $get('/calibrate/1'), ['lots' => ['Q-36', 'Q-31'], 'source' => 'simulated']);
$post("$run/immersions", $get($run), ['cup' => 9, 'speed' => 60]);
$draft = $post('/measure/2/drafts', $get('/measure/2'), [
    'pair' => 2,
    'thermometer' => 1,
    'stage' => 'underway',
    'place' => 'blend',
    'drawn_at' => (new DateTimeImmutable('-1 hour', new DateTimeZone('Europe/Dublin')))->format('Y-m-d\TH:i'),
    'source' => 'simulated',
]);

$bare = $page('/bare');
echo "Pages of the journey beside a bare route of the same application\n";
$line('bare route', $bare, $bare);
foreach (
    [
        '/',
        '/ready',
        '/calibrate',
        '/calibrate/1',
        $run,
        "$run/live",
        '/calibrations/12',
        '/measure',
        '/measure/2',
        $draft,
        '/batches',
        '/batches/2',
        '/readings/13',
    ]
    as $path
) {
    $line($path, $page($path), $bare);
}

$env = static fn(string $name): string => preg_match(
    "/^$name=(.*)$/m",
    (string) file_get_contents(getenv('RHEACID_HOME') . '/.env'),
    $match,
) === 1
    ? trim($match[1])
    : '';
$owner = new PDO(
    sprintf('mysql:host=127.0.0.1;port=%s;dbname=rheacid', $env('DB_PORT')),
    'rheacid_owner',
    (string) getenv('DB_OWNER_PASSWORD'),
    [PDO::ATTR_ERRMODE => PDO::ERRMODE_EXCEPTION],
);
// A chain of 100,000 lines more, each sealing a note, and the whole of it proven.
$last = (static function (PDO $owner): LedgerLine {
    $row = $owner->query('select * from ledger order by seq desc limit 1')->fetch(PDO::FETCH_ASSOC);

    return LedgerLine::kept(
        (int) $row['version'],
        (int) $row['seq'],
        $row['at'],
        (int) $row['person_id'],
        $row['action'],
        $row['table_name'],
        (int) $row['row_id'],
        $row['payload'],
        $row['payload_sha256'],
        $row['prev'],
        $row['hash'],
    );
})($owner);
$note = (int) $owner->query('select coalesce(max(id), 0) from batch_notes')->fetchColumn();
foreach (array_chunk(range(1, 100_000), 1000) as $some) {
    $lines = $notes = [];
    foreach ($some as $i) {
        $row = ['id' => (string) ++$note, 'batch_id' => '1', 'note' => "note $i", 'at' => '2026-11-28 00:00:00.000', 'person_id' => '1'];
        $last = LedgerLine::after($last, $last->at, 1, 'note', 'batch_notes', $note, ['batch_notes' => [$note => $row]]);
        $notes[] = "($note, 1, 'note $i', '2026-11-28 00:00:00.000', 1)";
        $lines[] =
            '(' .
            implode(
                ', ',
                array_map($owner->quote(...), [
                    (string) $last->seq,
                    (string) $last->version,
                    $last->at,
                    (string) $last->personId,
                    $last->action,
                    $last->table,
                    (string) $last->rowId,
                    $last->payload,
                    $last->payloadSha256,
                    $last->prev,
                    $last->hash,
                ]),
            ) .
            ')';
    }
    $owner->exec('insert into batch_notes (id, batch_id, note, at, person_id) values ' . implode(', ', $notes));
    $owner->exec(
        'insert into ledger (seq, version, at, person_id, action, table_name, row_id, payload, payload_sha256, prev, hash) values ' .
            implode(', ', $lines),
    );
}
$start = hrtime(true);
exec('php -d memory_limit=128M ' . escapeshellarg(dirname(__DIR__) . '/artisan') . ' ledger:verify 2>&1', $said, $status);
printf(
    "  verification of %s lines %.1f s, under 128 MB: %s\n",
    number_format($last->seq),
    (hrtime(true) - $start) / 1e9,
    $status === 0 ? 'proven' : implode(' ', array_slice($said, 0, 3)),
);

// A plant as large as it gets: 20,000 batches that run, and one of them with 581 readings. Rows are copied, not recorded.
$grow = require __DIR__ . '/bench-grow.php';
$empty = $page('/policies');
echo "Pages of a large plant beside a signed-in page of little\n";
$line('/policies', $empty, $empty);
$line('/batches, 3 batches', $page('/batches'), $empty);
$line('/batches/2, 7 readings', $page('/batches/2'), $empty);
$owner->exec('set foreign_key_checks = 0');
$apart = 'seq * 100000';
$grow($owner, 'batches', 'source.id = 2', ['id' => "source.id + $apart", 'code' => "concat('X', seq)"], 20_000);
$grow($owner, 'batch_events', 'source.batch_id = 2', ['id' => "source.id + $apart", 'batch_id' => "source.batch_id + $apart"], 20_000);
$grow(
    $owner,
    'board',
    "source.part = 'batch' and source.thing_id = 2",
    ['thing_id' => "source.thing_id + $apart", 'code' => "concat('X', seq)"],
    20_000,
);
$of = ['occasions' => 'source.batch_id = 2'];
$of['samples'] = 'source.occasion_id in (select id from occasions where batch_id = 2 and id < 100000)';
$of['measurements'] = $of['decisions'] = $of['samples'];
$of['limit_outcomes'] = 'source.batch_id = 2';
$grow(
    $owner,
    'found_things',
    "source.part = 'batch' and source.thing_id = 2",
    [
        'thing_id' => "source.thing_id + $apart",
        'leads_to' => "source.leads_to + $apart",
        'code' => "concat('x', seq)",
        'title' => "concat('X', seq)",
    ],
    20_000,
);
$grow($owner, 'found_terms', "source.part = 'batch' and source.thing_id = 2", ['thing_id' => "source.thing_id + $apart"], 20_000);
foreach (array_reverse($of) as $table => $where) {
    $grow(
        $owner,
        $table,
        $where,
        [
            'id' => "source.id + $apart",
            'occasion_id' => "source.occasion_id + $apart",
            'sample_id' => "source.sample_id + $apart",
            'decision_id' => "source.decision_id + $apart",
            'supersedes_id' => 'null',
            'series' => 'uuid()',
            'drawn_at' => 'source.drawn_at + interval seq minute',
        ],
        82,
    );
}
$line('/, 20,000 batches', $page('/'), $empty);
$line('/batches, 20,000 batches', $page('/batches'), $empty);
$line('/batches?sort=deadline, 20,000 batches', $page('/batches?sort=deadline'), $empty);
foreach (['chilli' => 'one word', 'chilli vat 2' => 'three words', 'chili' => 'misspelt'] as $words => $what) {
    $line("/find, 20,000 batches, $what", $page('/find?q=' . urlencode($words)), $empty);
}
$line('/batches/2, 581 readings', $page('/batches/2'), $empty);

// A logger's file of 100,000 lines on a sausage: read, judged by degree-hours, kept and sealed, until the page answers.
$post('/sign-out', $get('/'), []);
$post('/sign-in', $get('/sign-in'), ['username' => 'sela', 'passphrase' => $passphrase]);
$product = preg_match('#/products/(\d+)"><b>Semi-dry#', $get('/products'), $match) === 1 ? $match[1] : exit("no sausage\n");
$begun = new DateTimeImmutable('-40 hours', new DateTimeZone('Europe/Dublin'));
$batch = $post('/batches', $get("/batches/new?product=$product"), [
    'product' => $product,
    'code' => 'SA-0001',
    'vessel' => 'room 1',
    'size' => '40 kg',
    'route' => 'Fermented, then dried',
    'started_at' => $begun->format('Y-m-d\TH:i'),
]);
$post("$batch/steps", $get($batch), [
    'step' => 'stuffed',
    'when' => 'then',
    'at' => $begun->modify('+1 minute')->format('Y-m-d\TH:i'),
    'reason' => 'for the timing',
]);
$log = (string) tempnam(sys_get_temp_dir(), 'log');
file_put_contents(
    $log,
    implode(
        "\n",
        array_map(
            static fn(int $i): string => $begun->modify("+$i seconds")->format('Y-m-d H:i:s') . ';' . (21 + ($i % 3)),
            range(60, 100_059),
        ),
    ),
);
$form = $get("$batch/temperatures");
$fields = ['thermometer' => '1', 'point' => 'chamber', 'unit' => 'C', 'file' => new CURLFile($log, 'text/csv', 'chamber.csv')];
foreach (['_token', 'form'] as $hidden) {
    $fields[$hidden] = preg_match('/name="' . $hidden . '" value="([^"]+)"/', $form, $match) === 1 ? $match[1] : '';
}
curl_setopt_array($curl, [CURLOPT_URL => "$address$batch/temperatures", CURLOPT_POSTFIELDS => $fields]);
$answer = (string) curl_exec($curl);
unlink($log);
str_contains($answer, '100000 points recorded') || exit('the file was not taken: ' . substr(strip_tags($answer), 0, 400) . "\n");
printf("100,000 lines of a logger, until the page answers: %.2f s\n", curl_getinfo($curl, CURLINFO_TOTAL_TIME));

$compute = dirname(__DIR__) . '/bin/compute';
$empty = $process(['php', '-r', 'echo 1;'], '');
echo "One bin/compute nernst-slope beside php -r 'echo 1;'\n";
$line("php -r 'echo 1;'", $empty, $empty);
$line('bin/compute nernst-slope', $process([$compute, 'nernst-slope'], '{"temperature_c": 25}'), $empty);

$calibrations = [];
for ($i = 0; $i < FITS; $i++) {
    $calibrations[] = [
        'fit' => 'least-squares',
        'points' => [
            ['buffer_ph' => 4.01, 'mv' => 170 + ($i % 7), 'temperature_c' => 25],
            ['buffer_ph' => 7.0, 'mv' => -3 + ($i % 3), 'temperature_c' => 25],
            ['buffer_ph' => 10.01, 'mv' => -176 - ($i % 5), 'temperature_c' => 25],
        ],
    ];
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
