<?php

declare(strict_types=1);

namespace Database\Demo;

use Carbon\CarbonImmutable;
use Illuminate\Support\Facades\DB;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\Dirt;
use Rheacid\Core\Care\SoakSchool;
use Rheacid\Core\Simulation\Noise;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Core\Solutions\ComesAs;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Models\Lot;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;

/** A year at the demo's shelf: electrodes that wear, bottles that are used up, care that is logged. Invented. */
final readonly class Year
{
    /**
     * Electrode, days in use, days between calibrations, slope when new, lost in a year, offset now in mV, until so many days ago, seed.
     */
    private const ELECTRODES = [
        ['E-05', 340, 7, 0.984, 0.078, 8.6, 3, 5],
        ['E-07', 120, 7, 0.994, 0.03, -3.4, 15, 7],
        ['E-09', 40, 7, 0.972, 0.035, 2.1, 5, 9],
    ];

    /** From one calibration to the next. */
    private const SCATTER = 0.004;
    private const SCATTER_MV = 0.7;
    private const OFFSET_MV_A_YEAR = 4.0;

    /** Cared for, but not on the simulated bench. */
    private const BUILT_IN = ['E-11', 75];

    private const USES = 10;
    private const ELEVATION_M = 142.0;

    public function __construct(private Work $work) {}

    /**
     * @param array{checker: Person, second: Person, lead: Person, auditor: Person} $people
     *
     * @return list<array{CarbonImmutable, callable(): void}> what happened, and when
     */
    public function events(array $people, CarbonImmutable $now): array
    {
        $moved = Scenario::day($now, 370, '09:00');
        $events = [[$moved, fn() => $this->work->standAt($people['lead'], self::ELEVATION_M, $moved)]];
        $runs = $this->runs();
        foreach ($runs as $n => [$daysAgo, $electrode, $slope, $offset]) {
            $by = $n % 3 === 2 ? $people['second'] : $people['checker'];
            $bottles = sprintf('%02d', intdiv($n, self::USES) + 1);
            if ($n % self::USES === 0) {
                $events[] = [Scenario::day($now, $daysAgo, '07:30'), fn() => $this->open($people['lead'], $bottles, $now, $daysAgo)];
            }
            $at = Scenario::day($now, $daysAgo, sprintf('13:%02d', 10 + 15 * ($n % 3)));
            $events[] = [
                $at,
                function () use ($by, $electrode, $slope, $offset, $bottles, $at): void {
                    $this->work->wear($electrode, $slope, $offset);
                    $this->work->calibrate($by, $electrode, ["H7-$bottles", "H4-$bottles"], $at);
                },
            ];
            if (($n + 1) % self::USES === 0 || $n === count($runs) - 1) {
                $at = Scenario::day($now, $daysAgo, '16:30');
                foreach (['H7', 'H4'] as $code) {
                    $events[] = [$at, fn() => $this->work->discard($by, "$code-$bottles", $at)];
                }
            }
        }

        return [...$events, ...$this->care($people['checker'], $now), ...$this->checks($people['checker'], $now)];
    }

    /** @return list<array{int, string, float, float}> days ago, electrode, its true slope and offset then; in the order of time */
    private function runs(): array
    {
        $runs = [];
        foreach (self::ELECTRODES as [$electrode, $age, $every, $new, $lost, $offset, $until, $seed]) {
            $noise = new Noise($seed);
            for ($daysAgo = $age - 1; $daysAgo >= $until; $daysAgo -= $every) {
                $runs[] = [
                    $daysAgo,
                    $electrode,
                    $new - ($lost * ($age - $daysAgo)) / 365 + self::SCATTER * $noise->next(),
                    $offset - (self::OFFSET_MV_A_YEAR * $daysAgo) / 365 + self::SCATTER_MV * $noise->next(),
                ];
            }
        }
        usort($runs, static fn(array $a, array $b): int => $b[0] <=> $a[0]);

        return $runs;
    }

    /** @return list<array{CarbonImmutable, callable(): void}> the cap weekly, cleaning and a soak monthly */
    private function care(Person $by, CarbonImmutable $now): array
    {
        $events = [];
        foreach ([...self::ELECTRODES, self::BUILT_IN] as [$electrode, $age]) {
            for ($daysAgo = $age - 1; $daysAgo > 1; $daysAgo -= 7) {
                $at = Scenario::day($now, $daysAgo, '08:05');
                $events[] = [$at, fn() => $this->work->care($by, $electrode, CareKind::ToppedUp, $at)];
                if (intdiv($age - $daysAgo, 7) % 4 === 3) {
                    $cleaned = Scenario::day($now, $daysAgo, '11:00');
                    $events[] = [$cleaned, fn() => $this->work->care($by, $electrode, CareKind::Cleaned, $cleaned, dirt: Dirt::General)];
                    $events[] = [
                        $cleaned->addMinutes(31),
                        fn() => $this->work->care($by, $electrode, CareKind::Soak, $cleaned->addMinutes(31), SoakSchool::AfterCleaning),
                    ];
                }
            }
        }

        return $events;
    }

    /** @return list<array{CarbonImmutable, callable(): void}> ice points of the sticks, one of which walks out; the pasteuriser's probe */
    private function checks(Person $by, CarbonImmutable $now): array
    {
        $events = [];
        $noise = new Noise(3);
        foreach ([['T-07', 320, 30, 0.12, 0.45], ['T-08', 150, 30, 0.1, 0.0]] as [$code, $age, $every, $new, $walk]) {
            for ($daysAgo = $age; $daysAgo > 25; $daysAgo -= $every) {
                $at = Scenario::day($now, $daysAgo, '07:50');
                $error = $new + ($walk * ($age - $daysAgo)) / 320 + 0.03 * $noise->next();
                $events[] = [
                    $at,
                    fn() => $this->work->verify(
                        $by,
                        $code,
                        array_map(static fn(float $more): float => round($error + $more, 1), [0.0, 0.04, -0.03]),
                        $at,
                    ),
                ];
            }
        }
        foreach ([[300, 100.01, 900.0], [120, 100.015, 620.0]] as [$daysAgo, $ohm, $insulation]) {
            $at = Scenario::day($now, $daysAgo, '15:20');
            $events[] = [$at, fn() => $this->work->verifyRtd($by, 'T-11', $ohm, $insulation, $at)];
        }

        return $events;
    }

    private function open(Person $by, string $bottles, CarbonImmutable $now, int $daysAgo): void
    {
        CarbonImmutable::setTestNow(Scenario::day($now, $daysAgo, '07:30'));
        Recording::once($by, IdempotencyKey::own(), 'add to the shelf', Lot::class, static function (Entry $entry) use (
            $bottles,
            $now,
            $daysAgo,
        ): Lot {
            foreach (
                [
                    'H7' => ['technical-7.00', 7.0, 'pH 7.00'],
                    'H4' => ['technical-4.01', 4.01, 'pH 4.01'],
                ] as $code => [$buffer, $nominal, $label]
            ) {
                $lot = $entry->add(
                    new Lot([
                        'code' => "$code-$bottles",
                        'kind' => SolutionKind::Buffer,
                        'comes_as' => ComesAs::Bottle,
                        'family' => BufferFamily::of($buffer),
                        'buffer' => $buffer,
                        'nominal_ph' => $nominal,
                        'label' => $label,
                        'opened_on' => Scenario::day($now, $daysAgo, '07:30')->toDateString(),
                        'expires_on' => $now->subDays($daysAgo)->addYear()->toDateString(),
                        'days_after_opening' => 90,
                        'uses_allowed' => self::USES,
                        'expanded_u_ph' => 0.02,
                    ]),
                );
                DB::table('bench_cups')->insert(['lot_id' => $lot->id, 'buffer' => $buffer, 'celsius' => 21.4]);
            }

            return $lot;
        });
    }
}
