<?php

declare(strict_types=1);

namespace Rheacid\Ops\Mutation;

use SebastianBergmann\CodeCoverage\CodeCoverage;

/** Which tests of the core, and of it against outside sources, run through which line; measured once per state of the sources. */
final readonly class Coverage
{
    /** A line that no test is counted on belongs to the statement that began so many lines before at most. */
    private const STATEMENT = 25;

    /** @param array<string, array<int, list<string>>> $tests names by file and line */
    private function __construct(private array $tests, public string $fingerprint) {}

    public static function of(string $root): self
    {
        $files = glob("$root/tests/{Core,Reference}/{*,*/*}.{php,py}", GLOB_BRACE) ?: [];
        exec('find ' . escapeshellarg("$root/core") . ' -type f', $sources);
        $digest = hash_init('sha256');
        foreach ([...$files, ...$sources] as $file) {
            hash_update_file($digest, $file);
        }
        $fingerprint = substr(hash_final($digest), 0, 12);
        is_dir("$root/var/mutation") || mkdir("$root/var/mutation", 0o755, true);
        $kept = "$root/var/mutation/coverage-$fingerprint.json";
        if (!is_file($kept)) {
            file_put_contents($kept, json_encode(self::measured($root), JSON_THROW_ON_ERROR));
        }

        /** @var array<string, array<int, list<string>>> $tests */
        $tests = json_decode((string) file_get_contents($kept), true, 512, JSON_THROW_ON_ERROR);

        return new self($tests, $fingerprint);
    }

    /** @return list<string> tests that run through a line; of one that cannot run, as a constant, those that touch its file */
    public function tests(string $file, int $line): array
    {
        $lines = $this->tests[$file] ?? [];
        for ($at = $line; $at > $line - self::STATEMENT && $at > 0; $at--) {
            if (($lines[$at] ?? []) !== []) {
                return $lines[$at];
            }
        }

        return array_values(array_unique(array_merge(...array_values($lines), ...[[]])));
    }

    /** @return array<string, array<int, list<string>>> */
    private static function measured(string $root): array
    {
        $xml = tempnam(sys_get_temp_dir(), 'rheacid-coverage');
        $out = "$xml.php";
        file_put_contents(
            $xml,
            "<?xml version=\"1.0\"?><phpunit bootstrap=\"$root/vendor/autoload.php\" cacheResult=\"false\"><testsuites>"
                . "<testsuite name=\"a\"><directory>$root/tests/Core</directory>"
                . "<directory>$root/tests/Reference</directory></testsuite></testsuites>"
                . "<source><include><directory>$root/core</directory></include></source></phpunit>",
        );
        $command = [
            PHP_BINARY,
            '-d',
            'extension=pcov.so',
            '-d',
            'pcov.enabled=1',
            '-d',
            "pcov.directory=$root/core",
            '-d',
            'memory_limit=3G',
            "$root/vendor/bin/phpunit",
            '-c',
            $xml,
            '--coverage-php',
            $out,
            '--no-progress',
        ];
        exec(implode(' ', array_map(escapeshellarg(...), $command)) . ' 2>&1', $said, $code);
        if ($code !== 0) {
            fwrite(STDERR, implode("\n", array_slice($said, -20)) . "\nThe tests of the core must pass before they are tried out.\n");
            exit(1);
        }
        $coverage = require $out;
        assert($coverage instanceof CodeCoverage);
        $tests = [];
        foreach ($coverage->getData()->lineCoverage() as $file => $lines) {
            $path = substr((string) $file, strlen($root) + 1);
            foreach ($lines as $line => $names) {
                $tests[$path][$line] = array_values(
                    array_unique(array_map(static fn(mixed $name): string => explode('#', (string) $name)[0], $names ?? [])),
                );
            }
        }
        unlink($xml);
        unlink($out);

        return $tests;
    }
}
