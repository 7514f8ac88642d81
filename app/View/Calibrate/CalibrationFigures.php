<?php

declare(strict_types=1);

namespace Rheacid\View\Calibrate;

/** The figures of a calibration as they are written, with what they are beside those before. */
final readonly class CalibrationFigures
{
    /**
     * @param bool $hasSlope whether the slope was measured
     * @param string|null $asFound what the calibration before made of the buffers
     * @param string|null $jump since the last sound run
     */
    public function __construct(
        public string $slope,
        public bool $hasSlope,
        public string $offset,
        public ?string $asFound,
        public ?string $jump,
    ) {}
}
