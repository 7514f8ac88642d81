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

/** The table of signatures, each at its edge. */
final class DiagnosisTest extends TestCase
{
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
