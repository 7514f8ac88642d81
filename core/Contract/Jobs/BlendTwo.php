<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Acidity\Blend;
use Rheacid\Core\Acidity\CannotBlend;
use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Refusal;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\OrNullShape;
use Rheacid\Core\Contract\Shape\RecordShape;

final readonly class BlendTwo implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of([
            'a' => RecordShape::of(['value' => NumberShape::any(), 'volume_l' => NumberShape::positive()]),
            'b' => RecordShape::of(['value' => NumberShape::any(), 'volume_l' => new OrNullShape(NumberShape::positive())]),
            'target' => NumberShape::any(),
        ]);
    }

    public function answer(Input $in): array
    {
        [$a, $b] = [$in->record('a'), $in->record('b')];
        try {
            $needed = Blend::needs(
                $a->number('value'),
                $a->number('volume_l'),
                $b->number('value'),
                $b->numberOrNull('volume_l'),
                $in->number('target'),
            );
        } catch (CannotBlend $failure) {
            throw Refusal::at($failure, $failure->isShort ? 'b.volume_l' : 'target');
        }

        return ['volume_b_l' => $needed, 'volume_total_l' => $a->number('volume_l') + $needed];
    }
}
