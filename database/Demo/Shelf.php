<?php

declare(strict_types=1);

namespace Database\Demo;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Core\Solutions\ComesAs;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Thermometry\ThermometerKind;
use Rheacid\Core\Thermometry\VerificationMethod;
use Rheacid\Core\Thermometry\VerificationVerdict;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchAnswer;
use Rheacid\Models\BatchEvent;
use Rheacid\Models\Electrode;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Lot;
use Rheacid\Models\Measures;
use Rheacid\Models\Meter;
use Rheacid\Models\Method;
use Rheacid\Models\Pair;
use Rheacid\Models\Policy;
use Rheacid\Models\PolicyAssignment;
use Rheacid\Models\Product;
use Rheacid\Models\Statement;
use Rheacid\Models\StatementCode;
use Rheacid\Models\Thermometer;
use Rheacid\Models\ThermometerService;
use Rheacid\Models\Verification;
use Rheacid\Models\VerificationOutcome;
use Rheacid\Records\Entry;
use Rheacid\Site\SiteClock;

/** What stands on the bench of Quillmere Pantry Works, and what is being made. All of it is invented. */
final class Shelf
{
    /** Fraction of the ideal slope, and offset in mV, today. */
    public const TRUE_NOW = ['E-07' => [0.984, -3.4], 'E-05' => [0.912, 8.6], 'E-09' => [0.968, 2.1]];

    private const ACIDIFIED = 'Acid was added after or instead of fermentation';

    public static function stock(Entry $entry, CarbonImmutable $now): void
    {
        $policies = ['process' => self::policy('process'), 'laboratory' => self::policy('laboratory'), 'pens' => self::policy('pens')];
        self::instruments($entry, $now, $policies);
        self::sensors($entry, $now, $policies);
        self::thermometers($entry, $now);
        self::bottles($entry, $now);
        self::batches($entry, $now, self::product($entry));
    }

    /** @param array{process: Policy, laboratory: Policy, pens: Policy} $policies */
    private static function instruments(Entry $entry, CarbonImmutable $now, array $policies): void
    {
        $bench = $entry->add(new Meter(['code' => 'M-A', 'name' => 'Bench meter A', 'resolution_ph' => 0.01, 'resolution_mv' => 0.1]));
        $cellar = $entry->add(new Meter(['code' => 'M-B', 'name' => 'Cellar meter B', 'resolution_ph' => 0.01, 'resolution_mv' => 0.1]));
        $pocket = $entry->add(new Meter(['code' => 'M-C', 'name' => 'Pocket meter C', 'resolution_ph' => 0.01, 'shows_mv' => false]));
        $electrodes = [
            // code, name, kind, days in use, meter, channel, truth: slope, offset, time constant, slow share, slow time constant, noise,
            // drift, seed
            [
                'E-07',
                'Electrode E-07',
                ElectrodeKind::DoubleJunction,
                120,
                $bench,
                null,
                [...self::TRUE_NOW['E-07'], 5.0, 0.04, 18.0, 0.1, 0.02, 7],
            ],
            [
                'E-05',
                'Electrode E-05',
                ElectrodeKind::SealedGel,
                340,
                $cellar,
                'left socket',
                [...self::TRUE_NOW['E-05'], 8.0, 0.16, 24.0, 0.14, 0.05, 5],
            ],
            [
                'E-09',
                'Electrode E-09',
                ElectrodeKind::Spear,
                40,
                $cellar,
                'right socket',
                [...self::TRUE_NOW['E-09'], 6.0, 0.06, 20.0, 0.12, 0.03, 9],
            ],
            // Built into a meter that shows only pH: the simulated bench gives mV, so it has no truth there.
            ['E-11', 'Electrode E-11', ElectrodeKind::BuiltIn, 75, $pocket, null, null],
        ];
        foreach ($electrodes as [$code, $name, $kind, $days, $meter, $channel, $truth]) {
            $electrode = $entry->add(
                new Electrode([
                    'code' => $code,
                    'name' => $name,
                    'kind' => $kind,
                    'measures' => Measures::Ph,
                    'first_used_on' => $now->subDays($days)->toDateString(),
                ]),
            );
            self::pair($entry, $meter, $electrode, $channel, $policies['process'], $now->subDays($days));
            if ($truth === null) {
                continue;
            }
            DB::table('bench_electrodes')->insert(
                array_combine(
                    [
                        'electrode_id',
                        'slope_share',
                        'offset_mv',
                        'time_constant_s',
                        'slow_share',
                        'slow_time_constant_s',
                        'noise_mv',
                        'drift_mv_per_min',
                        'seed',
                    ],
                    [$electrode->id, ...$truth],
                ),
            );
        }
    }

