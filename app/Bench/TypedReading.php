<?php

declare(strict_types=1);

namespace Rheacid\Bench;

use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Settling\Stability;

/** A reading typed from a real meter. Either the typed number was watched until the window was over, or its stability is said. */
final readonly class TypedReading implements ReadingSource
{
    /**
     * @param bool $isSaid somebody says that it stood before it was typed
     * @param float|null $watchedS seconds for which the typed number was looked at; null where nobody counted
     */
    public function __construct(
        private Signal $signal,
        private float $celsius,
        private bool $isSaid,
        private ?float $responseTimeS = null,
        private ?float $watchedS = null,
    ) {}

    public function observe(?CalibrationFit $by, float $windowS): Observation
    {
        $stability = Stability::of($this->isSaid, $this->watchedS, $windowS);

        return new Observation(
            $this->signal,
            $this->celsius,
            $stability !== null,
            null,
            $this->responseTimeS,
            Source::Typed,
            stability: $stability,
        );
    }
}
