<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\BeyondRange;
use Rheacid\Core\Contradiction;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\CalibrationPoint;
use Rheacid\Core\Electrode\FitMethod;
use Rheacid\Core\Electrode\Nernst;

final class CalibrationFitTest extends TestCase
{
    public function test_two_points_give_the_electrode_back_exactly(): void
    {
        $fit = CalibrationFit::through([self::seen(7.0, 0.95, 4.0), self::seen(4.0, 0.95, 4.0)]);

        self::assertEqualsWithDelta(95.0, $fit->segments[0]->percent(), 1e-9);
        self::assertEqualsWithDelta(4.0, $fit->segments[0]->offsetMv, 1e-9);
        self::assertSame([4.0, 7.0], $fit->bracket());
    }

    public function test_each_point_is_taken_at_its_own_temperature(): void
    {
        $fit = CalibrationFit::through([self::seen(7.0, 0.97, -2.0, 20), self::seen(4.0, 0.97, -2.0, 26)]);

        self::assertEqualsWithDelta(97.0, $fit->segments[0]->percent(), 1e-9);
        self::assertEqualsWithDelta(23.0, $fit->referenceCelsius(), 1e-12);
    }

    public function test_three_points_give_an_acid_and_an_alkaline_segment(): void
    {
        $fit = CalibrationFit::through([self::seen(10.0, 0.90, 1.0), self::seen(4.0, 0.98, 1.0), self::seen(7.0, 0.98, 1.0)]);

        self::assertEqualsWithDelta([98.0, 90.0], array_map(static fn($segment): float => $segment->percent(), $fit->segments), 1e-9);
        self::assertSame($fit->segments[0], $fit->neutral(), 'with pH 7 on the joint the acid side counts');
    }

    public function test_one_point_assumes_the_ideal_slope(): void
    {
        $fit = CalibrationFit::through([self::seen(7.0, 1.0, 12.0)]);

        self::assertSame(100.0, $fit->segments[0]->percent());
        self::assertEqualsWithDelta(12.0, $fit->neutral()->offsetMv, 1e-12);
    }

    public function test_least_squares_leaves_residuals_where_segments_leave_none(): void
    {
        $points = [self::seen(4.0, 0.98, 0.0), self::seen(7.0, 0.98, 2.0), self::seen(10.0, 0.98, 0.0)];

        self::assertEqualsWithDelta([0.0, 0.0, 0.0], CalibrationFit::through($points)->residuals(), 1e-12);
        self::assertGreaterThan(0.01, CalibrationFit::through($points, FitMethod::LeastSquares)->largestResidual());
    }

    /** @return iterable<string, array{float, int, float}> pH of the sample, segment that answers, distance outside */
    public static function samples(): iterable
    {
        yield 'inside the acid segment' => [5.0, 0, 0.0];
        yield 'on the joint: the acid side' => [7.0, 0, 0.0];
        yield 'inside the alkaline segment' => [8.2, 1, 0.0];
        yield 'below all: the first' => [3.3, 0, 0.7];
        yield 'above all: the last' => [10.4, 1, 0.4];
    }

    #[DataProvider('samples')]
    public function test_a_sample_is_read_on_the_segment_it_lies_in(float $ph, int $segment, float $outside): void
    {
        $fit = CalibrationFit::through([self::seen(4.0, 0.98, 3.0), self::seen(7.0, 0.98, 3.0), self::seen(10.0, 0.98, 3.0)]);

        $reading = $fit->read(self::seen($ph, 0.98, 3.0, 20)->mv, 20);

        self::assertEqualsWithDelta($ph, $reading->ph, 1e-9);
        self::assertSame($segment, $reading->segment);
        self::assertEqualsWithDelta($outside, $reading->outsideByPh(), 1e-9);
    }

    public function test_in_a_gap_between_two_segments_the_acid_side_is_used(): void
    {
        // Segments that meet at 25 °C part at 60 °C, where the joint's potential moves with the slope but not with the offset.
        $fit = CalibrationFit::through([self::seen(4.0, 0.90, -40.0), new CalibrationPoint(8.0, -100.0, 25), self::seen(10.0, 1.0, -40.0)]);
        $joint = $fit->segments[0]->mv(8.0, 60);

        self::assertSame(0, $fit->read($joint, 60)->segment);
    }

    public function test_the_same_mv_in_every_buffer_gives_no_ph(): void
    {
        $fit = CalibrationFit::through([new CalibrationPoint(4.0, 3.0, 25), new CalibrationPoint(7.0, 3.0, 25)]);

        self::assertNull($fit->zeroPointPh());
        self::assertSame([null, null], $fit->residuals());
        $this->expectException(Contradiction::class);
        $fit->read(3.0, 25);
    }

    public function test_buffers_under_half_a_ph_apart_are_refused_and_just_half_is_not(): void
    {
        self::assertSame(0.5, CalibrationFit::through([self::seen(7.0, 1, 0), self::seen(6.5, 1, 0)])->spanPh());

        $this->expectException(Contradiction::class);
        CalibrationFit::through([self::seen(7.0, 1, 0), self::seen(6.51, 1, 0)]);
    }

    public function test_more_than_five_points_and_none_are_refused(): void
    {
        $this->expectException(BeyondRange::class);
        $this->expectExceptionMessage('1 to 5 points; 0 given');

        CalibrationFit::through([]);
    }

    /** What an electrode of that slope and offset gives in a solution. */
    public static function seen(float $ph, float $share, float $offset, float $celsius = 25, ?float $response = null): CalibrationPoint
    {
        return new CalibrationPoint($ph, $offset - $share * Nernst::mvPerPh($celsius) * ($ph - 7), $celsius, $response);
    }
}
