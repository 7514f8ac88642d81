<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\BeyondRange;
use Rheacid\Core\Care\ThermometerState;
use Rheacid\Core\Care\ThermometerStatus;
use Rheacid\Core\Contradiction;
use Rheacid\Core\Days;
use Rheacid\Core\Electrode\ElectrodeTrend;
use Rheacid\Core\Logs\LogRefused;
use Rheacid\Core\Logs\TemperatureLog;
use Rheacid\Core\Simulation\BathKind;
use Rheacid\Core\Simulation\SimulatedBath;
use Rheacid\Core\Thermometry\BoilingPoint;
use Rheacid\Core\Thermometry\Drift;
use Rheacid\Core\Thermometry\ImpossibleReading;
use Rheacid\Core\Thermometry\IntervalPlan;
use Rheacid\Core\Thermometry\IntervalReason;
use Rheacid\Core\Thermometry\LooksLikeFahrenheit;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Thermometry\PastCheck;
use Rheacid\Core\Thermometry\Reference;
use Rheacid\Core\Thermometry\Sense;
use Rheacid\Core\Thermometry\Service;
use Rheacid\Core\Thermometry\StationPressure;
use Rheacid\Core\Thermometry\Stress;
use Rheacid\Core\Thermometry\Verification;
use Rheacid\Core\Thermometry\VerificationAdvice;
use Rheacid\Core\Thermometry\VerificationFacts;
use Rheacid\Core\Thermometry\VerificationFinding;
use Rheacid\Core\Thermometry\VerificationMethod;
use Rheacid\Core\Thermometry\VerificationVerdict;
use Rheacid\Core\Thermometry\VerifiedRange;
use Rheacid\Core\Words\Quantity;
use Rheacid\Core\Words\ThermometerWords;

/** The rules of checking thermometers: verdict, suspicion, coverage, interval. */
final class ThermometryTest extends TestCase
{
    /**
     * @return iterable<string, array{list<float>, float, float, VerificationVerdict, list<VerificationFinding>}>
     *     readings, digit, tolerance
     */
    public static function icePoints(): iterable
    {
        yield 'right' => [[0.1, 0.1, 0.1], 0.1, 0.5, VerificationVerdict::Within, []];
        yield 'close to the wall' => [[0.45, 0.45, 0.45], 0.1, 0.5, VerificationVerdict::Inconclusive, []];
        yield 'beyond it' => [[0.7, 0.7, 0.7], 0.1, 0.5, VerificationVerdict::Outside, []];
        yield 'as cubes read' => [[1.4, 1.4, 1.4], 0.1, 2.0, VerificationVerdict::Within, [VerificationFinding::BathSuspect]];
        yield 'as salted ice reads' => [[-0.4, -0.4, -0.4], 0.1, 1.0, VerificationVerdict::Within, [VerificationFinding::BathSuspect]];
        yield 'wandering' => [[0.0, 0.4, 0.1], 0.1, 1.0, VerificationVerdict::Within, [VerificationFinding::Unsteady]];
        yield 'one digit of a coarse display is no wandering' => [[0.0, 1.0, 0.0], 1.0, 4.0, VerificationVerdict::Within, []];
        yield 'a display too coarse to prove it' => [
            [0.0, 0.0, 0.0],
            1.0,
            1.0,
            VerificationVerdict::Within,
            [VerificationFinding::ReferenceTooCoarse],
        ];
    }

    /**
     * @param non-empty-list<float> $readings
     * @param list<VerificationFinding> $findings
     */
    #[DataProvider('icePoints')]
    public function test_an_ice_point_is_judged_with_its_uncertainty(
        array $readings,
        float $digit,
        float $tolerance,
        VerificationVerdict $verdict,
        array $findings,
    ): void {
        $check = Verification::of(Reference::ice(), $readings, $digit, $tolerance);

        self::assertSame([$verdict, $findings], [$check->verdict, $check->findings]);
    }

    public function test_a_correction_is_usable_only_where_the_error_is_known_and_nothing_is_suspect(): void
    {
        $usable = static fn(float $error): bool => Verification::of(
            Reference::ice(),
            [$error, $error, $error],
            0.1,
            1.0,
        )->isCorrectionUsable();

        self::assertSame(
            [false, true, false],
            [$usable(0.05), $usable(0.5), $usable(1.2)],
            'smaller than its uncertainty; known; the bath is suspect',
        );
    }

