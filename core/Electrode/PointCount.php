<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\BeyondRange;

/** Too many calibration points, or none. */
final class PointCount extends \DomainException implements BeyondRange
{
    public function __construct(public readonly int $count)
    {
        parent::__construct(sprintf('A calibration has 1 to %d points; %d given.', CalibrationFit::MOST_POINTS, $count));
    }
}
