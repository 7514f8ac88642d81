<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\ErrorCode;
use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Refusal;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Courses\Lethality;

final readonly class CountLethality implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            [
                'temperatures' => ListShape::of(ListShape::pair(NumberShape::any(), NumberShape::celsius())),
                'base_c' => NumberShape::celsius(),
                'z_c' => NumberShape::positive(),
            ],
            ['expanded_u_c' => NumberShape::zeroOrMore(), 'gap_minutes' => NumberShape::positive(), 'left_out' => Stretches::shape()],
        );
    }

    public function answer(Input $in): array
    {
        $temperatures = $in->pairs('temperatures');
        assert($temperatures !== []);
        $counted = Stretches::placing(
            static fn(): Lethality => Lethality::of(
                $temperatures,
                $in->number('expanded_u_c', 0.0),
                $in->number('base_c'),
                $in->number('z_c'),
                $in->number('gap_minutes', Lethality::GAP_MIN),
                Stretches::read($in),
            ),
        );
        if (!is_finite($counted->unitsMin)) {
            throw new Refusal(
                ErrorCode::OutOfRange,
                $in->at('z_c'),
                'So small a z makes the units infinite; a larger one is accepted, like 7.',
            );
        }

        return ['units_min' => $counted->unitsMin, 'gaps' => $counted->gaps];
    }
}
