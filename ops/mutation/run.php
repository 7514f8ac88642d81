<?php

declare(strict_types=1);

/**
 * Changes code, each time at one place of a seeded sample, and runs the tests that reach it: what none of them notices is listed. A call
 * works for so many minutes and the next one goes on; what was found is kept in var/mutation. bin/test --sample calls it.
 *
 * Usage: php ops/mutation/run.php core|app SAMPLE [SEED] [MINUTES]
 */

namespace Rheacid\Ops\Mutation;

require dirname(__DIR__, 2) . '/vendor/autoload.php';
require __DIR__ . '/Change.php';
require __DIR__ . '/Changes.php';
require __DIR__ . '/Coverage.php';
require __DIR__ . '/Part.php';

final class Run
{
    private const WORKERS = 2;

    /** So many tests are named one by one; more are run by their class. */
    private const NAMED = 60;

    private function __construct(
        private readonly string $root,
        private readonly Part $part,
        private readonly Coverage $coverage,
        private readonly string $kept,
    ) {}

    public static function sample(Part $part, int $size, int $seed, float $minutes): int
    {
        $root = dirname(__DIR__, 2);
        $coverage = Coverage::of($root, $part);
        $changes = self::drawn($root, $part, $size, $seed);
        $run = new self($root, $part, $coverage, "$root/var/mutation/$part->name-$seed-$size-$coverage->fingerprint.tsv");

        return $run->work($changes, microtime(true) + 60 * $minutes);
    }

    /** @return list<Change> */
    private static function drawn(string $root, Part $part, int $size, int $seed): array
    {
        $changes = [];
        $files = [];
        foreach ($part->folders as $folder) {
            $all = new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator("$root/$folder", \FilesystemIterator::SKIP_DOTS));
            foreach ($all as $file) {
                assert($file instanceof \SplFileInfo);
                $path = substr($file->getPathname(), strlen($root) + 1);
                if ($file->getExtension() === 'php' && ($part->leftOut === null || preg_match($part->leftOut, $path) !== 1)) {
                    $files[] = $path;
                }
            }
        }
        sort($files);
        foreach ($files as $path) {
            array_push($changes, ...Changes::of($path, (string) file_get_contents("$root/$path")));
        }
        $random = new \Random\Randomizer(new \Random\Engine\Mt19937($seed));
        printf("%d changes are possible, %d are drawn by seed %d.\n", count($changes), min($size, count($changes)), $seed);