    public function test_an_error_that_is_not_corrected_adds_to_what_is_not_known(): void
    {
        $of = static fn(?Outcome $outcome): float => (new VerificationFacts(
            VerificationMethod::Ice,
            VerificationVerdict::Outside,
            -0.6,
            0.1,
            0.0,
            [],
            outcome: $outcome,
        ))->readingU();

        self::assertEqualsWithDelta(0.7, $of(null), 1e-12);
        self::assertEqualsWithDelta(0.7, $of(Outcome::Use), 1e-12);
        self::assertEqualsWithDelta(0.1, $of(Outcome::Correct), 1e-12);
    }

    public function test_what_may_follow_depends_on_the_verdict(): void
    {
        self::assertSame([Outcome::Use, Outcome::Replaced, Outcome::OutOfUse], Outcome::allowed(VerificationVerdict::Within, false, false));
        self::assertSame(
            [Outcome::Correct, Outcome::Adjusted, Outcome::Replaced, Outcome::OutOfUse],
            Outcome::allowed(VerificationVerdict::Outside, true, true),
        );
    }

    public function test_what_is_advised_first_is_the_bath_then_the_probe(): void
    {
        $advised = static fn(
            VerificationVerdict $verdict,
            float $error = 0.5,
            array $findings = [],
            bool $isConfirmed = false,
            bool $isDial = false,
            bool $isTold = true,
            ?float $megaohm = null,
            VerificationMethod $method = VerificationMethod::Ice,
        ): VerificationAdvice => (new VerificationFacts($method, $verdict, $error, 0.2, 0.0, $findings, $megaohm, null, $isTold))->advised(
            $isConfirmed,
            $isDial,
        );

        self::assertSame(
            VerificationAdvice::FreshBath,
            $advised(VerificationVerdict::Outside, 1.4, [VerificationFinding::BathSuspect], isDial: true),
            'before it is adjusted or taken out',
        );
        self::assertSame(VerificationAdvice::FreshBath, $advised(VerificationVerdict::Outside, 2.9));
        self::assertSame(VerificationAdvice::Correct, $advised(VerificationVerdict::Outside, 2.9, isConfirmed: true));
        self::assertSame(VerificationAdvice::Adjust, $advised(VerificationVerdict::Outside, 2.9, isDial: true));
        self::assertSame(VerificationAdvice::FreshBath, $advised(VerificationVerdict::Outside, 2.9, isDial: true, isTold: false));
        self::assertSame(VerificationAdvice::Use, $advised(VerificationVerdict::Within));
        self::assertSame(VerificationAdvice::FreshBath, $advised(VerificationVerdict::Inconclusive));
        self::assertSame(
            VerificationAdvice::OutOfUse,
            $advised(VerificationVerdict::Within, megaohm: 3.0, method: VerificationMethod::Rtd),
        );
        self::assertSame(VerificationAdvice::OutOfUse, $advised(VerificationVerdict::Outside, method: VerificationMethod::Rtd));
        self::assertFalse(
            (new VerificationFacts(
                VerificationMethod::Ice,
                VerificationVerdict::Within,
                0.5,
                0.2,
                0.0,
                [],
                isBathTold: false,
            ))->hasUsableCorrection(),
            'a bath that nobody told about',
        );
    }

    public function test_what_proves_nothing_and_what_has_shifted_count_for_no_interval(): void
    {
        $checks = static fn(float ...$errors): array => array_map(
            static fn(int $i): PastCheck => new PastCheck(sprintf('2026-%02d-01', $i + 1), $errors[$i], 1.0),
            array_keys(array_values($errors)),
        );
        $unproven = static function (array $checks): array {
            $last = array_pop($checks);

            return [...$checks, new PastCheck($last->on, $last->errorC, $last->toleranceC, false)];
        };
        $plan = static fn(array $own): IntervalPlan => IntervalPlan::after(30, $own, null, new Service(30));
        $steady = $checks(0.1, 0.1, 0.1, 0.1, 0.1);
        self::assertSame(IntervalReason::Doubled, $plan($steady)->reason);

        $steady = $unproven($steady);
        self::assertSame([IntervalReason::Keep, 0], [$plan($steady)->reason, $plan($steady)->goodInRow]);
        $out = $checks(0.1, 1.1);
        self::assertSame(IntervalReason::Halved, $plan($out)->reason);
        $out = $unproven($out);
        self::assertSame([IntervalReason::Keep, 30], [$plan($out)->reason, $plan($out)->nextDays], 'not proven is not outside');

        self::assertSame(
            [IntervalReason::Keep, 4],
            [$plan($checks(0.6, 0.1, 0.1, 0.1, 0.1, 0.1))->reason, $plan($checks(0.6, 0.1, 0.1, 0.1, 0.1, 0.1))->goodInRow],
            'the one that shifted is no good one',
        );
        self::assertSame(IntervalReason::Doubled, $plan($checks(0.6, 0.1, 0.1, 0.1, 0.1, 0.1, 0.1))->reason);
    }

