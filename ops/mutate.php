<?php

declare(strict_types=1);

/**
 * Changes the numbers in the constants of core one by one, in a copy, and lets the tests of the core look at each: what they
 * do not notice is listed. Those that change no answer stand below with their reason.
 */

namespace Rheacid\Ops;

require dirname(__DIR__) . '/vendor/autoload.php';

final class Mutate
{
    /** Constant → why another number gives the same answers, or answers that nobody relies on. */
    private const EQUIVALENT = [
        'Forecast/FallingSigmoid.php SCALES' =>
            'how finely the minimum is searched, not where it lies; held by 3000 ferments against SciPy',
        'Forecast/FallingSigmoid.php WITHIN' => 'as SCALES',
        'Forecast/FallingSigmoid.php BEYOND' => 'as SCALES',
        'Forecast/FallingSigmoid.php FOLLOWED' => 'as SCALES',
        'Forecast/FallingSigmoid.php SIMPLEX_STEPS' => 'as SCALES',
        'Forecast/FallingSigmoid.php AS_GOOD' => 'a share of rounding',
        'Electrode/CalibrationFit.php NO_SLOPE' => 'a share of rounding',
        'Numbers.php TOLERANCE' => 'a share of rounding',
        'Maths/NonlinearFit.php STEPS' => 'when the polish gives up; it has arrived long before',
        'Maths/NonlinearFit.php LAST_STEPS' => 'as STEPS',
        'Maths/NonlinearFit.php DAMPING_MAX' => 'as STEPS',
        'Maths/NonlinearFit.php NEAR' => 'as STEPS',
        'Maths/NonlinearFit.php ARRIVED' => 'as STEPS',
        'Acidity/BenchTrial.php HALVINGS' => 'how finely a root is searched; the digits of a number end before',
        'Simulation/AcidSolution.php HALVINGS' => 'as BenchTrial',
        'Access/TimeCode.php SECRET_BYTES' => 'how long a secret is drawn, which changes no code',
        'Words/WallClock.php AROUND_S' =>
            'how far around a moment changes of the clock are looked for; farther than any zone lies from UTC',
        'Simulation/AcidSolution.php CARBONIC_PKAS' =>
            'invented, of the simulated bench: the second step of its gas lies above the pH of any food',
        'Simulation/SimulatedBurette.php STEPS_ML' => 'invented, of the simulated bench',
        'Urgency/Urgency.php FAR' => 'farther than anything; only its being so is used',
        'Logs/CourseFile.php ACCEPTED' => 'a sentence with an example',
        'Simulation/SimulatedSample.php GAS_MOLAR' => 'invented, of the simulated bench',
        'Simulation/SimulatedSample.php STAYS' => 'invented, of the simulated bench',
        'Simulation/SimulatedSample.php LAG_PH' => 'invented, of the simulated bench',
        'Simulation/SimulatedSample.php PASTE_SLOWNESS' => 'invented, of the simulated bench',
        'Simulation/SimulatedSample.php MOLAR' => 'invented, of the simulated bench',
        'Simulation/SimulatedSample.php LACTIC' => 'invented, of the simulated bench',
        'Simulation/SimulatedSample.php BEER' => 'invented, of the simulated bench',
        'Simulation/SimulatedBurette.php HOLDS_ML' => 'invented, of the simulated bench',
        'Simulation/SimulatedBurette.php RISE_PH' => 'invented, of the simulated bench',
        'Maths/StudentT.php STEPS' => 'how finely an integral is cut; held against SciPy to eight digits',
        'Logs/LogColumns.php ORDERS' =>
            'another order of the same six; a log without names that makes sense in two orders is shown before anything is taken',
        'Logs/LogTable.php MOST_BYTES' => 'what is too large for a page; the exact size judges nothing',
        'Records/LedgerLine.php VERSION' => 'the name of the form, which is sealed as it is',
        'Simulation/Scene.php ROOM_C' => 'invented, of the simulated bench',
        'Simulation/Scene.php WARM_ROOM_C' => 'invented, of the simulated bench',
        'Simulation/SimulatedBath.php ROOM_C' => 'invented, of the simulated bench',
        'Simulation/SimulatedCell.php LONGEST_S' => 'invented, of the simulated bench',
        'Simulation/SimulatedImmersion.php LONGEST_S' => 'invented, of the simulated bench',
        'Simulation/SimulatedImmersion.php TEMPERATURE_NOISE_C' => 'invented, of the simulated bench',
    ];

    /** A test that hangs has noticed as well. */
    private const PATIENCE_S = 120;

    /** @param string $only a part of the name of the files that are looked at */
    public static function run(int $workers, string $only): int
    {
        $root = dirname(__DIR__);
        $mutants = array_values(
            array_filter(
                self::mutants("$root/core"),
                static fn(array $mutant): bool => str_contains("{$mutant['file']} {$mutant['constant']}", $only) &&
                    !isset(self::EQUIVALENT["{$mutant['file']} {$mutant['constant']}"]),
            ),
        );
        $running = [];
        $survived = [];
        $noticed = 0;
        $next = 0;
        while ($next < count($mutants) || $running !== []) {
            while (count($running) < $workers && $next < count($mutants)) {
                $running[] = self::start($root, $mutants[$next], $next);
                $next++;
            }
            usleep(50_000);
            foreach ($running as $i => [$process, $mutant, $home, $since]) {
                $status = proc_get_status($process);
                if ($status['running'] && microtime(true) - $since < self::PATIENCE_S) {
                    continue;
                }
                if ($status['running']) {
                    proc_terminate($process, 9);
                }
                proc_close($process);
                exec('rm -rf ' . escapeshellarg($home));
                if (!$status['running'] && $status['exitcode'] === 0) {
                    $survived[] = $mutant;
                } else {
                    $noticed++;
                }
                unset($running[$i]);
            }
        }

        return self::tell($mutants, $survived, $noticed);
    }

