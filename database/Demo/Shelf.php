<?php

declare(strict_types=1);

namespace Database\Demo;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Thermometry\VerificationMethod;
use Rheacid\Core\Thermometry\VerificationVerdict;
use Rheacid\Models\Batch;
use Rheacid\Models\BatchEvent;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Models\Measures;
use Rheacid\Models\Meter;
use Rheacid\Models\Method;
use Rheacid\Models\Pair;
use Rheacid\Models\Policy;
use Rheacid\Models\PolicyAssignment;
use Rheacid\Models\Product;
use Rheacid\Models\ProductLimit;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;
use Rheacid\Models\ThermometerService;
use Rheacid\Records\Entry;

/** What stands on the bench of Quillmere Pantry Works, and what is being made. All of it is invented. */
final class Shelf
{
    /** Fraction of the ideal slope, and offset in mV, today. */
    public const TRUE_NOW = ['E-07' => [0.984, -3.4], 'E-05' => [0.912, 8.6], 'E-09' => [0.968, 2.1]];

    public static function stock(Entry $entry, CarbonImmutable $now): void
    {
        $policies = self::policies();
        self::instruments($entry, $now, $policies);
        self::sensors($entry, $now, $policies);
        self::thermometers($entry, $now);
        self::bottles($now);
        self::batches($entry, $now, self::product());
    }

    /** @return array{process: Policy, laboratory: Policy, pens: Policy} */
    private static function policies(): array
    {
        $shared = ['version' => 1, 'slope_high_percent' => 102, 'response_time_s' => 60, 'interval_kind' => 'hours', 'interval_count' => 12, 'buffer_family' => 'any', 'buffer_order' => 'neutral-first', 'rinse' => 'distilled', 'fit' => 'segments', 'pooled_sd_ph' => 0.018];

        return [
            'process' => Policy::query()->create([...$shared, 'code' => 'process', 'name' => 'Process', 'slope_low_percent' => 90, 'zero_point_ph' => 0.5, 'residual_ph' => 0.05, 'read_back_limit_ph' => 0.05]),
            'laboratory' => Policy::query()->create([...$shared, 'code' => 'laboratory', 'name' => 'Laboratory', 'slope_low_percent' => 95, 'offset_mv' => 15, 'residual_ph' => 0.02, 'read_back_limit_ph' => 0.02]),
            'pens' => Policy::query()->create([...$shared, 'code' => 'pens', 'name' => 'Pens, monthly', 'slope_low_percent' => 90, 'zero_point_ph' => 0.5, 'residual_ph' => 0.05, 'read_back_limit_ph' => 0.05, 'interval_kind' => 'days', 'interval_count' => 30]),
        ];
    }

