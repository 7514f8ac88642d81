<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Acidity\Standardisation;
use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;

final readonly class StandardiseTitrant implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            ['khp_g' => NumberShape::positive(), 'ml' => NumberShape::positive()],
            ['purity' => NumberShape::fraction()],
        );
    }

    public function answer(Input $in): array
    {
        return ['normality' => Standardisation::normality($in->number('khp_g'), $in->number('ml'), $in->number('purity', 1.0))];
    }
}
