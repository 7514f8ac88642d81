<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Courses\DegreeHours;

final readonly class CountDegreeHours implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            ['temperatures' => ListShape::of(ListShape::pair(NumberShape::any()))],
            [
                'unit' => TextShape::oneOf(['F', 'C']),
                'base_f' => NumberShape::any(),
                'temperature_expanded_u' => NumberShape::zeroOrMore(),
                'ph' => ListShape::of(ListShape::pair(NumberShape::any(), NumberShape::ph()), 0),
                'ph_expanded_u' => NumberShape::zeroOrMore(),
                'ph_limit' => NumberShape::ph(),
                'from_h' => NumberShape::any(),
                'now_h' => NumberShape::any(),
                'left_out' => Stretches::shape(),
            ],
        );
    }

    public function answer(Input $in): array
    {
        $temperatures = $in->pairs('temperatures');
        assert($temperatures !== []);
        $counted = Stretches::placing(
            static fn(): DegreeHours => DegreeHours::of(
                $temperatures,
                $in->text('unit', 'F') === 'C',
                $in->number('base_f', DegreeHours::BASE_F),
                $in->number('temperature_expanded_u', 0.0),
                $in->pairs('ph'),
                $in->number('ph_expanded_u', 0.0),
                $in->number('ph_limit', DegreeHours::PH_LIMIT),
                $in->numberOrNull('from_h'),
                $in->numberOrNull('now_h'),
                Stretches::read($in),
            ),
        );

        return [
            'hours_to_limit' => $counted->hoursToLimit,
            'degree_hours' => $counted->degreeHours,
            'allowed' => $counted->allowed,
            'remaining' => $counted->remaining,
            'gaps' => $counted->gaps,
            'verdict' => $counted->verdict->value,
        ];
    }
}