    /** @param array{process: Policy, laboratory: Policy, pens: Policy} $policies */
    private static function instruments(Entry $entry, CarbonImmutable $now, array $policies): void
    {
        $bench = Meter::query()->create(['code' => 'M-A', 'name' => 'Bench meter A', 'resolution_ph' => 0.01, 'resolution_mv' => 0.1]);
        $cellar = Meter::query()->create(['code' => 'M-B', 'name' => 'Cellar meter B', 'resolution_ph' => 0.01, 'resolution_mv' => 0.1]);
        $pocket = Meter::query()->create(['code' => 'M-C', 'name' => 'Pocket meter C', 'resolution_ph' => 0.01, 'shows_mv' => false]);
        $electrodes = [
            // code, name, kind, days in use, meter, channel, truth: slope, offset, time constant, slow share, slow time constant, noise, drift, seed
            ['E-07', 'Electrode E-07', 'refillable, double junction', 120, $bench, null, [...self::TRUE_NOW['E-07'], 5.0, 0.04, 18.0, 0.10, 0.02, 7]],
            ['E-05', 'Electrode E-05', 'sealed gel, general purpose', 340, $cellar, 'left socket', [...self::TRUE_NOW['E-05'], 8.0, 0.16, 24.0, 0.14, 0.05, 5]],
            ['E-09', 'Electrode E-09', 'spear tip for direct insertion', 40, $cellar, 'right socket', [...self::TRUE_NOW['E-09'], 6.0, 0.06, 20.0, 0.12, 0.03, 9]],
            // Built into a meter that shows only pH: the simulated bench gives mV, so it has no truth there.
            ['E-11', 'Electrode E-11', 'built in, sealed gel', 75, $pocket, null, null],
        ];
        foreach ($electrodes as [$code, $name, $kind, $days, $meter, $channel, $truth]) {
            $electrode = Electrode::query()->create(['code' => $code, 'name' => $name, 'kind' => $kind, 'first_used_on' => $now->subDays($days)->toDateString()]);
            self::pair($entry, $meter, $electrode, $channel, $policies['process'], $now->subDays($days));
            if ($truth === null) {
                continue;
            }
            DB::table('bench_electrodes')->insert(array_combine(
                ['electrode_id', 'slope_share', 'offset_mv', 'time_constant_s', 'slow_share', 'slow_time_constant_s', 'noise_mv', 'drift_mv_per_min', 'seed'],
                [$electrode->id, ...$truth],
            ));
            if ($code === 'E-09') {
                $entry->add(new CareEvent(['electrode_id' => $electrode->id, 'kind' => CareKind::Soak, 'at' => $now->subMinutes(48), 'until_at' => $now->addMinutes(72), 'note' => 're-hydration, 2 h in storage solution', 'person_id' => $entry->by->id]));
            }
        }
    }

    private static function thermometers(Entry $entry, CarbonImmutable $now): void
    {
        $thermometers = [
            // code, name, kind, digit, truth: offset, gain, time constant, noise; service
            ['T-03', 'Probe thermometer T-03', 'thermistor stick', 0.1, [0.4, 1.0, 4.0, 0.02], ['place' => 'laboratory bench', 'tolerance_c' => 0.5, 'use_high_c' => 25]],
            ['T-05', 'Dial thermometer T-05', 'bimetal dial', 1.0, [0.6, 1.01, 12.0, 0.05], ['place' => 'fermentation room', 'tolerance_c' => 1.0, 'use_high_c' => 35, 'immersion_mm' => 60]],
            ['T-07', 'Stick thermometer T-07', 'thermistor stick', 0.1, [0.55, 0.998, 5.0, 0.03], ['place' => 'cooking line', 'tolerance_c' => 1.0, 'unit' => 'F', 'use_high_c' => 90, 'stresses' => ['sticky']]],
            ['T-08', 'Stick thermometer T-08', 'thermistor stick', 0.1, [0.1, 1.0, 5.0, 0.03], ['place' => 'cooking line', 'tolerance_c' => 1.0, 'use_high_c' => 90]],
            ['T-11', 'Pasteuriser probe T-11', 'RTD Pt100', 0.01, null, ['place' => 'pasteuriser', 'tolerance_c' => 0.3, 'tolerance_standard' => 'IEC 60751', 'tolerance_class' => 'B', 'r0_ohm' => 100, 'use_high_c' => 95, 'interval_days' => 180, 'cap_days' => 365, 'stresses' => ['cycling']]],
            ['T-00', 'Reference thermometer T-00', 'thermistor stick', 0.01, null, ['place' => 'reference', 'tolerance_c' => 0.1, 'use_high_c' => 100, 'certificate' => 'invented 4711', 'certificate_expanded_u_c' => 0.05, 'certificate_due_on' => $now->addDays(200)->toDateString()]],
        ];
        foreach ($thermometers as $seed => [$code, $name, $kind, $digit, $truth, $service]) {
            $thermometer = Thermometer::query()->create(['code' => $code, 'name' => $name, 'kind' => $kind, 'resolution_c' => $digit]);
            $entry->add(new ThermometerService([...ThermometerService::usual($thermometer)->getAttributes(), 'stresses' => [], ...$service, 'at' => $entry->at, 'person_id' => $entry->by->id]));
            if ($truth !== null) {
                DB::table('bench_thermometers')->insert(['thermometer_id' => $thermometer->id, ...array_combine(['offset_c', 'gain', 'time_constant_s', 'noise_c'], $truth), 'seed' => $seed + 1]);
            }
            // Verified once when the shelf was set up, so that every reading has a check behind it.
            foreach ([['T-03', 12, 0.4, -0.4, 0.21], ['T-05', 41, 0.1, 0.0, 0.62]] as [$checked, $days, $error, $correction, $expandedU]) {
                if ($checked !== $code) {
                    continue;
                }
                $entry->add(new Verification([
                    'thermometer_id' => $thermometer->id,
                    'method' => VerificationMethod::Ice,
                    'at' => Scenario::day($now, $days, '08:05'),
                    'reading_c' => $error,
                    'error_c' => $error,
                    'expanded_u_c' => $expandedU,
                    'correction_c' => $correction,
                    'verdict' => VerificationVerdict::Within,
                    'verified_low_c' => -5,
                    'verified_high_c' => 25,
                    'due_at' => Scenario::day($now, $days - 30, '08:05'),
                    'person_id' => $entry->by->id,
                ]));
            }
        }
    }

