<?php

declare(strict_types=1);

namespace Rheacid\Core\Uncertainty;

use Rheacid\Core\Electrode\Nernst;
use Rheacid\Core\Maths\Spread;

/**
 * Uncertainty of a pH reading: nine standard uncertainties in pH, added as variances; expanded with k = 2.
 *
 * Method: JCGM 100:2008 (GUM), section 5.1. Half-widths of rectangular distributions are divided by √3, a display's digit
 * by 2√3.
 */
final readonly class PhUncertainty
{
    public const COVERAGE = 2;

    /** Bound of the isopotential point's distance from pH 7. Common practice, no source. */
    private const ISOPOTENTIAL_PH = 0.5;

    /** Error per pH outside the bracket, half-width. Common practice, no source. */
    private const EXTRAPOLATION = 0.05;

    /**
     * @param float $u standard uncertainty in pH
     * @param list<BudgetLine> $budget always nine lines in the same order
     */
    private function __construct(public float $u, public array $budget) {}

    public static function of(UncertaintyInputs $in): self
    {
        $kelvin = Nernst::kelvin($in->celsius);
        $parts = [
            'buffers' => self::buffers($in),
            'repeatability' => $in->repeatability->u(),
            'resolution' => Spread::ofDigit($in->resolution),
            'temperature' => abs($in->ph - 7) / $kelvin * $in->temperatureExpandedU / self::COVERAGE,
            'drift' => Spread::ofBound($in->driftLimitPh),
            'fit' => $in->fitU,
            'isopotential' => $in->calibrationCelsius === null
                ? 0.0
                : Spread::ofBound(self::ISOPOTENTIAL_PH * abs(1 - Nernst::kelvin($in->calibrationCelsius) / $kelvin)),
            'extrapolation' => Spread::ofBound(self::EXTRAPOLATION * $in->outsideByPh),
            'matrix' => $in->matrixU,
        ];
        $variance = array_sum(array_map(static fn(float $u): float => $u ** 2, $parts));
        $budget = [];
        foreach ($parts as $name => $u) {
            $budget[] = new BudgetLine($name, $u, $variance > 0 ? $u ** 2 / $variance : 0.0);
        }

        return new self(sqrt($variance), $budget);
    }

    public function expanded(): float
    {
        return self::COVERAGE * $this->u;
    }

    /** Each buffer's uncertainty, weighted by how much the straight line through both leans on it at that pH. */
    private static function buffers(UncertaintyInputs $in): float
    {
        [$a, $b] = $in->buffers;
        $weightB = ($in->ph - $a['ph']) / ($b['ph'] - $a['ph']);

        return hypot((1 - $weightB) * $a['expanded_u'], $weightB * $b['expanded_u']) / self::COVERAGE;
    }
}