    private static function thermometers(Entry $entry, CarbonImmutable $now): void
    {
        $thermometers = [
            // code, name, kind, digit, truth: offset, gain, time constant, noise; service
            [
                'T-03',
                'Probe thermometer T-03',
                ThermometerKind::Thermistor,
                0.1,
                [0.4, 1.0, 4.0, 0.02],
                ['place' => 'laboratory bench', 'tolerance_c' => 0.5, 'use_high_c' => 25],
            ],
            [
                'T-05',
                'Dial thermometer T-05',
                ThermometerKind::Dial,
                1.0,
                [0.6, 1.01, 12.0, 0.05],
                ['place' => 'fermentation room', 'tolerance_c' => 1.0, 'use_high_c' => 35, 'immersion_mm' => 60],
            ],
            [
                'T-07',
                'Stick thermometer T-07',
                ThermometerKind::Thermistor,
                0.1,
                [0.55, 0.998, 5.0, 0.03],
                ['place' => 'cooking line', 'tolerance_c' => 1.0, 'unit' => 'F', 'use_high_c' => 90, 'stresses' => ['sticky']],
            ],
            [
                'T-08',
                'Stick thermometer T-08',
                ThermometerKind::Thermistor,
                0.1,
                [0.1, 1.0, 5.0, 0.03],
                ['place' => 'cooking line', 'tolerance_c' => 1.0, 'use_high_c' => 90],
            ],
            [
                'T-11',
                'Pasteuriser probe T-11',
                ThermometerKind::Pt100,
                0.01,
                null,
                [
                    'place' => 'pasteuriser',
                    'tolerance_c' => 0.3,
                    'tolerance_standard' => 'IEC 60751',
                    'tolerance_class' => 'B',
                    'r0_ohm' => 100,
                    'use_high_c' => 95,
                    'interval_days' => 180,
                    'cap_days' => 365,
                    'stresses' => ['cycling'],
                ],
            ],
            [
                'T-00',
                'Reference thermometer T-00',
                ThermometerKind::Thermistor,
                0.01,
                null,
                [
                    'place' => 'reference',
                    'tolerance_c' => 0.1,
                    'use_high_c' => 100,
                    'certificate' => 'invented 4711',
                    'certificate_expanded_u_c' => 0.05,
                    'certificate_due_on' => $now->addDays(200)->toDateString(),
                ],
            ],
        ];
        foreach (['M-A' => ['T-21', 'Probe of bench meter A'], 'M-B' => ['T-22', 'Probe of cellar meter B']] as $meter => [$code, $name]) {
            $thermometers[] = [
                $code,
                $name,
                ThermometerKind::Thermistor,
                0.1,
                [0.05, 1.0, 4.0, 0.02],
                ['place' => 'on the meter', 'tolerance_c' => 0.5, 'use_high_c' => 25],
                Meter::query()->where('code', $meter)->sole()->id,
            ];
        }
        foreach ($thermometers as $seed => $one) {
            [$code, $name, $kind, $digit, $truth, $service] = $one;
            $thermometer = $entry->add(
                new Thermometer([
                    'code' => $code,
                    'name' => $name,
                    'kind' => $kind,
                    'resolution_c' => $digit,
                    'meter_id' => $one[6] ?? null,
                ]),
            );
            $entry->add(
                new ThermometerService([
                    ...ThermometerService::usual($thermometer)->getAttributes(),
                    'stresses' => [],
                    ...$service,
                    'at' => $entry->at,
                    'person_id' => $entry->by->id,
                ]),
            );
            if ($truth !== null) {
                DB::table('bench_thermometers')->insert([
                    'thermometer_id' => $thermometer->id,
                    ...array_combine(['offset_c', 'gain', 'time_constant_s', 'noise_c'], $truth),
                    'seed' => $seed + 1,
                ]);
            }
            // Verified before the demo's past begins, so that every reading has a check behind it.
            match ($code) {
                'T-03' => self::corrected($entry, $thermometer, Scenario::day($now, 20, '08:05')),
                'T-21', 'T-22' => self::verified($entry, $thermometer, Scenario::day($now, 20, '08:45'), 0.1, 0.21, 0.5, null),
                'T-05' => self::verified($entry, $thermometer, Scenario::day($now, 41, '08:05'), 0.1, 0.62, 1.0, null),
                default => null,
            };
        }
    }