    /** @param array{process: Policy, laboratory: Policy, pens: Policy} $policies */
    private static function sensors(Entry $entry, CarbonImmutable $now, array $policies): void
    {
        foreach ([['M-D', 'Conductivity pen D', 'L-01', 'Conductivity cell L-01', 'conductivity cell', Measures::Conductivity], ['M-E', 'Redox pen E', 'X-01', 'Redox electrode X-01', 'redox electrode', Measures::Redox]] as $seed => [$meter, $meterName, $code, $name, $kind, $measures]) {
            $pen = Meter::query()->create(['code' => $meter, 'name' => $meterName, 'resolution_ph' => 0.01, 'shows_mv' => false]);
            $sensor = Electrode::query()->create(['code' => $code, 'name' => $name, 'kind' => $kind, 'measures' => $measures, 'first_used_on' => $now->subDays(200)->toDateString()]);
            self::pair($entry, $pen, $sensor, null, $policies['pens'], $now->subDays(200));
            DB::table('bench_cells')->insert(['electrode_id' => $sensor->id, 'factor' => 1.017, 'offset_mv' => 4.0, 'time_constant_s' => 5.0, 'noise_share' => 0.0005, 'seed' => $seed + 1]);
        }
    }

    private static function pair(Entry $entry, Meter $meter, Electrode $electrode, ?string $channel, Policy $policy, CarbonImmutable $at): void
    {
        $pair = Pair::query()->create(['meter_id' => $meter->id, 'electrode_id' => $electrode->id, 'channel' => $channel, 'paired_at' => $at]);
        $entry->add(new PolicyAssignment(['pair_id' => $pair->id, 'policy_id' => $policy->id, 'at' => $at, 'person_id' => $entry->by->id]));
    }

    private static function bottles(CarbonImmutable $now): void
    {
        $bottles = [
            // code, kind, buffer, nominal pH, label, opened days ago, expires in days, days after opening, uses allowed, value of a standard
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
            ['K-04', 'storage', null, null, 'storage solution 3 M KCl', 50, 500, 365, null, null],
        ];
        foreach ($bottles as [$code, $kind, $buffer, $nominal, $label, $opened, $expires, $shelf, $uses, $value]) {
            $lot = Lot::query()->create([
                'code' => $code,
                'kind' => $kind,
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
            ]);
            if ($kind === 'buffer') {
                DB::table('bench_cups')->insert(['lot_id' => $lot->id, 'buffer' => $buffer, 'celsius' => 21.4]);
            } elseif ($value !== null) {
                // A wrong cup that somebody may take for a buffer.
                DB::table('bench_cups')->insert(['lot_id' => $lot->id, 'ph' => 5.8, 'celsius' => 21.4]);
            }
        }
    }

