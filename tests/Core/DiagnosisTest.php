<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Care\CareStep;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Care\FollowUp;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CalibrationPoint;
use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Electrode\ElectrodePast;
use Rheacid\Core\Electrode\Judgement;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Simulation\Fault;
use Rheacid\Core\Simulation\Scene;

/** The table of signatures, at the simulated bench: the conditions are drawn from the ranges that docs/job.md states. */
final class DiagnosisTest extends TestCase
{
    private const SEEDS = 50;

    private const TECHNICAL = ['technical-7.00', 'technical-4.01', 'technical-10.01'];

    /** @return iterable<string, array{Fault, Diagnosis, list<string>, ElectrodePast}> */
    public static function rows(): iterable
    {
        $fresh = new ElectrodePast();
        $worn = new ElectrodePast(wasCleaned: true, isFalling: true);
        $two = array_slice(self::TECHNICAL, 0, 2);
        foreach (['two points' => $two, 'three points' => self::TECHNICAL] as $name => $buffers) {
            yield "coated glass, $name" => [Fault::Coated, Diagnosis::Coated, $buffers, $fresh];
            yield "worn glass, $name" => [Fault::Aged, Diagnosis::Aged, $buffers, $worn];
            yield "poisoned reference, $name" => [Fault::Poisoned, Diagnosis::Poisoned, $buffers, $fresh];
            yield "cracked bulb, $name" => [Fault::Cracked, Diagnosis::Broken, $buffers, $fresh];
            yield "dry membrane, $name" => [Fault::Dry, Diagnosis::Restless, $buffers, $fresh];
            yield "blocked junction, $name" => [Fault::Blocked, Diagnosis::Restless, $buffers, $fresh];
            yield "exhausted buffers, $name" => [Fault::Exhausted, Diagnosis::TiredBuffers, $buffers, $fresh];
            yield "swapped buffers, $name" => [Fault::Swapped, Diagnosis::Swapped, $buffers, $fresh];
        }
        yield 'alkaline buffer' => [Fault::AlkalineTaken, Diagnosis::AlkalineBuffer, self::TECHNICAL, $fresh];
    }

    /** @param list<string> $buffers */
    #[DataProvider('rows')]
    public function test_nine_of_ten_are_diagnosed_right(Fault $fault, Diagnosis $expected, array $buffers, ElectrodePast $past): void
    {
        $found = [];
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            [$fit, $isRestless] = PatientChecker::calibrated(Scene::draw($seed, $fault), $buffers);
            $found[] = Diagnosis::of($fit, Criteria::process(), $isRestless, $past)?->value;
        }

