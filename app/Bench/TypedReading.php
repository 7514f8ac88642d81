<?php

declare(strict_types=1);

namespace Rheacid\Bench;

use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\Signal;

/** A reading typed from a real meter; that it stood still is the checker's word. */
final readonly class TypedReading implements ReadingSource
{
    public function __construct(private Signal $signal, private float $celsius, private bool $stoodStill, private ?float $responseTimeS = null) {}

    public function observe(?CalibrationFit $by, float $windowS): Observation
    {
        return new Observation($this->signal, $this->celsius, $this->stoodStill, null, $this->responseTimeS, Source::Typed);
    }
}
