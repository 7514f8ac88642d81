<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CalibrationPoint;
use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Electrode\ElectrodePast;
use Rheacid\Core\Electrode\Judgement;
use Rheacid\Core\Simulation\Fault;
use Rheacid\Core\Simulation\Scene;
use Rheacid\Core\Simulation\SimulatedImmersion;

/** The table of signatures, at the simulated bench: the conditions are drawn from the ranges that docs/job.md states. */
final class DiagnosisTest extends TestCase
{
    private const SEEDS = 50;
    private const PATIENCE_S = 420;

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
            yield "temperature too low, $name" => [Fault::TemperatureLow, Diagnosis::OtherFamily, $buffers, $fresh];
            yield "exhausted buffers, $name" => [Fault::Exhausted, Diagnosis::TiredBuffers, $buffers, $fresh];
            yield "swapped buffers, $name" => [Fault::Swapped, Diagnosis::Swapped, $buffers, $fresh];
        }
        yield 'buffer of the other family, two points' => [Fault::OtherFamily, Diagnosis::OtherFamily, ['phosphate-6.86', 'phthalate'], $fresh];
        yield 'buffer of the other family, three points' => [Fault::OtherFamily, Diagnosis::OtherFamily, ['phosphate-6.86', 'phthalate', 'borax-9.18'], $fresh];
        yield 'alkaline buffer' => [Fault::AlkalineTaken, Diagnosis::AlkalineBuffer, self::TECHNICAL, $fresh];
    }

    /** @param list<string> $buffers */
    #[DataProvider('rows')]
    public function test_nine_of_ten_are_diagnosed_right(Fault $fault, Diagnosis $expected, array $buffers, ElectrodePast $past): void
    {
        $found = [];
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            [$fit, $isRestless] = self::calibrated(Scene::draw($fault, $seed), $buffers);
            $found[] = Diagnosis::of($fit, Criteria::process(), $isRestless, $past)?->value;
        }

        self::assertGreaterThanOrEqual(0.9 * self::SEEDS, count(array_keys($found, $expected->value, true)), json_encode(array_count_values(array_map('strval', $found))) ?: '');
    }

    public function test_fifty_healthy_electrodes_give_no_finding_and_no_diagnosis(): void
    {
        for ($seed = 1; $seed <= self::SEEDS; $seed++) {
            $scene = Scene::draw(Fault::Healthy, $seed);
            [$fit, $isRestless] = self::calibrated($scene, self::TECHNICAL);
            [$check] = self::point($scene, 'phosphate-6.86', 9);

            self::assertSame([], Judgement::of($fit, Criteria::process(), [$check])->findings, "seed $seed");
            self::assertNull(Diagnosis::of($fit, Criteria::process(), $isRestless, new ElectrodePast(wasCleaned: true, isFalling: true)), "seed $seed");
        }
    }

    public function test_a_slope_that_is_low_under_the_laboratory_policy_only_is_diagnosed_there_only(): void
    {
        // 7.00 taken for 6.86: the cup of 7.00 holds 6.88.
        $fit = CalibrationFit::through([new CalibrationPoint(7.01, 7.0, 21.4, 40), new CalibrationPoint(4.0, 172.0, 21.4, 40)]);

        self::assertNull(Diagnosis::of($fit, Criteria::process(), false, new ElectrodePast()));
        self::assertSame(Diagnosis::TiredBuffers, Diagnosis::of($fit, Criteria::laboratory(), false, new ElectrodePast()));
    }

    /** @return iterable<string, array{Diagnosis|null, CalibrationFit, bool, ElectrodePast}> worked by hand at 25 °C, 1 % each side of the edge */
    public static function edges(): iterable
    {
        $fresh = new ElectrodePast();
        yield 'at rest and sound' => [null, self::fit(98.0), false, $fresh];
        yield 'up to 102 % is noise' => [null, self::fit(101.9), false, $fresh];
        yield '6.86 taken for 7.00: 105 %' => [Diagnosis::OtherFamily, CalibrationFit::through([new CalibrationPoint(6.86, 0.0, 25, 40), new CalibrationPoint(4.005, 177.3, 25, 40)]), false, $fresh];
        yield 'a bottle of 4.01 that is really 4.15 cannot be seen: 95 %' => [null, CalibrationFit::through([new CalibrationPoint(7.0, 0.0, 25, 40), new CalibrationPoint(4.01, (7 - 4.15) * 59.16, 25, 40)]), false, $fresh];
        yield 'low and quick: the buffers first' => [Diagnosis::TiredBuffers, self::fit(89.0, seconds: 60), false, $fresh];
        yield 'low and slow' => [Diagnosis::Coated, self::fit(89.0, seconds: 61), false, $fresh];
        yield 'low after a cleaning and falling for months' => [Diagnosis::Aged, self::fit(89.0, seconds: 61), false, new ElectrodePast(wasCleaned: true, isFalling: true)];
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
        yield 'one buffer that never comes to rest' => [Diagnosis::Restless, CalibrationFit::through([new CalibrationPoint(7.0, 0.0, 25, 40)]), true, $fresh];
        yield 'one buffer tells no slope' => [null, CalibrationFit::through([new CalibrationPoint(7.0, 90.0, 25, 40)]), false, $fresh];
    }

    #[DataProvider('edges')]
    public function test_a_signature_is_told_at_its_edge(?Diagnosis $expected, CalibrationFit $fit, bool $isRestless, ElectrodePast $past): void
    {
        self::assertSame($expected, Diagnosis::of($fit, Criteria::process(), $isRestless, $past));
    }

    private static function fit(float $acid, ?float $alkaline = null, float $offset = 0.0, float $seconds = 40): CalibrationFit
    {
        $points = [new CalibrationPoint(7.0, $offset, 25, $seconds), new CalibrationPoint(4.0, $offset + 3 * 0.5916 * $acid, 25, $seconds)];

        return CalibrationFit::through($alkaline === null ? $points : [...$points, new CalibrationPoint(10.0, $offset - 3 * 0.5916 * $alkaline, 25, $seconds)]);
    }

    /**
     * A patient checker: waits until each buffer has come to rest, up to seven minutes.
     *
     * @param list<string> $buffers
     *
     * @return array{CalibrationFit, bool}
     */
    private static function calibrated(Scene $scene, array $buffers): array
    {
        $points = [];
        $isRestless = false;
        $fromMv = 0.0;
        foreach ($buffers as $i => $buffer) {
            [$point, $settled, $fromMv] = self::point($scene, $buffer, $i, $fromMv);
            $points[] = $point;
            $isRestless = $isRestless || !$settled;
        }

        return [CalibrationFit::through($points), $isRestless];
    }

    /** @return array{CalibrationPoint, bool, float} the point, whether it came to rest, and where the electrode then stands */
    private static function point(Scene $scene, string $buffer, int $seed, float $fromMv = 0.0): array
    {
        $immersion = new SimulatedImmersion($scene->electrode, $scene->inCup(Buffer::named($buffer)->phAt($scene->celsius)), $scene->celsius, $fromMv, $seed);
        $trace = $immersion->trace(self::PATIENCE_S);
        $rest = $trace->progress(null)->settling->settledAtS;
        $progress = ($rest === null ? $trace : $trace->until($rest))->progress(null);

        return [new CalibrationPoint(Buffer::named($buffer)->phAt($progress->celsius), $progress->mv, $progress->celsius, $progress->responseTimeS), $progress->settled, $immersion->restMv()];
    }
}