    /** Two baths that show the same error, after which it is used with its correction. */
    private static function corrected(Entry $entry, Thermometer $thermometer, CarbonImmutable $at): void
    {
        $first = self::verified($entry, $thermometer, $at, 0.4, 0.21, 0.5, null);
        $fresh = self::verified($entry, $thermometer, $at->addMinutes(20), 0.4, 0.21, 0.5, $first);
        $entry->add(
            new VerificationOutcome([
                'verification_id' => $fresh->id,
                'outcome' => Outcome::Correct,
                'gain' => 1.0,
                'offset_c' => -0.4,
                'at' => $fresh->at,
                'person_id' => $entry->by->id,
            ]),
        );
    }

    private static function verified(
        Entry $entry,
        Thermometer $thermometer,
        CarbonImmutable $at,
        float $error,
        float $expandedU,
        float $tolerance,
        ?Verification $confirms,
    ): Verification {
        return $entry->add(
            new Verification([
                'thermometer_id' => $thermometer->id,
                'method' => VerificationMethod::Ice,
                'at' => $at,
                'reading_c' => $error,
                'error_c' => $error,
                'expanded_u_c' => $expandedU,
                'reference_c' => 0.0,
                'tolerance_c' => $tolerance,
                'spread_c' => 0.0,
                'readings' => [$error, $error, $error],
                'unit' => 'C',
                'findings' => [],
                'bath' => ['crushed', 'water', 'depth', 'clear', 'stirred'],
                'source' => Source::Typed,
                'rests_on' => new Statement(StatementCode::IcePoint, ['celsius' => 0.0, 'u' => 0.1]),
                'verdict' => VerificationVerdict::of($error, $expandedU, $tolerance),
                'verified_low_c' => -5,
                'verified_high_c' => 25,
                'confirms_id' => $confirms?->id,
                'as_left' => false,
                'earned_days' => 30,
                'interval_days' => 30,
                'interval_why' => 'The first interval of its kind.',
                'due_at' => SiteClock::endOfDay($at->addDays(30)),
                'person_id' => $entry->by->id,
            ]),
        );
    }

    /** @param array{process: Policy, laboratory: Policy, pens: Policy} $policies */
    private static function sensors(Entry $entry, CarbonImmutable $now, array $policies): void
    {
        foreach (
            [
                ['M-D', 'Conductivity pen D', 'L-01', 'Conductivity cell L-01', ElectrodeKind::ConductivityCell, Measures::Conductivity],
                ['M-E', 'Redox pen E', 'X-01', 'Redox electrode X-01', ElectrodeKind::RedoxElectrode, Measures::Redox],
            ] as $seed => [$meter, $meterName, $code, $name, $kind, $measures]
        ) {
            $pen = $entry->add(new Meter(['code' => $meter, 'name' => $meterName, 'resolution_ph' => 0.01, 'shows_mv' => false]));
            $sensor = $entry->add(
                new Electrode([
                    'code' => $code,
                    'name' => $name,
                    'kind' => $kind,
                    'measures' => $measures,
                    'first_used_on' => $now->subDays(200)->toDateString(),
                ]),
            );
            self::pair($entry, $pen, $sensor, null, $policies['pens'], $now->subDays(200));
            DB::table('bench_cells')->insert([
                'electrode_id' => $sensor->id,
                'factor' => 1.017,
                'offset_mv' => 4.0,
                'time_constant_s' => 5.0,
                'noise_share' => 0.0005,
                'seed' => $seed + 1,
            ]);
        }
    }

    private static function pair(
        Entry $entry,
        Meter $meter,
        Electrode $electrode,
        ?string $channel,
        Policy $policy,
        CarbonImmutable $at,
    ): void {
        $pair = $entry->add(
            new Pair(['meter_id' => $meter->id, 'electrode_id' => $electrode->id, 'channel' => $channel, 'paired_at' => $at]),
        );
        $entry->add(new PolicyAssignment(['pair_id' => $pair->id, 'policy_id' => $policy->id, 'at' => $at, 'person_id' => $entry->by->id]));
    }

