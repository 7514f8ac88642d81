<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\CountShape;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Maths\Spread;
use Rheacid\Core\Uncertainty\BudgetLine;
use Rheacid\Core\Uncertainty\PhUncertainty;
use Rheacid\Core\Uncertainty\Repeatability;
use Rheacid\Core\Uncertainty\UncertaintyInputs;

final readonly class PhUncertaintyBudget implements Job
{
    public function shape(): RecordShape
    {
        $buffer = RecordShape::of(['ph' => NumberShape::ph(), 'expanded_u' => NumberShape::zeroOrMore()]);

        return RecordShape::of(
            [
                'ph' => NumberShape::ph(),
                'temperature_c' => NumberShape::celsius(),
                'buffers' => ListShape::of($buffer, least: 2, most: 2),
                'repeatability' => RecordShape::of([])->withOneOf(
                    ['values' => ListShape::of(NumberShape::ph())],
                    ['sd' => NumberShape::zeroOrMore(), 'n' => new CountShape(1)],
                ),
                'resolution' => NumberShape::zeroOrMore(),
                'temperature_expanded_u_c' => NumberShape::zeroOrMore(),
                'drift_limit_ph' => NumberShape::zeroOrMore(),
            ],
            [
                'pooled_sd' => NumberShape::zeroOrMore(),
                'fit_u' => NumberShape::zeroOrMore(),
                'calibration_temperature_c' => NumberShape::celsius(),
                'outside_by_ph' => NumberShape::zeroOrMore(),
                'matrix_u' => NumberShape::zeroOrMore(),
            ],
        );
    }

    public function answer(Input $in): array
    {
        [$first, $second] = $in->records('buffers');
        $repeatability = $in->record('repeatability');
        $values = $repeatability->numbers('values');
        $uncertainty = PhUncertainty::of(
            $in->placing(
                static fn(): UncertaintyInputs => new UncertaintyInputs(
                    ph: $in->number('ph'),
                    celsius: $in->number('temperature_c'),
                    buffers: [self::buffer($first), self::buffer($second)],
                    repeatability: new Repeatability(
                        $values === [] ? $repeatability->number('sd') : Spread::deviation($values),
                        $values === [] ? $repeatability->count('n') : count($values),
                        $in->number('pooled_sd', 0.0),
                    ),
                    resolution: $in->number('resolution'),
                    temperatureExpandedU: $in->number('temperature_expanded_u_c'),
                    driftLimitPh: $in->number('drift_limit_ph'),
                    fitU: $in->number('fit_u', 0.0),
                    calibrationCelsius: $in->numberOrNull('calibration_temperature_c'),
                    outsideByPh: $in->number('outside_by_ph', 0.0),
                    matrixU: $in->number('matrix_u', 0.0),
                ),
                'buffers',
            ),
        );

        return [
            'u' => $uncertainty->u,
            'expanded_u' => $uncertainty->expanded(),
            'k' => PhUncertainty::COVERAGE,
            'budget' => array_map(
                static fn(BudgetLine $line): array => ['name' => $line->name, 'u' => $line->u, 'share' => $line->share],
                $uncertainty->budget,
            ),
        ];
    }

    /** @return array{ph: float, expanded_u: float} */
    private static function buffer(Input $buffer): array
    {
        return ['ph' => $buffer->number('ph'), 'expanded_u' => $buffer->number('expanded_u')];
    }
}
