<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Acidity\Dilution;
use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;

final readonly class Dilute implements Job
{
    private const KEYS = ['c1', 'v1', 'c2', 'v2'];

    public function shape(): RecordShape
    {
        return RecordShape::of([], array_fill_keys(self::KEYS, NumberShape::positive()))->exactly(3);
    }

    public function answer(Input $in): array
    {
        return Dilution::complete([
            'c1' => $in->numberOrNull('c1'),
            'v1' => $in->numberOrNull('v1'),
            'c2' => $in->numberOrNull('c2'),
            'v2' => $in->numberOrNull('v2'),
        ]);
    }
}
