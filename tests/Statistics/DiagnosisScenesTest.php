<?php

declare(strict_types=1);

namespace Tests\Statistics;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Care\CareStep;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Care\FollowUp;
use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Electrode\ElectrodePast;
use Rheacid\Core\Electrode\JudgedCalibration;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Simulation\Fault;
use Rheacid\Core\Simulation\Scene;

/** The table of signatures, at the simulated bench: the conditions are drawn from the ranges that docs/job.md states. */
final class DiagnosisScenesTest extends TestCase
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
            $judgement = JudgedCalibration::of($fit, Criteria::process(), [$check]);
            $diagnosis = Diagnosis::of($fit, Criteria::process(), $isRestless, $past);
            $beside = Diagnosis::beside($diagnosis, $fit->neutral()->offsetMv, Criteria::process());
            $mayRelease = $judgement->verdict !== Verdict::Fail && !JudgedCalibration::isUncertain($judgement->findings, $diagnosis, false);
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

            self::assertSame([], JudgedCalibration::of($fit, Criteria::process(), [$check])->findings, "seed $seed");
            self::assertNull(
                Diagnosis::of($fit, Criteria::process(), $isRestless, new ElectrodePast(wasCleaned: true, isFalling: true)),
                "seed $seed",
            );
        }
    }
}
