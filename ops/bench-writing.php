<?php

declare(strict_types=1);

// Called by bin/bench: how many typed readings are recorded in a second, by so many processes at once, for so long.

use Carbon\CarbonImmutable;
use Illuminate\Contracts\Console\Kernel;
use Illuminate\Support\Facades\DB;
use Rheacid\Actions\Measure\PaperLine;
use Rheacid\Actions\Measure\RecordLate;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Limits\Stage;
use Rheacid\Models\Batch;
use Rheacid\Models\Measurement;
use Rheacid\Models\Pair;
use Rheacid\Models\Person;
use Rheacid\Models\Thermometer;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;

require dirname(__DIR__) . '/vendor/autoload.php';
$app = require dirname(__DIR__) . '/bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

$seconds = (float) ($argv[1] ?? 10);
$batches = Batch::query()->whereIn('code', ['CS-0417', 'CS-0421'])->pluck('id')->all();
$person = Person::query()->findOrFail(DB::table('credentials')->where('username', 'oda')->value('person_id'));
$asked = static fn(string $name): int => (int) (DB::selectOne("show global status like '$name'")->Value ?? 0);

foreach ([1, 6, 8, 16] as $processes) {
    $before = [Measurement::query()->count(), $asked('Com_rollback'), $asked('Com_commit')];
    DB::disconnect();
    $start = microtime(true);
    $children = [];
    for ($i = 0; $i < $processes; $i++) {
        $child = pcntl_fork();
        if ($child === 0) {
            DB::purge();
            $record = $app->make(RecordLate::class);
            $longest = 0.0;
            for ($n = 0; microtime(true) - $start < $seconds; $n++) {
                $since = microtime(true);
                $record(
                    $person,
                    IdempotencyKey::own(),
                    Batch::query()->findOrFail($batches[($i + $n) % count($batches)]),
                    Pair::query()->findOrFail(1),
                    Thermometer::query()->findOrFail(1),
                    Stage::Underway,
                    'blend',
                    [new PaperLine(1, CarbonImmutable::now()->subSecond(), [Signal::mv(141.2), Signal::mv(141.3)], 21.4)],
                    true,
                );
                $longest = max($longest, microtime(true) - $since);
            }
            file_put_contents("/tmp/rheacid-longest-$i", (string) $longest);
            posix_kill(posix_getpid(), SIGKILL);
        }
        $children[] = $child;
    }
    foreach ($children as $child) {
        pcntl_waitpid($child, $status);
    }
    $took = microtime(true) - $start;
    DB::purge();
    $made = Measurement::query()->count() - $before[0];
    $longest = 0.0;
    for ($i = 0; $i < $processes; $i++) {
        $longest = max($longest, (float) file_get_contents("/tmp/rheacid-longest-$i"));
        unlink("/tmp/rheacid-longest-$i");
    }
    printf(
        "  %2d processes: %5.1f readings a second, %.2f rollbacks a reading, longest wait %.2f s\n",
        $processes,
        $made / $took,
        ($asked('Com_rollback') - $before[1]) / max(1, $made),
        $longest,
    );
}