    public function test_a_check_covers_its_neighbourhood(): void
    {
        self::assertSame([-10.0, 25.0], VerifiedRange::of(VerificationMethod::Ice, 0.0));
        self::assertSame([62.0, 82.0], VerifiedRange::of(VerificationMethod::Comparison, 72.0));
    }

    /** @return iterable<string, array{VerificationVerdict|null, Outcome|null, string, ThermometerState}> */
    public static function standings(): iterable
    {
        yield 'never' => [null, null, '2027-01-01', ThermometerState::Unchecked];
        yield 'within' => [VerificationVerdict::Within, null, '2027-01-01', ThermometerState::Ready];
        yield 'not proven' => [VerificationVerdict::Inconclusive, Outcome::Use, '2027-01-01', ThermometerState::WithCare];
        yield 'outside' => [VerificationVerdict::Outside, null, '2027-01-01', ThermometerState::Failed];
        yield 'outside, but corrected' => [VerificationVerdict::Outside, Outcome::Correct, '2027-01-01', ThermometerState::Ready];
        yield 'overdue' => [VerificationVerdict::Within, Outcome::Use, '2026-11-25', ThermometerState::Overdue];
        yield 'adjusted' => [VerificationVerdict::Outside, Outcome::Adjusted, '2027-01-01', ThermometerState::Adjusted];
        yield 'replaced' => [VerificationVerdict::Within, Outcome::Replaced, '2027-01-01', ThermometerState::OutOfUse];
    }

    #[DataProvider('standings')]
    public function test_a_thermometer_is_in_one_state(
        ?VerificationVerdict $verdict,
        ?Outcome $outcome,
        string $due,
        ThermometerState $state,
    ): void {
        self::assertSame(
            $state,
            ThermometerStatus::at(
                new \DateTimeImmutable('2026-11-25T10:00Z'),
                $verdict,
                $outcome,
                $verdict === null ? null : new \DateTimeImmutable($due),
            )->state,
        );
    }

    public function test_impossible_readings_are_refused_and_another_unit_is_recognised(): void
    {
        Sense::ensure(Reference::ice(), [0.4, -0.2]);
        $told = [];
        foreach ([[32.9], [200.0], [-40.0]] as $readings) {
            try {
                Sense::ensure(Reference::ice(), $readings);
            } catch (Contradiction|BeyondRange $failure) {
                $told[] = $failure::class;
            }
        }

        self::assertSame([LooksLikeFahrenheit::class, ImpossibleReading::class, ImpossibleReading::class], $told);
        $this->expectException(Contradiction::class);
        Sense::ensure(Reference::thermometer(63.0, 0.1), [145.4]);
    }

    public function test_a_pressure_reduced_to_sea_level_is_noticed_and_undone(): void
    {
        self::assertSame(96.0, StationPressure::of(96.0, null, 500.0));
        self::assertEqualsWithDelta(BoilingPoint::kpaAt(500), StationPressure::of(101.325, true, 500.0), 1e-9);
        // By the steam table: 1.7 °C at 500 m, the error of taking one for the other (common practice).
        self::assertEqualsWithDelta(
            1.7,
            BoilingPoint::celsius(101.325) - BoilingPoint::celsius(StationPressure::of(101.325, true, 500.0)),
            0.05,
        );
        $this->expectException(Contradiction::class);
        StationPressure::of(101.325, null, 350.0);
    }

    public function test_units_of_pressure_and_height_are_read_as_typed(): void
    {
        self::assertEqualsWithDelta(
            [101.325, 101.325, 101.325, 99.5, 304.8],
            [
                Quantity::Pressure->read('1013.25 hPa'),
                Quantity::Pressure->read('760 mmHg'),
                Quantity::Pressure->read('1 atm'),
                Quantity::Pressure->read('99,5'),
                Quantity::Elevation->read('1000 ft'),
            ],
            0.001,
        );
        $this->expectException(BeyondRange::class);
        Quantity::Elevation->read('90 km');
    }

