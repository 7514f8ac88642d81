<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/** What a calibration has to reach. A limit that is null is not judged. Common practice, no source. */
final readonly class Criteria
{
    public function __construct(
        public float $lowestSlopePercent,
        public float $highestSlopePercent,
        public ?float $zeroPointPh = null,
        public ?float $offsetMv = null,
        public ?float $responseTimeS = null,
        public ?float $residualPh = null,
    ) {}

    public static function process(): self
    {
        return new self(90, 102, zeroPointPh: 0.5, responseTimeS: 60, residualPh: 0.05);
    }

    public static function laboratory(): self
    {
        return new self(95, 102, offsetMv: 15, responseTimeS: 60, residualPh: 0.02);
    }
}