    /** @return list<array{file: string, constant: string, at: int, from: string, to: string}> */
    private static function mutants(string $core): array
    {
        $mutants = [];
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($core, \FilesystemIterator::SKIP_DOTS)) as $file) {
            assert($file instanceof \SplFileInfo);
            // The tables of buffers are compared with their published values one by one.
            if ($file->getExtension() !== 'php' || $file->getFilename() === 'BufferTables.php') {
                continue;
            }
            $source = (string) file_get_contents($file->getPathname());
            preg_match_all('/\bconst (?:\w+ )?([A-Z][A-Z0-9_]*) = ([^;]+);/', $source, $constants, PREG_SET_ORDER | PREG_OFFSET_CAPTURE);
            foreach ($constants as $constant) {
                // Names and remarks may hold numbers too.
                $bare = (string) preg_replace_callback(
                    "~'[^']*'|//[^\n]*~",
                    static fn(array $match): string => str_repeat(' ', strlen($match[0])),
                    $constant[2][0],
                );
                preg_match_all('/(?<![\w.])\d[\d_]*(?:\.\d+)?(?:e-?\d+)?/', $bare, $numbers, PREG_SET_ORDER | PREG_OFFSET_CAPTURE);
                foreach ($numbers as [[$number, $at]]) {
                    $mutants[] = [
                        'file' => substr($file->getPathname(), strlen($core) + 1),
                        'constant' => $constant[1][0],
                        'at' => $constant[2][1] + $at,
                        'from' => $number,
                        'to' => self::other($number),
                    ];
                }
            }
        }
        usort($mutants, static fn(array $a, array $b): int => [$a['file'], $a['at']] <=> [$b['file'], $b['at']]);

        return $mutants;
    }

    /** A tenth more, or one more where only whole numbers count. */
    private static function other(string $number): string
    {
        $plain = str_replace('_', '', $number);

        return preg_match('/^\d+$/', $plain) === 1
            ? (string) ((int) $plain + max(1, (int) round((int) $plain / 10)))
            : sprintf('%.17g', (float) $plain === 0.0 ? 0.1 : (float) $plain * 1.1);
    }

    /**
     * @param array{file: string, constant: string, at: int, from: string, to: string} $mutant
     *
     * @return array{resource, array{file: string, constant: string, at: int, from: string, to: string}, string, float}
     */
    private static function start(string $root, array $mutant, int $number): array
    {
        $home = sys_get_temp_dir() . '/rheacid-mutant-' . getmypid() . "-$number";
        mkdir($home);
        exec('cp -r ' . escapeshellarg("$root/core") . ' ' . escapeshellarg("$home/core"));
        $source = (string) file_get_contents("$home/core/{$mutant['file']}");
        file_put_contents("$home/core/{$mutant['file']}", substr_replace($source, $mutant['to'], $mutant['at'], strlen($mutant['from'])));
        // The copy stands before the original.
        file_put_contents(
            "$home/bootstrap.php",
            "<?php require '$root/vendor/autoload.php'; spl_autoload_register(static function (string \$class): void { " .
                "\$file = '$home/core/' . str_replace('\\\\', '/', substr(\$class, 13)) . '.php'; " .
                "if (str_starts_with(\$class, 'Rheacid\\\\Core\\\\') && is_file(\$file)) { require \$file; } }, true, true);",
        );
        $process = proc_open(
            [
                PHP_BINARY,
                '-d',
                'memory_limit=1G',
                "$root/vendor/bin/phpunit",
                '-c',
                "$root/phpunit.xml",
                '--testsuite',
                'Core',
                '--bootstrap',
                "$home/bootstrap.php",
                '--cache-directory',
                "$home/cache",
                '--no-output',
                '--stop-on-failure',
                '--stop-on-error',
            ],
            [1 => ['file', '/dev/null', 'w'], 2 => ['file', '/dev/null', 'w']],
            $pipes,
            $root,
        );
        assert(is_resource($process));

        return [$process, $mutant, $home, microtime(true)];
    }

    /**
     * @param list<array{file: string, constant: string, at: int, from: string, to: string}> $mutants
     * @param list<array{file: string, constant: string, at: int, from: string, to: string}> $survived
     */
    private static function tell(array $mutants, array $survived, int $noticed): int
    {
        printf("%d numbers in constants changed, %d noticed.\n", count($mutants), $noticed);
        foreach ($survived as $mutant) {
            printf("%s %s: %s → %s is noticed by nobody\n", $mutant['file'], $mutant['constant'], $mutant['from'], $mutant['to']);
        }
        echo "Not tried, as nothing hangs on their exact number:\n";
        foreach (self::EQUIVALENT as $constant => $why) {
            echo "$constant: $why\n";
        }

        return $survived === [] ? 0 : 1;
    }
}

exit(Mutate::run(max(1, (int) ($argv[1] ?? 1)), $argv[2] ?? ''));