    public function test_like_probes_hard_use_and_a_third_party_change_the_interval(): void
    {
        $checks = static fn(int $count, float $error = 0.1): array => array_map(
            static fn(int $i): PastCheck => new PastCheck(sprintf('2026-%02d-01', $i), $error, 1.0),
            range(1, max(1, $count)),
        );
        $plan = static fn(Service $service, array ...$alike): IntervalPlan => IntervalPlan::after(
            30,
            $checks(3),
            null,
            $service,
            array_values($alike),
        );

        self::assertSame([30, IntervalReason::Keep], [$plan(new Service(30))->nextDays, $plan(new Service(30))->reason]);
        self::assertSame(
            [60, IntervalReason::Doubled, 2],
            [
                $plan(new Service(30), $checks(2))->nextDays,
                $plan(new Service(30), $checks(2))->reason,
                $plan(new Service(30), $checks(2))->pooledFrom,
            ],
        );
        self::assertSame(IntervalReason::Keep, $plan(new Service(30), $checks(2, 1.4))->reason, 'one of them is out');
        self::assertSame(IntervalReason::Doubled, IntervalPlan::after(30, $checks(5), '2026-03-15', new Service(30), [$checks(8)])->reason);
        $walking = array_map(
            static fn(int $i): PastCheck => new PastCheck(sprintf('2026-%02d-01', $i), 0.19 * $i, 1.0),
            range(1, 5),
        );
        self::assertSame(
            IntervalReason::Keep,
            IntervalPlan::after(30, $walking, '2026-03-15', new Service(30), [$checks(8)])->reason,
            'it would walk out before the next check',
        );
        self::assertSame(16, $plan(new Service(30, [Stress::Sticky, Stress::Shock]))->nextDays, '30 · 0.75 · 0.75, rounded down');
        self::assertSame([20, IntervalReason::Capped], [$plan(new Service(30, [], 20))->nextDays, $plan(new Service(30, [], 20))->reason]);
        self::assertStringContainsString(
            'Kept at 30 days: 3 passed checks in a row. 2 more with no shift over 0.30 °C double it',
            ThermometerWords::interval([...$plan(new Service(30))->facts(), 'tolerance_c' => 1.0]),
        );
        self::assertStringContainsString(
            'before and after every batch',
            ThermometerWords::interval([...$plan(new Service(30, eachBatch: true))->facts(), 'tolerance_c' => 1.0]),
        );
    }

    /**
     * @return iterable<string, array{list<array{float, float}>, list<array{float, float}>}> what the checks cover of 0–90 °C, what they
     *     leave open
     */
    public static function coverings(): iterable
    {
        yield 'ice alone does not cover a hot limit' => [[[-10.0, 25.0]], [[25.0, 90.0]]];
        yield 'ice and boiling leave the middle' => [[[88.0, 108.0], [-10.0, 25.0]], [[25.0, 88.0]]];
        yield 'a comparison in the heat alone' => [[[62.0, 82.0]], [[0.0, 62.0], [82.0, 90.0]]];
        yield 'three that meet' => [[[-10.0, 25.0], [25.0, 60.0], [50.0, 95.0]], []];
        yield 'one inside another' => [[[-10.0, 80.0], [10.0, 20.0], [80.0, 100.0]], []];
        yield 'a check beyond its use' => [[[100.0, 120.0]], [[0.0, 90.0]]];
        yield 'no check at all' => [[], [[0.0, 90.0]]];
    }

    /**
     * @param list<array{float, float}> $covered
     * @param list<array{float, float}> $gaps
     */
    #[DataProvider('coverings')]
    public function test_a_range_of_use_that_no_check_covers_is_reported(array $covered, array $gaps): void
    {
        self::assertSame($gaps, VerifiedRange::gaps($covered, 0.0, 90.0));
    }

    public function test_drift_is_forecast_in_either_direction(): void
    {
        $walk = static fn(float $a_month): Drift => Drift::of(
            array_map(
                static fn(int $i): PastCheck => new PastCheck(sprintf('2026-%02d-01', $i), $a_month * $i, 1.0),
                range(1, 6),
            ),
        );

        // 0.1 °C a month from 0.6 in June: 1.0 about four months later.
        self::assertEqualsWithDelta(
            Days::number('2026-10-01'),
            Days::number((string) $walk(0.1)->leavesOn),
            3,
            'months are not quite alike',
        );
        self::assertSame($walk(0.1)->leavesOn, $walk(-0.1)->leavesOn);
        self::assertNull($walk(0.0)->leavesOn);
    }