    private static function product(): Product
    {
        $method = Method::query()->create([
            'code' => 'blended-mash',
            'version' => 1,
            'name' => 'Blended mash, 20–25 °C',
            'steps' => [
                'Stir the mash and pool from several depths; take out stones and seeds that could break the glass.',
                'Blend to a smooth paste; up to 10–20 mL distilled water per 100 g if it will not flow.',
                'Bring the portion to 20–25 °C. Measure it in a plastic cup, never in the vessel, and throw it away afterwards.',
                'Rinse and blot the electrode, do not rub. Tip 25 mm deep, fill hole open, not touching the wall.',
                'Read two portions; a third if they differ by more than 0.05. The highest counts.',
                'Look at the bulb before and after: a chip in the food makes the batch a foreign-body case.',
            ],
            'places' => ['blend', 'brine', 'solids'],
            'portions' => 2,
            'agree_within_ph' => 0.05,
            'low_c' => 20,
            'high_c' => 25,
            'matrix_u_ph' => 0.01,
            'settle_window_s' => 30,
        ]);
        $product = Product::query()->create([
            'code' => 'chilli-sauce-red',
            'version' => 3,
            'name' => 'Fermented chilli sauce, red',
            'method_id' => $method->id,
            'expected_low_ph' => 3.4,
            'expected_high_ph' => 5.8,
            'caution' => 'Fresh garlic or onion added after the ferment restarts the clock of equilibrium. Gas from live sauce can burst bottles.',
        ]);
        $hold = 'Hold and label the batch. Re-measure a fresh sample with a second verified meter. Never taste, never just add vinegar to an old failed mash.';
        $limits = [
            ['Mash under way', 'critical', '<=', null, 6.0, 'always', null, null, 'A mash above 6.0 is open to everything: acidify it before it is filled.', 'Quillmere plan, invented for the demo'],
            ['Equilibrium', 'critical', '<=', null, 4.6, 'equilibrium', null, null, 'Above 4.6 botulinum spores can grow in airless mash.', '21 CFR 114.3(d), from memory: check with your authority'],
            ['Acid within a week', 'critical', '<=', null, 4.6, 'within_hours', 168, null, 'An active mash passes 4.6 within a week.', 'common practice, no source'],
            ['Acidified within a day', 'critical', '<=', null, 4.6, 'within_hours', 24, 'Acid was added after or instead of fermentation', 'An acidified mash reaches equilibrium within its scheduled time.', 'common practice, no source'],
            ['Shelf margin', 'operating', '<=', null, 4.0, 'finished', null, null, 'Margin against variation between pieces and batches.', 'common practice, no source'],
            ['Recipe', 'target', 'between', 3.4, 3.8, 'finished', null, null, 'Taste and texture of the red sauce.', 'common practice, no source'],
        ];
        foreach ($limits as [$name, $kind, $op, $low, $high, $applies, $hours, $condition, $meaning, $source]) {
            ProductLimit::query()->create([
                'product_id' => $product->id,
                'name' => $name,
                'kind' => $kind,
                'op' => $op,
                'low' => $low,
                'high' => $high,
                'applies' => $applies,
                'hours' => $hours,
                'condition' => $condition,
                'meaning' => $meaning,
                'if_violated' => $kind === 'critical' ? $hold : 'Ferment on, or adjust; no hold.',
                'source' => $source,
            ]);
        }

        return $product;
    }

    private static function batches(Entry $entry, CarbonImmutable $now, Product $product): void
    {
        foreach ([['CS-0409', 13, '09:20', 'vat 1', '160 kg'], ['CS-0417', 6, '11:40', 'vat 2', '180 kg'], ['CS-0421', 2, '10:15', 'vat 4', '90 kg']] as [$code, $days, $time, $vessel, $size]) {
            $batch = Batch::query()->create(['code' => $code, 'product_id' => $product->id, 'started_at' => Scenario::day($now, $days, $time), 'vessel' => $vessel, 'size' => $size]);
            $entry->add(new BatchEvent(['batch_id' => $batch->id, 'state' => 'running', 'at' => $batch->started_at, 'person_id' => $entry->by->id]));
            DB::table('bench_cups')->insert(['batch_id' => $batch->id, 'ph' => 5.7, 'celsius' => 21.8]);
        }
    }
}
