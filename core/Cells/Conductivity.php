<?php

declare(strict_types=1);

namespace Rheacid\Core\Cells;

use Rheacid\Core\Electrode\CompensationImpossible;

/**
 * A conductivity compensated to 25 °C by a straight line, and the dissolved solids it stands for.
 *
 * The 2 % per °C and both factors of dissolved solids are common practice, no source.
 */
final readonly class Conductivity
{
    public const PERCENT_PER_C = 2.0;

    private const REFERENCE_C = 25.0;

    /** @param float $usPerCm25 conductivity at 25 °C in µS/cm */
    private function __construct(public float $usPerCm25) {}

    /**
     * @param float $usPerCm as the cell reads it, not compensated, in µS/cm, 0 or more
     * @param float $celsius −5 to 130 °C
     * @param float $cellFactor by which the cell's reading is multiplied, above 0
     * @param float $offsetUs what is added then, in µS/cm; a conductivity is never below 0
     *
     * @throws CompensationImpossible if the compensation would divide by nothing
     */
    public static function compensated(
        float $usPerCm,
        float $celsius,
        float $percentPerC = self::PERCENT_PER_C,
        float $cellFactor = 1.0,
        float $offsetUs = 0.0,
    ): self {
        return new self(max(0.0, $usPerCm * $cellFactor + $offsetUs) / self::share($celsius, $percentPerC));
    }

    /** Dissolved solids in ppm by the factor 0.5. */
    public function tds500Ppm(): float
    {
        return 0.5 * $this->usPerCm25;
    }

    /** Dissolved solids in ppm by the factor 0.7. */
    public function tds700Ppm(): float
    {
        return 0.7 * $this->usPerCm25;
    }

    /**
     * What of the conductivity at 25 °C is seen at a temperature.
     *
     * @throws CompensationImpossible if that is nothing
     */
    public static function share(float $celsius, float $percentPerC): float
    {
        $share = 1 + ($percentPerC / 100) * ($celsius - self::REFERENCE_C);

        return $share > 0 ? $share : throw new CompensationImpossible($percentPerC, $celsius);
    }
}
