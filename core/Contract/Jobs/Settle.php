<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Settling\Settling;

final readonly class Settle implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            ['samples' => ListShape::of(ListShape::pair(NumberShape::any()))],
            ['band' => NumberShape::zeroOrMore(), 'window_s' => NumberShape::positive()],
        );
    }

    public function answer(Input $in): array
    {
        $settling = Settling::of(
            $in->pairs('samples'),
            $in->number('band', Settling::BAND_PH),
            $in->number('window_s', Settling::WINDOW_S),
        );

        return [
            'settled' => $settling->settled,
            'settled_at_s' => $settling->settledAtS,
            'drift_per_min' => $settling->driftPerMinute,
            'range_in_window' => $settling->rangeInWindow,
            'response_s' => $settling->responseTimeS,
        ];
    }
}