    private static function bottles(Entry $entry, CarbonImmutable $now): void
    {
        $bottles = [
            // code, kind, buffer, nominal pH, label, opened days ago, expires in days, days after opening, uses allowed, value of a
            // standard
            ['Q-18', 'buffer', 'technical-4.01', 4.01, 'pH 4.01', 130, 60, 90, 10, null],
            ['Q-28', 'buffer', 'technical-4.01', 4.01, 'pH 4.01', 36, 120, 90, 6, null],
            ['Q-31', 'buffer', 'technical-4.01', 4.01, 'pH 4.01', 19, 300, 90, 10, null],
            ['Q-27', 'buffer', 'technical-7.00', 7.0, 'pH 7.00', 38, 90, 90, 6, null],
            ['Q-29', 'buffer', 'technical-7.00', 7.0, 'pH 7.00', 19, 280, 90, 7, null],
            ['Q-36', 'buffer', 'technical-7.00', 7.0, 'pH 7.00', 2, 400, 90, 10, null],
            ['Q-35', 'buffer', 'technical-10.01', 10.01, 'pH 10.01', 6, 200, 30, 10, null],
            ['R-07', 'buffer', 'phthalate', 4.005, 'pH 4.01 reference', 16, 310, 90, 10, null],
            ['R-08', 'buffer', 'phosphate-6.86', 6.865, 'pH 6.86 reference', 10, 310, 90, 10, null],
            ['R-09', 'buffer', 'borax-9.18', 9.18, 'pH 9.18 reference', 10, 310, 30, 10, null],
            ['C-02', 'conductivity', null, null, 'conductivity 1413 µS/cm', 24, 250, 90, 5, 1413.0],
            ['C-03', 'conductivity', null, null, 'conductivity 12.88 mS/cm', 24, 250, 90, 5, 12880.0],
            ['N-01', 'redox', null, null, 'redox 220 mV', 24, 150, 90, 5, 220.0],
            ['S-01', 'titrant', null, null, 'sodium hydroxide 0.1 N', 9, 1000, 365, null, null],
            ['K-04', 'storage', null, null, 'storage solution 3 M KCl', 50, 500, 365, null, null],
        ];
        foreach ($bottles as [$code, $kind, $buffer, $nominal, $label, $opened, $expires, $shelf, $uses, $value]) {
            $lot = $entry->add(
                new Lot([
                    'code' => $code,
                    'kind' => SolutionKind::from($kind),
                    'comes_as' => ComesAs::Bottle,
                    'family' => $buffer === null ? null : BufferFamily::of($buffer),
                    'buffer' => $buffer,
                    'nominal_ph' => $nominal,
                    'label' => $label,
                    'opened_on' => $now->subDays($opened)->toDateString(),
                    'expires_on' => $now->addDays($expires)->toDateString(),
                    'days_after_opening' => $shelf,
                    'uses_allowed' => $uses,
                    'standard_value' => $value,
                    'reference' => $kind === 'redox' ? 'Ag/AgCl 3 M KCl' : null,
                    'expanded_u_ph' => $buffer === null ? null : (str_starts_with($code, 'R') ? 0.01 : 0.02),
                ]),
            );
            if ($kind === 'buffer') {
                DB::table('bench_cups')->insert(['lot_id' => $lot->id, 'buffer' => $buffer, 'celsius' => 21.4]);
            } elseif ($value !== null) {
                // A wrong cup that somebody may take for a buffer.
                DB::table('bench_cups')->insert(['lot_id' => $lot->id, 'ph' => 5.8, 'celsius' => 21.4]);
            }
        }
    }

