<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Contract\Contract;
use Rheacid\Core\Electrode\BufferTables;
use Rheacid\Core\Electrode\Nernst;

/**
 * The published examples of bin/compute, answered a second time by an independent program on SciPy, NumPy and
 * uncertainties (general-purpose libraries): Nernst slopes on CODATA constants, PCHIP, straight lines, propagation.
 */
final class ContractAgainstPythonTest extends TestCase
{
    public function test_every_answered_example_agrees_with_the_independent_program(): void
    {
        $asked = [];
        $tables = array_combine(BufferTables::names(), array_map(BufferTables::of(...), BufferTables::names()));
        $published = json_decode(
            (string) file_get_contents(dirname(__DIR__, 2) . '/docs/compute-examples.json'),
            true,
            64,
            JSON_THROW_ON_ERROR,
        );
        foreach ($published as $job => $examples) {
            foreach ($examples as $example) {
                if (isset($example['input']) && !array_is_list($example['input']) && !isset($example['output']['error'])) {
                    $asked[] = ['job' => $job, 'input' => $example['input'], 'output' => $example['output']];
                }
            }
        }

        $compared = [];
        foreach (Python::run('contract.py', ['tables' => $tables, 'examples' => $asked]) as $i => $answer) {
            if ($answer !== null) {
                $compared[$asked[$i]['job']] = ($compared[$asked[$i]['job']] ?? 0) + 1;
                self::assertAgree($answer, $asked[$i]['output'], $asked[$i]['job'] . ' ' . json_encode($asked[$i]['input']));
            }
        }
        self::assertSame([], array_values(array_diff(Contract::names(), array_keys($compared))), 'no job is left out');
        foreach ($compared as $job => $count) {
            self::assertGreaterThanOrEqual(4, $count, $job);
        }
    }

    public function test_random_inputs_agree_too(): void
    {
        $random = new Randomizer(new Mt19937(20261125));
        $asked = [];
        for ($i = 0; $i < 60; $i++) {
            foreach (self::drawn($random) as $job => $input) {
                $output = json_decode(Contract::answer($job, json_encode($input, JSON_THROW_ON_ERROR))[0], true, 64, JSON_THROW_ON_ERROR);
                self::assertArrayNotHasKey('error', $output, $job . json_encode($input) . json_encode($output));
                $asked[] = ['job' => $job, 'input' => $input, 'output' => $output];
            }
        }
        $tables = array_combine(BufferTables::names(), array_map(BufferTables::of(...), BufferTables::names()));

        foreach (Python::run('contract.py', ['tables' => $tables, 'examples' => $asked]) as $i => $answer) {
            self::assertAgree($answer, $asked[$i]['output'], $asked[$i]['job'] . ' ' . json_encode($asked[$i]['input']));
        }
    }

    /** 1,000 records for each job that is judged on temperatures over time, integrated by NumPy. */
    public function test_a_thousand_records_of_temperature_agree(): void
    {
        $random = new Randomizer(new Mt19937(20261130));
        $number = static fn(float $low, float $high, int $decimals = 2): float => round(
            $low + (($high - $low) * $random->getInt(0, 1_000_000)) / 1_000_000,
            $decimals,
        );
        $any = static fn(array $from): mixed => $from[$random->getInt(0, count($from) - 1)];
        $asked = [];
        $seen = [];
        for ($i = 0; $i < 1000; $i++) {
            foreach (self::records($number, $any) as $job => $input) {
                $output = json_decode(Contract::answer($job, json_encode($input, JSON_THROW_ON_ERROR))[0], true, 64, JSON_THROW_ON_ERROR);
                self::assertArrayNotHasKey('error', $output, $job . json_encode($input) . json_encode($output));
                $asked[] = ['job' => $job, 'input' => $input, 'output' => $output];
                $said = $output['verdict'] ?? ($output['met'] ?? null);
                if ($said !== null) {
                    $verdict = $job . ' ' . json_encode($said);
                    $seen[$verdict] = ($seen[$verdict] ?? 0) + 1;
                }
            }
        }

        foreach (Python::run('contract.py', ['tables' => [], 'examples' => $asked]) as $i => $answer) {
            self::assertAgree($answer, $asked[$i]['output'], $asked[$i]['job'] . ' ' . json_encode($asked[$i]['input']));
        }
        self::assertCount(9, $seen, 'every verdict was drawn: ' . json_encode($seen));
        self::assertSame([], array_filter($seen, static fn(int $times): bool => $times < 25), json_encode($seen, JSON_THROW_ON_ERROR));
    }

