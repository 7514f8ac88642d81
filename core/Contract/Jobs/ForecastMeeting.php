<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Refusal;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Forecast\Forecast;
use Rheacid\Core\TimesNotIncreasing;

final readonly class ForecastMeeting implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            ['readings' => ListShape::of(ListShape::pair(NumberShape::any(), NumberShape::ph())), 'target' => NumberShape::ph()],
            ['expanded_u' => NumberShape::zeroOrMore(), 'within_h' => NumberShape::any(), 'now_h' => NumberShape::any()],
        );
    }

    public function answer(Input $in): array
    {
        $readings = $in->pairs('readings');
        assert($readings !== []);
        try {
            $forecast = Forecast::of(
                $readings,
                $in->number('target'),
                $in->number('expanded_u', 0.0),
                $in->numberOrNull('within_h'),
                $in->numberOrNull('now_h'),
            );
        } catch (TimesNotIncreasing $failure) {
            throw Refusal::at($failure, "readings[$failure->index]");
        }

        return [
            'model' => $forecast->model->value,
            'eta_h' => $forecast->etaH,
            'low_h' => $forecast->lowH,
            'high_h' => $forecast->highH,
            'levels_off_ph' => $forecast->levelsOffPh,
            'verdict' => $forecast->verdict?->value,
        ];
    }
}