    private static function product(Entry $entry): Product
    {
        $method = $entry->add(
            new Method([
                'code' => 'blended-mash',
                'version' => 1,
                'matrix' => 'brined',
                'cautions' => ['Gas from live mash can burst a closed bottle: open it slowly, away from the face.'],
                'name' => 'Blended mash, 20–25 °C',
                'steps' => [
                    'Stir the mash and pool from several depths; take out stones and seeds that could break the glass.',
                    'Blend to a smooth paste; up to 10–20 mL distilled water per 100 g if it will not flow.',
                    'Bring the portion to 20–25 °C. Measure it in a plastic cup, never in the vessel, and throw it away afterwards.',
                    'Rinse and blot the electrode, do not rub. Tip 25 mm deep, fill hole open, not touching the wall.',
                    'Read two portions; a third if they differ by more than 0.05. Each is judged, and the worst counts.',
                    'Look at the bulb before and after: a chip in the food makes the batch a foreign-body case.',
                ],
                'dilution' => 'only if it will not flow: 10–20 mL of distilled water to 100 g',
                'dilution_parts' => 0.2,
                'places' => ['blend', 'brine', 'solids'],
                'needed_places' => [],
                'portions' => 2,
                'agree_within_ph' => 0.05,
                'low_c' => 20,
                'high_c' => 25,
                'stage_temperatures' => [],
                'matrix_bound_ph' => 0.04,
                'settle_window_s' => 30,
            ]),
        );
        $product = $entry->add(
            new Product([
                'code' => 'chilli-sauce-red',
                'version' => 3,
                'name' => 'Fermented chilli sauce, red',
                'method_id' => $method->id,
                'expected_low_ph' => 3.4,
                'expected_high_ph' => 5.8,
                'caution'
                    => 'Fresh garlic or onion added after the ferment restarts the clock of equilibrium. Gas from live sauce can burst '
                        . 'bottles.',
            ]),
        );
        $hold
            = 'Hold and label the batch. Re-measure a fresh sample with a second verified meter. Never taste, never just add vinegar to an '
                . 'old failed mash.';
        $limits = [
            [
                'Mash under way',
                'critical',
                '<=',
                null,
                6.0,
                'always',
                null,
                null,
                'A mash above 6.0 is open to everything: acidify it before it is filled.',
                'Quillmere plan, invented for the demo',
            ],
            [
                'Equilibrium',
                'critical',
                '<=',
                null,
                4.6,
                'equilibrium',
                null,
                null,
                'Above 4.6 botulinum spores can grow in airless mash.',
                '21 CFR 114.3(d), from memory: check with your authority',
            ],
            [
                'Acid within a week',
                'critical',
                '<=',
                null,
                4.6,
                'within_hours',
                168,
                null,
                'An active mash passes 4.6 within a week.',
                'common practice, no source',
            ],
            [
                'Acidified within a day',
                'critical',
                '<=',
                null,
                4.6,
                'within_hours',
                24,
                self::ACIDIFIED,
                'An acidified mash reaches equilibrium within its scheduled time.',
                'common practice, no source',
            ],
            [
                'Shelf margin',
                'operating',
                '<=',
                null,
                4.0,
                'finished',
                null,
                null,
                'Margin against variation between pieces and batches.',
                'common practice, no source',
            ],
            [
                'Recipe',
                'target',
                'between',
                3.4,
                3.8,
                'finished',
                null,
                null,
                'Taste and texture of the red sauce.',
                'common practice, no source',
            ],
        ];
        foreach ($limits as [$name, $kind, $op, $low, $high, $applies, $hours, $condition, $meaning, $source]) {
            $entry->add(
                new LimitRow([
                    'product_id' => $product->id,
                    'name' => $name,
                    'kind' => LimitKind::from($kind),
                    'measurand' => Measurand::Ph,
                    'basis' => '',
                    'op' => Comparison::from($op),
                    'low' => $low,
                    'high' => $high,
                    'applies' => Applies::from($applies),
                    'since' => ProductLimit::START,
                    'hours' => $hours,
                    'condition' => $condition,
                    'meaning' => $meaning,
                    'if_violated' => $kind === 'critical' ? $hold : 'Ferment on, or adjust; no hold.',
                    'source' => $source,
                ]),
            );
        }

        return $product;
    }

    private static function batches(Entry $entry, CarbonImmutable $now, Product $product): void
    {
        foreach (
            [
                ['CS-0409', 13, '09:20', 'vat 1', '160 kg'],
                ['CS-0417', 6, '11:40', 'vat 2', '180 kg'],
                ['CS-0421', 2, '10:15', 'vat 4', '90 kg'],
            ] as [$code, $days, $time, $vessel, $size]
        ) {
            $batch = $entry->add(
                new Batch([
                    'code' => $code,
                    'product_id' => $product->id,
                    'started_at' => Scenario::day($now, $days, $time),
                    'vessel' => $vessel,
                    'size' => $size,
                ]),
            );
            $entry->add(
                new BatchEvent([
                    'batch_id' => $batch->id,
                    'state' => BatchState::Running,
                    'at' => $batch->started_at,
                    'person_id' => $entry->by->id,
                ]),
            );
            if ($code !== 'CS-0421') {
                $entry->add(
                    new BatchAnswer([
                        'batch_id' => $batch->id,
                        'condition' => self::ACIDIFIED,
                        'answer' => false,
                        'at' => $batch->started_at,
                        'person_id' => $entry->by->id,
                    ]),
                );
            }
            DB::table('bench_cups')->insert(['batch_id' => $batch->id, 'ph' => 5.7, 'celsius' => 21.8]);
        }
    }

    /** As the site was founded with it. */
    private static function policy(string $code): Policy
    {
        return Policy::query()->where('code', $code)->firstOrFail();
    }
}