    /**
     * @param \Closure(float, float): float $number
     * @param \Closure(list<mixed>): mixed $any
     *
     * @return array<string, array<string, mixed>>
     */
    private static function records(\Closure $number, \Closure $any): array
    {
        $chamber = self::course($number, $any);
        $struck = static function (array $course) use ($any, $number): array {
            $stretches = [];
            foreach (array_slice($course, 0, -1) as $i => $point) {
                if ($any(range(1, 40)) === 1) {
                    $width = $course[$i + 1][0] - $point[0];
                    $stretches[] = [round($point[0] + $width * $number(0.1, 0.4), 3), round($point[0] + $width * $number(0.5, 0.9), 3)];
                }
            }

            return $stretches === [] ? [] : ['left_out' => $stretches];
        };
        $minutes = array_map(
            static fn(array $point): array => [round($point[0] * 3, 2), round(($point[1] - 32) / 1.8 + 35, 1)],
            self::course($number, $any),
        );
        $cold = [];
        for ($hours = $number(-3, 3), $level = $number(2.5, 4.9); $hours < 60; $hours += $any([1, 3, 5, 8, 8, $any([8, 15])])) {
            $cold[] = [round($hours, 2), round($level + $number(-0.8, 0.8), 1)];
        }
        $last = $cold[count($cold) - 1][0];
        $isHot = $any([false, false, true]);

        return [
            'degree-hours' => [
                'temperatures' => $chamber,
                'unit' => 'F',
                'temperature_expanded_u' => $any([0, 0.9]),
                'ph' => [[-0.5, 5.6], [2.0, $number(5.2, 5.9)], [20.0, $number(5.2, 5.5)], [38.0, $number(5.0, 5.4)]],
                'ph_expanded_u' => $any([0, 0.05]),
                ...$any([[], ['from_h' => $number(-8, 8)]]),
                ...$any([[], ['now_h' => $number(44, 60)]]),
                ...$struck($chamber),
            ],
            'throughout' => [
                'temperatures' => $isHot
                    ? array_map(static fn(array $point): array => [$point[0], round(62 - $point[1], 1)], $cold)
                    : $cold,
                'expanded_u_c' => $any([0, 0.5]),
                'op' => $isHot ? '>=' : '<=',
                'value_c' => $isHot ? 57 : 5,
                'from_h' => $any([0, $number(-2, 20)]),
                ...$any([[], ['hours' => $any([12, 36, 48, 90])]]),
                ...$any([[], ['now_h' => round($last + $any([0, 4, 40]), 2)]]),
                ...$any([[], ['gap_h' => $any([4, 12])]]),
                ...$struck($cold),
            ],
            'heat-hold' => [
                'temperatures' => $minutes,
                'expanded_u_c' => $any([0, 0.5]),
                'minimum_c' => 63,
                'minutes' => $any([3, 15, 30]),
                ...$any([[], ['gap_minutes' => $any([2, 8])]]),
                ...$any([[], ['begin_minute' => $number(-5, 30), 'end_minute' => $number(60, 140)]]),
                ...$struck($minutes),
            ],
            'lethality' => [
                'temperatures' => $minutes,
                'expanded_u_c' => $any([0, 0.5]),
                'base_c' => $any([60, 70, 121.1]),
                'z_c' => $any([7, 10]),
                ...$any([[], ['gap_minutes' => $any([2, 8])]]),
                ...$struck($minutes),
            ],
            'time-beyond' => [
                'temperatures' => $cold,
                'expanded_u_c' => $any([0, 0.5]),
                'limit_c' => $any([4, 5]),
                ...$any([[], ['gap_h' => $any([4, 12])]]),
                ...$struck($cold),
            ],
            'acidity-unit' => [
                'value' => $number(0, 30),
                'given_in' => $any(AcidityUnit::perLitre()),
                'wanted_in' => $any(AcidityUnit::perLitre()),
            ],
        ];
    }

