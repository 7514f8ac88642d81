<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\EitherShape;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Electrode\CalibrationPoint;
use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Electrode\Finding;
use Rheacid\Core\Electrode\JudgedCalibration;
use Rheacid\Core\Electrode\Segment;
use Rheacid\Core\Words\FindingWords;

final readonly class PhCalibration implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            ['points' => Calibrated::points()],
            [
                'fit' => Calibrated::fit(),
                'check_points' => ListShape::of(Calibrated::point(fitted: false)),
                'check_limit_ph' => NumberShape::zeroOrMore(),
                'criteria' => new EitherShape(
                    TextShape::oneOf(['process', 'laboratory']),
                    RecordShape::of(
                        ['slope_percent' => ListShape::pair(NumberShape::any())],
                        [
                            'zero_point_ph' => NumberShape::zeroOrMore(),
                            'offset_mv' => NumberShape::zeroOrMore(),
                            'response_s' => NumberShape::zeroOrMore(),
                            'residual_ph' => NumberShape::zeroOrMore(),
                        ],
                    ),
                ),
            ],
        );
    }

    public function answer(Input $in): array
    {
        $checks = Calibrated::readPoints($in->records('check_points'));
        $judgement = JudgedCalibration::of(
            Calibrated::read($in),
            self::criteria($in),
            $checks,
            $in->number('check_limit_ph', JudgedCalibration::CHECK_LIMIT_PH),
        );
        $fit = $judgement->fit;
        $reference = $fit->referenceCelsius();

        return [
            'fit' => $fit->method->value,
            'reference_temperature_c' => $reference,
            'segments' => array_map(
                static fn(Segment $segment): array => [
                    'from_ph' => $segment->fromPh,
                    'to_ph' => $segment->toPh,
                    'offset_mv' => $segment->offsetMv,
                    'slope_percent' => $segment->percent(),
                    'slope_mv_per_ph' => $segment->mvPerPh($reference),
                ],
                $fit->segments,
            ),
            'offset_mv' => $fit->neutral()->offsetMv,
            'zero_point_ph' => $fit->zeroPointPh(),
            'span_ph' => $fit->spanPh(),
            'bracket_ph' => $fit->bracket(),
            'residuals' => array_map(
                static fn(CalibrationPoint $point, ?float $residual): array => [
                    'buffer_ph' => $point->bufferPh,
                    'residual_ph' => $residual,
                ],
                $fit->points,
                $fit->residuals(),
            ),
            'max_abs_residual_ph' => $fit->largestResidual(),
            'verdict' => $judgement->verdict->value,
            'checks' => array_map(
                static fn(CalibrationPoint $check, ?float $error): array => ['buffer_ph' => $check->bufferPh, 'error_ph' => $error],
                $checks,
                $judgement->checkErrors,
            ),
            'findings' => array_map(
                static fn(Finding $finding): array => [
                    'code' => $finding->code->value,
                    'severity' => $finding->severity->value,
                    'message' => FindingWords::sentence($finding),
                ],
                $judgement->findings,
            ),
        ];
    }

    private static function criteria(Input $in): Criteria
    {
        $criteria = $in->wordOrRecord('criteria', 'process');
        if (is_string($criteria)) {
            return $criteria === 'process' ? Criteria::process() : Criteria::laboratory();
        }
        [$low, $high] = $criteria->numbers('slope_percent');
        if ($low >= $high) {
            throw $criteria->refusal('slope_percent', 'The lowest slope must be below the highest.');
        }

        return new Criteria(
            $low,
            $high,
            $criteria->numberOrNull('zero_point_ph'),
            $criteria->numberOrNull('offset_mv'),
            $criteria->numberOrNull('response_s'),
            $criteria->numberOrNull('residual_ph'),
        );
    }
}
