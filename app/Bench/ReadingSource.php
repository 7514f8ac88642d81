<?php

declare(strict_types=1);

namespace Rheacid\Bench;

use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Records\Refused;

/** Somewhere a reading comes from. */
interface ReadingSource
{
    /**
     * @param CalibrationFit|null $by what settling in pH is judged by; an ideal electrode if null
     *
     * @throws Refused if there is nothing to read
     */
    public function observe(?CalibrationFit $by, float $windowS): Observation;
}