    /**
     * One input for each job that has much to decide.
     *
     * @return array<string, array<string, mixed>>
     */
    private static function drawn(Randomizer $random): array
    {
        $number = static fn(float $low, float $high, int $decimals = 2): float => round(
            $low + (($high - $low) * $random->getInt(0, 1_000_000)) / 1_000_000,
            $decimals,
        );
        $any = static fn(array $from): mixed => $from[$random->getInt(0, count($from) - 1)];
        $points = [];
        foreach (array_slice([4.01, 7.0, 10.01, 12.45], 0, $random->getInt(2, 4)) as $ph) {
            $celsius = $number(15, 30, 1);
            $points[] = [
                'buffer_ph' => $ph,
                'mv' => round(-$number(0.85, 1.03, 3) * Nernst::mvPerPh($celsius) * ($ph - 7) + $number(-8, 8, 1), 1),
                'temperature_c' => $celsius,
            ];
        }
        $calibration = ['points' => $random->shuffleArray($points), 'fit' => $any(['segments', 'least-squares'])];
        $limits = [];
        for ($i = $random->getInt(0, 4); $i > 0; $i--) {
            $op = $any(['<=', '<', '>=', '>', 'between']);
            $edge = $number(3, 6, 1);
            $limits[] = [
                'name' => "limit $i",
                'kind' => $any(['critical', 'legal', 'operating', 'spoilage', 'target']),
                'op' => $op,
                ...$op === 'between' ? ['low' => $edge, 'high' => $edge + 0.5] : ['value' => $edge],
            ];
        }
        $lots = [];
        foreach ([3.0, 4.01, 6.86, 7.0, 9.18, 10.01] as $i => $nominal) {
            foreach (range(1, $random->getInt(1, 2)) as $copy) {
                $lots[] = [
                    'id' => "$nominal-$copy",
                    'buffer' => "buffer $nominal",
                    'nominal_ph' => $nominal,
                    'expires_on' => $any(['2026-11-24', '2026-11-25', '2027-01-01', '2027-02-01']),
                    'uses_left' => $random->getInt(0, 2),
                ];
            }
        }
        $samples = [];
        $time = 0.0;
        for ($i = $random->getInt(1, 80); $i > 0; $i--) {
            $time = round($time + $number(0.5, 3, 1), 1);
            $samples[] = [$time, round(4.5 - 0.4 * exp(-$time / 12) + $number(-0.008, 0.008, 4), 4)];
        }
        $low = $number(2.5, 8);
        $from = new \DateTimeImmutable('2025-01-01');
        $history = [];
        $checks = [];
        $age = 0;
        for ($i = $random->getInt(1, 14); $i > 0; $i--) {
            $age += $random->getInt(5, 60);
            $on = $from->modify("+$age days")->format('Y-m-d');
            $history[] = ['on' => $on, 'slope_percent' => 99 - $age * $any([0.005, 0.01, 0.02]) + $number(-0.6, 0.6)];
            $checks[] = ['on' => $on, 'error_c' => $number(-0.3, $any([0.3, 0.6])), 'tolerance_c' => $any([0.5, 1.0])];
        }
        $method = $any(['ice', 'boiling', 'comparison']);
        $isFahrenheit = $random->getInt(0, 1) === 1;
        $true = match ($method) {
            'ice' => $number(-0.6, 1.5),
            'boiling' => $number(97, 100),
            'comparison' => $number(62, 64),
        };
        $readings = array_map(
            static fn(): float => round(($true + $number(-0.2, 0.2)) * ($isFahrenheit ? 1.8 : 1) + ($isFahrenheit ? 32 : 0), 1),
            range(1, $random->getInt(1, 6)),
        );

        $course = [];
        [$middle, $scale] = [$number(30, 60), $number(6, 14)];
        for ($hours = 0.0, $count = $random->getInt(1, 12); count($course) < $count; $hours += $number(8, 14)) {
            $course[] = [round($hours, 2), round(3.9 + 1.8 / (1 + exp(($hours - $middle) / $scale)) + $number(-0.01, 0.01, 3), 3)];
        }

        return [
            'titration' => [
                'sample_ml' => 10,
                'titrant_normality' => 0.1,
                'curve' => array_map(
                    static fn(int $i): array => [$i * 0.5, round(3.2 + $i * 0.12 + 4.5 / (1 + exp(12 - $i)) + $number(0, 0.05), 3)],
                    range(0, 20),
                ),
                'endpoint' => $any([['ph' => 7.0], ['ph' => 8.2], 'first-derivative']),
                'acid' => $any(['tartaric', 'malic', 'citric', 'lactic', 'acetic', 'sulfuric']),
                'blank_ml' => $any([0, 0.1]),
            ],
            'adjustment' => [
                'trial' => array_map(static fn(int $i): array => [$i * 0.5, round(3.9 - 0.2 * $i + $number(0, 0.15), 3)], range(0, 6)),
                'target' => $number(2.9, 3.7),
                'trial_volume_ml' => 100,
                'batch_l' => $number(5, 500),
            ],
            'judge' => self::occasion($number, $any),
            'release' => self::outcomes($any),
            'forecast' => [
                'readings' => $course,
                'target' => $any([4.2, 4.6]),
                ...$random->getInt(0, 1) === 1 ? ['expanded_u' => 0.07] : [],
                ...$random->getInt(0, 2) > 0 ? ['within_h' => $any([48, 72, 168])] : [],
                ...$random->getInt(0, 1) === 1 ? ['now_h' => $course[count($course) - 1][0] + 20] : [],
            ],
            'electrode-trend' => ['history' => $random->shuffleArray($history), 'limit_percent' => $any([90, 95])],
            'conductivity' => [
                'us_per_cm' => $number(0, 20000, 1),
                'temperature_c' => $number(0, 60, 1),
                'percent_per_c' => $number(0, 2.5),
                'cell_factor' => $number(0.8, 1.2, 4),
                'offset_us' => $number(-50, 50, 1),
            ],
            'boiling-point' => $random->getInt(0, 1) === 1 ? ['pressure_kpa' => $number(30, 110)] : ['elevation_m' => $number(-400, 9000)],
            'thermometer-check' => [
                'method' => $method,
                'readings' => $readings,
                'unit' => $isFahrenheit ? 'F' : 'C',
                'resolution' => $any([0.1, 0.5, 1]),
                'pooled_sd_c' => $number(0, 0.2),
                ...match ($method) {
                    'ice' => [],
                    'boiling' => $random->getInt(0, 1) === 1 ? ['pressure_kpa' => $number(95, 103)] : ['elevation_m' => $number(0, 900)],
                    'comparison' => ['reference_c' => 63.0, 'reference_expanded_u_c' => $number(0.02, 0.3)],
                },
                ...$random->getInt(0, 1) === 1
                    ? ['tolerance_c' => $any([0.5, 1, 1.5])]
                    : ['tolerance_class' => ['standard' => 'IEC 60751', 'class' => $any(['AA', 'A', 'B', 'C'])]],
            ],
            'rtd'
                => $random->getInt(0, 1) === 1
                    ? ['temperature_c' => $number(-200, 850), 'r0' => $any([100, 1000])]
                    : ['ohm' => $number(20, 390)],
            'rtd-check' => [
                'ohm_at_ice' => $number(99.5, 100.5, 3),
                'standard' => 'ASTM E1137',
                'class' => $any(['A', 'B']),
                'insulation_megaohm' => $any([0, 99.9, 100, 2000]),
                'previous_ohm' => $number(99.8, 100.2, 3),
            ],
            'two-point-correction' => [
                'low' => ['reference_c' => 0.0, 'reading_c' => $number(-1, 1)],
                'high' => ['reference_c' => $number(97, 100), 'reading_c' => $number(96, 101)],
                'reading_c' => $number(-20, 120),
            ],
            'interval' => [
                'current_days' => $any([7, 8, 30, 365, 500]),
                'history' => $random->shuffleArray($checks),
                ...$random->getInt(0, 1) === 1 ? ['changed_on' => $checks[intdiv(count($checks), 3)]['on']] : [],
                'policy' => ['double_after' => $any([2, 3, 5]), 'significant_share' => $any([0.3, 0.6]), 'max_days' => $any([180, 730])],
            ],
            'ph-calibration' => [
                ...$calibration,
                'check_points' => [['buffer_ph' => 6.86, 'mv' => $number(-5, 12, 1), 'temperature_c' => 21.0]],
            ],
            'ph-from-mv' => ['calibration' => $calibration, 'mv' => $number(-250, 250, 1), 'temperature_c' => $number(5, 60, 1)],
            'recognise-buffer' => [
                'mv' => $number(-200, 200, 1),
                'temperature_c' => $number(15, 30, 1),
                'candidates' => ['technical-4.01', 'phosphate-6.86', 'technical-10.01'],
                ...$random->getInt(0, 1) === 1 ? ['last_calibration' => $calibration] : [],
            ],
            'buffer-plan' => ['expected_ph' => [[$low, $low + $number(0, 3)]], 'on' => '2026-11-25', 'lots' => $lots],
            'settle' => ['samples' => $samples, 'window_s' => $any([10, 20, 30]), 'band' => $any([0.01, 0.02, 0.05])],
            'decide' => [
                'value' => $number(2.5, 6.5),
                'expanded_u' => $any([0, 0.05, 0.1]),
                'limits' => $limits,
                'rule' => $any(['guarded', 'simple']),
            ],
            'ph-uncertainty' => [
                'ph' => $number(2, 9),
                'temperature_c' => $number(5, 60, 1),
                'buffers' => [['ph' => 4.01, 'expanded_u' => $number(0, 0.05)], ['ph' => 7.0, 'expanded_u' => $number(0, 0.05)]],
                'repeatability' => ['values' => [$number(4, 4.1), $number(4, 4.1)]],
                'pooled_sd' => $number(0, 0.03),
                'resolution' => $any([0.1, 0.01, 0.001]),
                'temperature_expanded_u_c' => $number(0, 2),
                'drift_limit_ph' => $any([0.02, 0.05]),
                'calibration_temperature_c' => $number(15, 30, 1),
                'outside_by_ph' => $number(0, 1),
            ],
        ];
    }

