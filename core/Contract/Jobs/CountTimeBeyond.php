<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Courses\TimeBeyond;

final readonly class CountTimeBeyond implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            [
                'temperatures' => ListShape::of(ListShape::pair(NumberShape::any(), NumberShape::celsius())),
                'limit_c' => NumberShape::celsius(),
            ],
            ['expanded_u_c' => NumberShape::zeroOrMore(), 'gap_h' => NumberShape::positive(), 'left_out' => Stretches::shape()],
        );
    }

    public function answer(Input $in): array
    {
        $temperatures = $in->pairs('temperatures');
        assert($temperatures !== []);
        $counted = Stretches::placing(
            static fn(): TimeBeyond => TimeBeyond::of(
                $temperatures,
                $in->number('expanded_u_c', 0.0),
                $in->number('limit_c'),
                $in->number('gap_h', TimeBeyond::GAP_H),
                Stretches::read($in),
            ),
        );

        return ['hours' => $counted->hours, 'gaps' => $counted->gaps];
    }
}
