<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/** What a calibration has to reach. A limit that is null is not judged. Common practice, no source. */
final readonly class Criteria
{
    /** Two buffers nearer than this give a poor slope, pH. */
    public const LEAST_SPAN_PH = 2.8;

    /** A shorter segment carries too little distance to compare a slope by, pH. */
    public const LEAST_SEGMENT_PH = 2.0;

    /** Buffers, check buffers, rinse and samples are as warm as one another within so much, °C. */
    public const SAME_TEMPERATURE_C = 2.0;

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