    /**
     * A chamber that is warmed and cooled again, with silences.
     *
     * @param \Closure(float, float): float $number
     * @param \Closure(list<mixed>): mixed $any
     *
     * @return list<array{float, float}> [h, °F]
     */
    private static function course(\Closure $number, \Closure $any): array
    {
        $course = [];
        $top = $number(70, 105);
        for ($hours = 0.0; $hours < 41; $hours += $any([0.5, 0.5, 0.9, 1.0, 2.5])) {
            $course[] = [round($hours, 2), round(52 + ($top - 52) * min(1.0, $hours / 6) - max(0.0, $hours - 30) * 3 + $number(-1, 1), 1)];
        }

        return $course;
    }

    /**
     * @param \Closure(float, float): float $number
     * @param \Closure(list<mixed>): mixed $any
     *
     * @return array<string, mixed>
     */
    private static function occasion(\Closure $number, \Closure $any): array
    {
        $limits = [];
        foreach (range(0, 5) as $i) {
            $op = $any(['<=', '<', '>=', '>', 'between']);
            $edge = $number(3, 6);
            $applies = $any(['always', 'start', 'equilibrium', 'finished', 'within_hours', 'within_hours']);
            $limits[] = [
                'name' => "limit $i",
                'kind' => $any(['critical', 'legal', 'operating', 'target']),
                'op' => $op,
                ...$op === 'between' ? ['low' => $edge, 'high' => $edge + 0.5] : ['value' => $edge],
                'measurand' => $any(['ph', 'ph', 'ph', 'temperature']),
                'applies' => $applies,
                ...$applies === 'within_hours' ? ['hours' => $any([24, 48, 168]), 'since' => $any(['start', 'packed'])] : [],
                ...$any([0, 0, 1]) === 1 ? ['condition' => $any(['one', 'two', 'three'])] : [],
            ];
        }
        $results = [];
        for ($i = $any([0, 1, 2, 3]); $i > 0; $i--) {
            $portions = [];
            for ($j = $any([1, 2, 3]); $j > 0; $j--) {
                $portions[] = [
                    'value' => $number(3, 6),
                    'expanded_u' => $any([null, 0, 0.05, 0.1]),
                    'trusted' => $any([true, true, false]),
                    'proves_not' => $any([[], [], ['limit 0', 'limit 3'], ['limit 1']]),
                ];
            }
            $results[] = ['measurand' => $any(['ph', 'ph', 'temperature']), 'portions' => $portions];
        }

        return [
            'results' => $results,
            'limits' => $limits,
            'stage' => $any(['start', 'underway', 'equilibrium', 'finished']),
            'hours_since' => ['start' => $any([10, 24, 100, 200]), ...$any([0, 1]) === 1 ? ['packed' => $any([-3, 5, 48, 60])] : []],
            'conditions' => ['one' => true, 'two' => false],
            'met_in_time' => $any([[], ['limit 2', 'limit 4']]),
            'disposed' => $any([[], [['name' => 'limit 1'], ['name' => 'limit 3', 'until_h' => $any([30, 150])]]]),
            'open' => $any([[], [['measurand' => 'ph']], [['measurand' => 'temperature']]]),
            'awaited' => $any([[], ['limit 0', 'limit 1']]),
        ];
    }

