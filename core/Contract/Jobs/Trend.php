<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\ListShape;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Contract\Shape\TextShape;
use Rheacid\Core\Electrode\ElectrodeTrend;

final readonly class Trend implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of(
            ['history' => ListShape::of(RecordShape::of(['on' => TextShape::date(), 'slope_percent' => NumberShape::any()]))],
            ['limit_percent' => NumberShape::any()],
        );
    }

    public function answer(Input $in): array
    {
        $history = array_map(static fn(Input $row): array => [$row->text('on'), $row->number('slope_percent')], $in->records('history'));
        assert($history !== []);
        $trend = ElectrodeTrend::of($history, $in->number('limit_percent', 90.0));

        return [
            'percent_per_year' => $trend->percentPerYear,
            'leaves_policy_on' => $trend->leavesPolicyOn,
            'earliest' => $trend->earliest,
            'latest' => $trend->latest,
        ];
    }
}