    public function test_drift_with_scatter_is_forecast_between_two_days_like_the_slope_of_an_electrode(): void
    {
        $errors = ['2026-01-10' => 0.05, '2026-02-09' => 0.21, '2026-03-12' => 0.18, '2026-04-10' => 0.37, '2026-05-11' => 0.33];
        $drift = Drift::of(
            array_map(
                static fn(string $on, float $error): PastCheck => new PastCheck($on, $error, 0.5),
                array_keys($errors),
                $errors,
            ),
        );
        // The same points as a falling slope; that trend is answered a second time by SciPy.
        $slope = ElectrodeTrend::of(
            array_map(static fn(string $on, float $error): array => [$on, 100 - $error], array_keys($errors), $errors),
            99.5,
        );

        self::assertSame([$slope->earliest, $slope->leavesPolicyOn, $slope->latest], [$drift->earliest, $drift->leavesOn, $drift->latest]);
        self::assertLessThan((string) $drift->latest, (string) $drift->leavesOn);
        self::assertLessThan((string) $drift->leavesOn, (string) $drift->earliest);
        self::assertEqualsWithDelta(-(float) $slope->percentPerYear, $drift->cPerYear, 1e-9);
    }

    /** @return iterable<string, array{string, list<float>|string}> the file, and its readings or what is said */
    public static function loggerFiles(): iterable
    {
        $line = static fn(int $second, float $celsius): string => "$second\t$celsius";
        $rising = implode("\n", array_map(static fn(int $t): string => $line($t, $t < 20 ? 25 - $t : 5 + 0.002 * ($t - 20)), range(0, 60)));
        yield 'first, middle and last of the half minute at rest' => ["s\t°C\n$rising", [5.02, 5.05, 5.08]];
        yield 'by the clock, with a comma' => [
            "time;°C\n"
            . implode("\n", array_map(static fn(int $t): string => sprintf('07:%02d:%02d;4,9', intdiv($t, 60), $t % 60), range(0, 90))),
            [4.9, 4.9, 4.9],
        ];
        yield 'never at rest' => [
            implode("\n", array_map(static fn(int $t): string => $line($t, 25 - 0.3 * $t), range(0, 60))),
            'never stable within 0.1 for 30 s',
        ];
        yield 'words' => ["1;cold\n2;warm\n", 'Line 2: "warm" is not a number'];
        yield 'a number beyond all bounds' => ["$rising\n61\t1e400", 'Line 62: "1e400" is not a number'];
        yield 'hotter than any bath' => ["$rising\n61\t1001", 'Line 62: 1001 ° is outside -100 to 1000'];
        yield 'a clock that goes back' => ["$rising\n59\t5.1", 'Line 62: time does not increase'];
        yield 'one column' => ["1\n2\n3\n", 'No column separator was found'];
        yield 'a line cut short' => ["1;20\n2;20\n3\n", 'Line 3: no seconds and temperature'];
    }

    /** @param list<float>|string $expected */
    #[DataProvider('loggerFiles')]
    public function test_a_loggers_file_gives_three_readings_or_says_why_not(string $file, array|string $expected): void
    {
        if (is_string($expected)) {
            $this->expectException(LogRefused::class);
            $this->expectExceptionMessageMatches("/$expected/i");
        }
        self::assertEqualsWithDelta($expected, TemperatureLog::readings($file, 0.01), 1e-9);
    }

    public function test_a_loggers_file_is_read_where_it_is_stable(): void
    {
        $trace = (new SimulatedBath(BathKind::Cubes->celsius(0.0), 0.1, 1.0, 6.0, 0.02, 3))->trace(150, 0.1);
        $readings = TemperatureLog::readings(
            implode(
                "\n",
                array_map(
                    static fn(array $point): string => sprintf('%d;%s', $point[0], str_replace('.', ',', (string) $point[1])),
                    $trace,
                ),
            ),
            0.1,
        );

        self::assertEqualsWithDelta([1.5, 1.5, 1.5], $readings, 0.11, 'cubes read 1–2 °C high (common practice)');
        $this->expectException(LogRefused::class);
        $this->expectExceptionMessage('seconds and temperature in two columns');
        TemperatureLog::readings('', 0.1);
    }
}
