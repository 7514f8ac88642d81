<?php

declare(strict_types=1);

namespace Rheacid\Core\Contract\Jobs;

use Rheacid\Core\Contract\Input;
use Rheacid\Core\Contract\Job;
use Rheacid\Core\Contract\Shape\NumberShape;
use Rheacid\Core\Contract\Shape\RecordShape;
use Rheacid\Core\Thermometry\BoilingPoint;

final readonly class Boiling implements Job
{
    public function shape(): RecordShape
    {
        return RecordShape::of([])->withOneOf(
            ['pressure_kpa' => NumberShape::between(BoilingPoint::LEAST_KPA, BoilingPoint::MOST_KPA)],
            ['elevation_m' => NumberShape::between(BoilingPoint::LOWEST_M, BoilingPoint::HIGHEST_M)],
        );
    }

    public function answer(Input $in): array
    {
        $kpa = $in->numberOrNull('pressure_kpa') ?? BoilingPoint::kpaAt($in->number('elevation_m'));

        return ['temperature_c' => BoilingPoint::celsius($kpa), 'pressure_kpa' => $kpa];
    }
}
