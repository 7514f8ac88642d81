<?php

declare(strict_types=1);

namespace Rheacid\Ops\Mutation;

use SebastianBergmann\CodeCoverage\CodeCoverage;

/** Which tests run through which line (pcov): measured once for each state of code and tests. */
final readonly class Coverage
{
    /** A line that no test is counted on belongs to the statement that began so many lines before at most. */
    private const STATEMENT = 25;

    /**
     * @param array<string, array<int, list<string>>> $tests names by file and line
     * @param array<string, int> $reach lines that a test runs through
     */
    private function __construct(private array $tests, private array $reach, public string $fingerprint) {}

    public static function of(string $root, Part $part): self
    {
        $files = array_merge(...array_map(
            static function (string $folder) use ($root): array {
                exec('find ' . escapeshellarg("$root/$folder") . ' -type f | sort', $found);

                return $found;
            },
            [...$part->folders, ...$part->tests],
        ));
        $digest = hash_init('sha256');
        foreach ($files as $file) {
            hash_update_file($digest, $file);
        }
        $fingerprint = substr(hash_final($digest), 0, 12);
        is_dir("$root/var/mutation") || mkdir("$root/var/mutation", 0o755, true);
        $kept = "$root/var/mutation/coverage-$part->name-$fingerprint.json";
        if (!is_file($kept)) {
            file_put_contents($kept, json_encode(self::measured($root, $part), JSON_THROW_ON_ERROR));
        }

        /** @var array<string, array<int, list<string>>> $tests */
        $tests = json_decode((string) file_get_contents($kept), true, 512, JSON_THROW_ON_ERROR);
        $reach = [];
        foreach ($tests as $lines) {
            foreach ($lines as $names) {
                foreach ($names as $name) {
                    $reach[$name] = ($reach[$name] ?? 0) + 1;
                }
            }
        }

        return new self($tests, $reach, $fingerprint);
    }

    /** @return list<string> tests that run through a line, the most special first; of a constant, those that touch its file */
    public function tests(string $file, int $line): array
    {
        $lines = $this->tests[$file] ?? [];
        $found = [];
        for ($at = $line; $at > $line - self::STATEMENT && $at > 0 && $found === []; $at--) {
            $found = $lines[$at] ?? [];
        }
        $found = $found === [] ? array_values(array_unique(array_merge(...array_values($lines), ...[[]]))) : $found;
        usort($found, fn(string $a, string $b): int => ($this->reach[$a] ?? 0) <=> ($this->reach[$b] ?? 0));

        return $found;
    }

    /** @return array<string, array<int, list<string>>> */
    private static function measured(string $root, Part $part): array
    {
        $xml = tempnam(sys_get_temp_dir(), 'rheacid-coverage');
        $out = "$xml.php";
        $directories = static fn(array $folders): string => implode(
            '',
            array_map(static fn(string $folder): string => "<directory>$root/$folder</directory>", $folders),
        );
        file_put_contents(
            $xml,
            "<?xml version=\"1.0\"?><phpunit bootstrap=\"$root/$part->bootstrap\" cacheResult=\"false\"><testsuites>"
                . "<testsuite name=\"a\">{$directories($part->tests)}</testsuite></testsuites>"
                . "<source><include>{$directories($part->folders)}</include></source></phpunit>",
        );
        $command = [
            PHP_BINARY,
            '-d',
            'extension=pcov.so',
            '-d',
            'pcov.enabled=1',
            '-d',
            'pcov.directory=' . $root . '/' . explode('/', $part->folders[0])[0],
            '-d',
            'memory_limit=3G',
            "$root/vendor/bin/phpunit",
            '-c',
            $xml,
            '--coverage-php',
            $out,
            '--no-progress',
        ];
        // Into a file: a test starts a database that outlives it and would hold a pipe open.
        exec(sprintf('%s > %s 2>&1', implode(' ', array_map(escapeshellarg(...), $command)), escapeshellarg("$xml.log")), $said, $code);
        if ($code !== 0) {
            $lines = (array) file("$xml.log");
            fwrite(STDERR, implode('', array_slice($lines, -20)) . "\nThe tests must pass before they are tried out.\n");
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
        array_map(unlink(...), [$xml, $out, "$xml.log"]);

        return $tests;
    }
}