        self::assertGreaterThanOrEqual(
            0.9 * self::SEEDS,
            count(array_keys($found, $expected->value, true)),
            json_encode(array_count_values(array_map('strval', $found))) ?: '',
        );
    }

    /**
     * @return iterable<string, array{list<Fault>, list<Verdict>, CareStep, list<string>, ElectrodePast}> what is wrong, the verdicts that
     *     say so, what is done first
     */
    public static function scenes(): iterable
    {
        $fresh = new ElectrodePast();
        $worn = new ElectrodePast(wasCleaned: true, isFalling: true);
        $fail = [Verdict::Fail];
        yield 'coated glass' => [[Fault::Coated], $fail, CareStep::FreshBuffers, self::TECHNICAL, $fresh];
        yield 'worn glass' => [[Fault::Aged], $fail, CareStep::Replace, self::TECHNICAL, $worn];
        yield 'poisoned reference' => [[Fault::Poisoned], $fail, CareStep::Refill, self::TECHNICAL, $fresh];
        yield 'cracked bulb' => [[Fault::Cracked], $fail, CareStep::Inspect, self::TECHNICAL, $fresh];
        yield 'dry membrane' => [[Fault::Dry], $fail, CareStep::Soak, self::TECHNICAL, $fresh];
        yield 'blocked junction' => [[Fault::Blocked], $fail, CareStep::Soak, self::TECHNICAL, $fresh];
        yield 'exhausted buffers' => [[Fault::Exhausted], $fail, CareStep::FreshBuffers, self::TECHNICAL, $fresh];
        yield 'swapped buffers' => [[Fault::Swapped], $fail, CareStep::Calibrate, self::TECHNICAL, $fresh];
        yield 'alkaline buffer' => [[Fault::AlkalineTaken], $fail, CareStep::FreshBuffers, self::TECHNICAL, $fresh];
        yield 'coated and poisoned' => [[Fault::Coated, Fault::Poisoned], $fail, CareStep::FreshBuffers, self::TECHNICAL, $fresh];
        yield 'worn and poisoned' => [[Fault::Aged, Fault::Poisoned], $fail, CareStep::Replace, self::TECHNICAL, $worn];
        yield 'exhausted buffers and a poisoned reference' => [
            [Fault::Exhausted, Fault::Poisoned],
            $fail,
            CareStep::FreshBuffers,
            self::TECHNICAL,
            $fresh,
        ];
        yield 'dry and poisoned: the offset shows once it rests' => [
            [Fault::Dry, Fault::Poisoned],
            $fail,
            CareStep::Soak,
            self::TECHNICAL,
            $fresh,
        ];
    }

    /**
     * @param list<Fault> $faults
     * @param list<Verdict> $verdicts
     * @param list<string> $buffers
     */
    #[DataProvider('scenes')]
    public function test_verdict_first_step_and_what_may_be_released_are_right_and_nothing_broken_passes(
        array $faults,
        array $verdicts,
        CareStep $first,
        array $buffers,
        ElectrodePast $past,
    ): void {
        $right = 0;
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            $scene = Scene::draw($seed, ...$faults);
            [$fit, $isRestless] = PatientChecker::calibrated($scene, $buffers);
            [$check] = PatientChecker::point($scene, in_array('phthalate', $buffers, true) ? 'technical-7.00' : 'phosphate-6.86', 9);
            $judgement = Judgement::of($fit, Criteria::process(), [$check]);
            $diagnosis = Diagnosis::of($fit, Criteria::process(), $isRestless, $past);
            $beside = Diagnosis::beside($diagnosis, $fit->neutral()->offsetMv, Criteria::process());
            $mayRelease = $judgement->verdict !== Verdict::Fail && !Judgement::isUncertain($judgement->findings, $diagnosis, false);
            self::assertNotSame(Verdict::Pass, $judgement->verdict, "seed $seed");
            self::assertFalse($mayRelease, "seed $seed");

            $steps = $diagnosis === null ? [] : FollowUp::of($diagnosis, ElectrodeKind::Refillable, $beside);
            $isNamed
                = count($faults) === 1
                || in_array($diagnosis, [Diagnosis::Aged, Diagnosis::Restless], true)
                || $beside === Diagnosis::Poisoned;
            $right += in_array($judgement->verdict, $verdicts, true) && ($steps[0] ?? null) === $first && $isNamed ? 1 : 0;
        }

        self::assertGreaterThanOrEqual(0.95 * self::SEEDS, $right);
    }

    public function test_fifty_healthy_electrodes_give_no_finding_and_no_diagnosis(): void
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            $scene = Scene::draw($seed, Fault::Healthy);
            [$fit, $isRestless] = PatientChecker::calibrated($scene, self::TECHNICAL);
            [$check] = PatientChecker::point($scene, 'phosphate-6.86', 9);

            self::assertSame([], Judgement::of($fit, Criteria::process(), [$check])->findings, "seed $seed");
            self::assertNull(
                Diagnosis::of($fit, Criteria::process(), $isRestless, new ElectrodePast(wasCleaned: true, isFalling: true)),
                "seed $seed",
            );
        }
    }

    public function test_a_slope_that_is_low_under_the_laboratory_policy_only_is_diagnosed_there_only(): void
    {
        // 7.00 taken for 6.86: the cup of 7.00 holds 6.88.
        $fit = CalibrationFit::through([new CalibrationPoint(7.01, 7.0, 21.4, 40), new CalibrationPoint(4.0, 172.0, 21.4, 40)]);

        self::assertNull(Diagnosis::of($fit, Criteria::process(), false, new ElectrodePast()));
        self::assertSame(Diagnosis::TiredBuffers, Diagnosis::of($fit, Criteria::laboratory(), false, new ElectrodePast()));
    }

    /**
     * @return iterable<string, array{Diagnosis|null, CalibrationFit, bool, ElectrodePast}> worked by hand at 25 °C, 1 % each side of the
     *     edge
     */
    public static function edges(): iterable
    {
        $fresh = new ElectrodePast();
        yield 'at rest and sound' => [null, self::fit(98.0), false, $fresh];
        yield 'up to 102 % is noise' => [null, self::fit(101.9), false, $fresh];
        yield '6.86 taken for 7.00: 105 %' => [
            Diagnosis::OtherFamily,
            CalibrationFit::through([new CalibrationPoint(6.86, 0.0, 25, 40), new CalibrationPoint(4.005, 177.3, 25, 40)]),
            false,
            $fresh,
        ];
        yield 'a bottle of 4.01 that is really 4.15 cannot be seen: 95 %' => [
            null,
            CalibrationFit::through([new CalibrationPoint(7.0, 0.0, 25, 40), new CalibrationPoint(4.01, (7 - 4.15) * 59.16, 25, 40)]),
            false,
            $fresh,
        ];
        yield 'low and quick: the buffers first' => [Diagnosis::TiredBuffers, self::fit(89.0, seconds: 60), false, $fresh];
        yield 'low and slow' => [Diagnosis::Coated, self::fit(89.0, seconds: 61), false, $fresh];
        yield 'low after a cleaning and falling for months' => [
            Diagnosis::Aged,
            self::fit(89.0, seconds: 61),
            false,
            new ElectrodePast(wasCleaned: true, isFalling: true),
        ];
        yield 'cleaned, but not falling' => [Diagnosis::Coated, self::fit(89.0, seconds: 61), false, new ElectrodePast(wasCleaned: true)];
        yield 'falling, but never cleaned' => [Diagnosis::Coated, self::fit(89.0, seconds: 61), false, new ElectrodePast(isFalling: true)];
        yield 'the alkaline side alone' => [Diagnosis::AlkalineBuffer, self::fit(98.0, 89.0), false, $fresh];
        yield 'both sides' => [Diagnosis::TiredBuffers, self::fit(89.0, 89.0), false, $fresh];
        yield 'one side 41 % below the other' => [Diagnosis::Swapped, self::fit(98.0, 57.0), false, $fresh];
        yield 'a slope that rises' => [Diagnosis::Swapped, self::fit(-11.0), false, $fresh];
        yield 'the same in every buffer' => [Diagnosis::Broken, self::fit(9.0), false, $fresh];
        yield 'the same in every buffer, falling a little' => [Diagnosis::Broken, self::fit(-9.0), false, $fresh];
        yield 'half a pH unit off' => [Diagnosis::Poisoned, self::fit(98.0, offset: 31.0), false, $fresh];
        yield 'off the other way' => [Diagnosis::Poisoned, self::fit(98.0, offset: -31.0), false, $fresh];
        yield 'not quite half a unit' => [null, self::fit(98.0, offset: 29.0), false, $fresh];
        yield 'restless goes before low' => [Diagnosis::Restless, self::fit(85.0), true, $fresh];
        yield 'swapped goes before restless' => [Diagnosis::Swapped, self::fit(-50.0), true, $fresh];
        yield 'one buffer that never comes to rest' => [
            Diagnosis::Restless,
            CalibrationFit::through([new CalibrationPoint(7.0, 0.0, 25, 40)]),
            true,
            $fresh,
        ];
        yield 'one buffer tells no slope' => [null, CalibrationFit::through([new CalibrationPoint(7.0, 90.0, 25, 40)]), false, $fresh];
    }

    #[DataProvider('edges')]
    public function test_a_signature_is_reported_at_its_edge(
        ?Diagnosis $expected,
        CalibrationFit $fit,
        bool $isRestless,
        ElectrodePast $past,
    ): void {
        self::assertSame($expected, Diagnosis::of($fit, Criteria::process(), $isRestless, $past));
    }

    public function test_a_large_offset_is_named_beside_what_does_not_explain_it_and_a_jump_is_reported(): void
    {
        self::assertSame(Diagnosis::Poisoned, Diagnosis::beside(Diagnosis::Coated, 31.0, Criteria::process()));
        self::assertNull(Diagnosis::beside(Diagnosis::Coated, 29.0, Criteria::process()));
        self::assertSame(
            Diagnosis::Poisoned,
            Diagnosis::beside(Diagnosis::Coated, -16.0, Criteria::laboratory()),
            'the policy\'s own limit',
        );
        self::assertNull(Diagnosis::beside(Diagnosis::Poisoned, 60.0, Criteria::process()), 'said already');
        self::assertNull(Diagnosis::beside(null, 60.0, Criteria::process()));
        self::assertSame(
            [CareStep::FreshBuffers, CareStep::Clean, CareStep::Refill, CareStep::SoakHour, CareStep::Calibrate],
            FollowUp::of(Diagnosis::Coated, ElectrodeKind::Sleeve, Diagnosis::Poisoned),
        );
        self::assertSame(
            [CareStep::SoakHour, CareStep::Calibrate],
            FollowUp::of(Diagnosis::Poisoned, ElectrodeKind::SealedGel),
            'nothing can be refilled',
        );
        self::assertSame([CareStep::Replace], FollowUp::of(Diagnosis::Aged, ElectrodeKind::Refillable, Diagnosis::Poisoned));
        self::assertTrue(Diagnosis::hasJumped(12.0, -8.0));
        self::assertFalse(Diagnosis::hasJumped(11.9, -8.0));
    }

    private static function fit(float $acid, ?float $alkaline = null, float $offset = 0.0, float $seconds = 40): CalibrationFit
    {
        $points = [new CalibrationPoint(7.0, $offset, 25, $seconds), new CalibrationPoint(4.0, $offset + 3 * 0.5916 * $acid, 25, $seconds)];

        return CalibrationFit::through(
            $alkaline === null ? $points : [...$points, new CalibrationPoint(10.0, $offset - 3 * 0.5916 * $alkaline, 25, $seconds)],
        );
    }
}