        return array_slice($random->shuffleArray($changes), 0, $size);
    }

    /** @param list<Change> $changes */
    private function work(array $changes, float $until): int
    {
        $done = $this->done();
        $left = array_values(array_filter($changes, static fn(Change $one): bool => !isset($done[$one->name()])));
        /** @var array<int, array{resource, string, Change, float}> $running by worker */
        $running = [];
        while ($running !== [] || ($left !== [] && microtime(true) < $until)) {
            for ($worker = 1; $worker <= self::WORKERS; $worker++) {
                while (!isset($running[$worker]) && $left !== [] && microtime(true) < $until) {
                    $change = array_shift($left);
                    $tests = array_slice($this->coverage->tests($change->file, $change->line), 0, $this->part->mostTests);
                    if ($tests === []) {
                        $this->keep($change, 'unreached');
                        continue;
                    }
                    $running[$worker] = [...$this->start($change, $tests, $worker), $change, microtime(true)];
                }
            }
            usleep(20_000);
            foreach ($running as $worker => [$process, $home, $change, $since]) {
                $status = proc_get_status($process);
                if ($status['running'] && microtime(true) - $since < $this->part->patienceS) {
                    continue;
                }
                if ($status['running']) {
                    proc_terminate($process, 9);
                }
                proc_close($process);
                exec('rm -rf ' . escapeshellarg($home));
                $this->keep($change, match (true) {
                    $status['running'] => 'hung',
                    $status['exitcode'] === 0 => 'unnoticed',
                    default => 'noticed',
                });
                unset($running[$worker]);
            }
        }

        return $this->tell(count($left));
    }

    /**
     * @param non-empty-list<string> $tests
     *
     * @return array{resource, string}
     */
    private function start(Change $change, array $tests, int $worker): array
    {
        $home = sys_get_temp_dir() . '/rheacid-mutant-' . getmypid() . '-' . bin2hex(random_bytes(4));
        mkdir($home);
        $source = (string) file_get_contents("$this->root/$change->file");
        file_put_contents("$home/changed.php", $change->applied($source));
        file_put_contents(
            "$home/bootstrap.php",
            sprintf(
                "<?php require %s; spl_autoload_register(static function (string \$class): void { "
                    . "if (\$class === %s) { require %s; } }, true, true);",
                var_export("$this->root/{$this->part->bootstrap}", true),
                var_export(Part::className($change->file), true),
                var_export("$home/changed.php", true),
            ),
        );
        $classes = array_values(array_unique(array_map(static fn(string $test): string => explode('::', $test)[0], $tests)));
        $files = implode(
            '',
            array_map(
                fn(string $one): string => sprintf('<file>%s/tests/%s.php</file>', $this->root, str_replace('\\', '/', substr($one, 6))),
                $classes,
            ),
        );
        file_put_contents(
            "$home/phpunit.xml",
            // A warning is a defect here as in bin/test: it would end the run, and else count as nothing.
            "<?xml version=\"1.0\"?><phpunit bootstrap=\"$home/bootstrap.php\" cacheResult=\"false\" failOnWarning=\"true\">"
                . "<testsuites><testsuite name=\"a\">$files</testsuite></testsuites></phpunit>",
        );
        $methods = array_unique(array_map(static fn(string $test): string => preg_quote(explode('#', $test)[0], '/'), $tests));
        $filter = count($methods) > self::NAMED ? [] : ['--filter', '/^(' . implode('|', $methods) . ')( with data set .*)?$/'];
        $process = proc_open(
            [
                PHP_BINARY,
                '-d',
                'memory_limit=1G',
                "$this->root/vendor/bin/phpunit",
                '-c',
                "$home/phpunit.xml",
                ...$filter,
                '--no-output',
                '--stop-on-defect',
            ],
            [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']],
            $pipes,
            $this->root,
            // The tests of the application have two houses, one for each worker.
            [...getenv(), 'TEST_TOKEN' => (string) $worker],
        );
        assert(is_resource($process));

        return [$process, $home];
    }

    /** @return array<string, string> what became of each change, by its name */
    private function done(): array
    {
        $done = [];
        foreach (is_file($this->kept) ? (array) file($this->kept, FILE_IGNORE_NEW_LINES) : [] as $line) {
            [$outcome, $name] = explode("\t", (string) $line, 2);
            $done[$name] = $outcome;
        }

        return $done;
    }

    private function keep(Change $change, string $outcome): void
    {
        file_put_contents($this->kept, "$outcome\t{$change->name()}\n", FILE_APPEND);
    }

    private function tell(int $left): int
    {
        $done = $this->done();
        $others = array_filter($done, static fn(string $outcome): bool => $outcome !== 'noticed');
        foreach ($others as $name => $outcome) {
            echo "$outcome: $name\n";
        }
        // A test that never ends has noticed as well; whether it would have ended is to be looked at.
        $unseen = array_filter($others, static fn(string $outcome): bool => $outcome !== 'hung');
        printf(
            "%d changed, %d noticed (%.1f %%), %d still to be tried.\n",
            count($done),
            count($done) - count($unseen),
            100 * (1 - count($unseen) / max(1, count($done))),
            $left,
        );

        return $left === 0 ? 0 : 3;
    }
}

exit(Run::sample(Part::named($argv[1] ?? 'core'), (int) ($argv[2] ?? 1000), (int) ($argv[3] ?? 1), (float) ($argv[4] ?? 9)));
