<?php

declare(strict_types=1);

namespace Rheacid\Bench;

use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Logs\Plateau;
use Rheacid\Core\Measuring\Source;

/** One plateau of a data logger's file. */
final readonly class LogReading implements ReadingSource
{
    public function __construct(private Plateau $plateau) {}

    public function observe(?CalibrationFit $by, float $windowS): Observation
    {
        // Judged by what is known now, as a live reading would be: the log was cut by an earlier idea of the electrode.
        return Observation::ofTrace($this->plateau->trace, $by, $windowS, Source::Imported);
    }
}