    /**
     * @param \Closure(list<mixed>): mixed $any
     *
     * @return array<string, mixed>
     */
    private static function outcomes(\Closure $any): array
    {
        $judged = [];
        for ($i = $any([0, 1, 2, 3]); $i > 0; $i--) {
            $due = [];
            foreach ($any([['a'], ['a', 'b'], ['b', 'c'], []]) as $name) {
                $due[] = [
                    'name' => $name,
                    'outcome' => $any(['inside', 'inside', 'inconclusive', 'outside']),
                    'late' => $any([false, false, true]),
                    ...$any([0, 1]) === 1 ? ['value_outcome' => $any(['inside', 'outside', 'inconclusive'])] : [],
                ];
            }
            $judged[] = ['due' => $due];
        }

        return [
            'limits' => [
                ['name' => 'a', 'kind' => 'critical'],
                ['name' => 'b', 'kind' => $any(['legal', 'target'])],
                ['name' => 'c', 'kind' => 'critical', 'condition' => $any(['one', 'two', 'three'])],
            ],
            'judged' => $judged,
            'conditions' => ['one' => true, 'two' => false],
            'disposed' => $any([[], ['a'], ['a', 'b']]),
            'blocks' => $any([[], ['open-deviation']]),
            'needs_none' => $any([false, true]),
        ];
    }

    /** Every figure of the reference stands in our answer too; ours may say more. */
    private static function assertAgree(mixed $reference, mixed $ours, string $where): void
    {
        if (is_array($reference)) {
            self::assertIsArray($ours, $where);
            if (array_is_list($reference)) {
                self::assertCount(count($reference), $ours, $where);
            }
            foreach ($reference as $key => $value) {
                self::assertArrayHasKey($key, $ours, $where);
                self::assertAgree($value, $ours[$key], "$where → $key");
            }
        } elseif (is_int($reference) || is_float($reference)) {
            // CODATA in this SciPy differs from SI 2019 by less than 1e-9 of the value.
            self::assertEqualsWithDelta($reference, $ours, 1e-8 * max(1.0, abs($reference)), $where);
        } else {
            self::assertSame($reference, $ours, $where);
        }
    }
}
