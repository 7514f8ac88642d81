<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Contradiction;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CalibrationPoint;
use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Electrode\FindingCode;
use Rheacid\Core\Electrode\FitMethod;
use Rheacid\Core\Electrode\JudgedShownCalibration;
use Rheacid\Core\Electrode\ShownScale;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Electrode\Verdict;

/** A meter that shows only pH and keeps its calibration to itself. */
final class ShownScaleTest extends TestCase
{
    public function test_a_ph_is_taken_as_shown_and_its_place_among_the_buffers_is_known(): void
    {
        $scale = ShownScale::onBuffers([10.01, 4.01, 7.0], 21.0, 0.03);

        self::assertSame(
            [4.52, 0.0],
            [$scale->tell(Signal::shownPh(4.52), 21)->ph, $scale->tell(Signal::shownPh(4.52), 21)->outsideByPh()],
        );
        self::assertEqualsWithDelta(0.61, $scale->tell(Signal::shownPh(3.4), 21)->outsideByPh(), 1e-9);
        self::assertSame([7.0, 10.01], $scale->leansOn($scale->tell(Signal::shownPh(8.2), 21)));
    }

    public function test_the_read_back_error_enters_the_uncertainty_as_a_rectangle(): void
    {
        self::assertEqualsWithDelta(0.03 / sqrt(3), ShownScale::onBuffers([4.0, 7.0], 21.0, -0.03)->fitU(), 1e-12);
    }

    public function test_the_two_kinds_of_signal_are_not_mixed(): void
    {
        $fit = CalibrationFit::through([CalibrationFitTest::seen(7, 1, 0), CalibrationFitTest::seen(4, 1, 0)]);
        self::assertEqualsWithDelta(4.5, $fit->tell(Signal::mv(CalibrationFitTest::seen(4.5, 1, 0)->mv), 25)->ph, 1e-9);

        $this->expectException(Contradiction::class);
        $fit->tell(Signal::shownPh(4.5), 25);
    }

    public function test_mv_mean_nothing_to_a_meter_that_only_shows_ph(): void
    {
        $this->expectException(Contradiction::class);

        ShownScale::onBuffers([4.0, 7.0], 21.0, 0.0)->tell(Signal::mv(170), 21);
    }

    public function test_one_line_through_several_points_adds_its_largest_residual(): void
    {
        $points = [CalibrationFitTest::seen(4, 0.98, 0.0), CalibrationFitTest::seen(7, 0.98, 2.0), CalibrationFitTest::seen(10, 0.98, 0.0)];
        $line = CalibrationFit::through($points, FitMethod::LeastSquares);

        self::assertSame(0.0, CalibrationFit::through($points)->fitU());
        self::assertEqualsWithDelta($line->largestResidual() / sqrt(3), $line->fitU(), 1e-12);
    }

    public function test_a_meters_own_calibration_is_judged_by_what_it_shows_afterwards(): void
    {
        $points = [new CalibrationPoint(7.0, 0.0, 21.0), new CalibrationPoint(4.0, 0.0, 21.0)];
        $judge = static fn(array $errors, array $on = []): JudgedShownCalibration => JudgedShownCalibration::of(
            $on === [] ? $points : $on,
            $errors,
            Criteria::process(),
            0.05,
        );

        self::assertSame(Verdict::Pass, $judge([0.05, -0.03])->verdict);
        self::assertSame(Verdict::Fail, $judge([0.01, -0.06])->verdict);
        self::assertSame(-0.06, $judge([0.01, -0.06])->worstError, 'the worse of the two ends');
        self::assertSame([FindingCode::OnePoint], array_column($judge([0.0], [$points[0]])->findings, 'code'));
    }
}
