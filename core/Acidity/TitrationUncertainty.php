<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

/** What is not known of a titration, each k = 2. The defaults are common practice, no source. */
final readonly class TitrationUncertainty
{
    public const TITRANT_ML = 0.05;
    public const SAMPLE_PERCENT = 0.5;
    public const NORMALITY_PERCENT = 0.5;

    public function __construct(
        public float $titrantMl = self::TITRANT_ML,
        public float $samplePercent = self::SAMPLE_PERCENT,
        public float $normalityPercent = self::NORMALITY_PERCENT,
    ) {}

    /** @param float $netMl of titrant that the sample took, above 0 */
    public function relative(float $netMl): float
    {
        return sqrt(($this->titrantMl / $netMl) ** 2 + ($this->samplePercent / 100) ** 2 + ($this->normalityPercent / 100) ** 2);
    }

    /** mL, k = 2, of a volume read to so many: never better than a burette is. */
    public static function ofBurette(float $digitMl): float
    {
        return max(self::TITRANT_ML, $digitMl);
    }
}
