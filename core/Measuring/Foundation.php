<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Limits\ReleaseBlock;

/** What the portions of a pH measurement rest on, as it stood when they were read. */
final readonly class Foundation
{
    /** So good, and no better, a control check makes the drift. Common practice, no source. */
    private const LEAST_DRIFT_PH = 0.02;

    /**
     * @param bool $hasSlope false for a calibration on one point: its uncertainty is not known
     * @param float $bracketLow and $bracketHigh pH of the outermost buffers
     * @param float $fitU standard uncertainty of the calibration line, pH
     * @param float $celsius at which it was calibrated
     * @param float $resolution the display's last digit, pH
     * @param float $pooledSd repeatability of the method, pH
     * @param float $driftLimitPh what the read-back may be off
     * @param float|null $controlErrorPh of the control check that vouches for the calibration; null where none does
     * @param ThermometerFacts $thermometer that read the portions
     * @param CalibrationDoubts $doubts about the calibration, and what has lifted them
     * @param list<ReleaseBlock> $blocks what the state of the pair, its bottles and its control check keep it from
     */
    public function __construct(
        public bool $hasSlope,
        public float $bracketLow,
        public float $bracketHigh,
        public float $fitU,
        public float $celsius,
        public float $resolution,
        public float $pooledSd,
        public float $driftLimitPh,
        public ?float $controlErrorPh,
        public ThermometerFacts $thermometer,
        public CalibrationDoubts $doubts,
        public array $blocks,
    ) {}

    /** Half-width of what the electrode may have drifted since it was known, pH. */
    public function driftPh(): float
    {
        return $this->controlErrorPh === null
            ? $this->driftLimitPh
            : min($this->driftLimitPh, max(abs($this->controlErrorPh), self::LEAST_DRIFT_PH));
    }
}
