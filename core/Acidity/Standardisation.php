<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

use Rheacid\Core\Maths\Spread;

/** The strength of a titrant against potassium hydrogen phthalate, a primary standard. */
final class Standardisation
{
    /** g/mol, and g/eq: one proton. IUPAC standard atomic weights. */
    public const KHP_G_PER_EQ = 204.222;

    /** Three runs agree within so much of their mean. Common practice, no source. */
    public const AGREE_PERCENT = 0.3;
    public const RUNS = 3;

    /**
     * @param float $khpG g, above 0
     * @param float $ml of titrant to the endpoint, above 0
     * @param float $purity as a fraction
     *
     * @return float eq/L
     */
    public static function normality(float $khpG, float $ml, float $purity = 1.0): float
    {
        return (($khpG * $purity) / self::KHP_G_PER_EQ / $ml) * 1000;
    }

    /** @param list<float> $normalities eq/L */
    public static function agree(array $normalities): bool
    {
        return count($normalities) >= self::RUNS
            && ((max($normalities) - min($normalities)) / (array_sum($normalities) / count($normalities))) * 100
                <= self::AGREE_PERCENT + 1e-9;
    }

    /**
     * @param non-empty-list<float> $normalities eq/L
     *
     * @return array{float, float} their mean, and its expanded uncertainty: of the runs, no less than half a percent
     */
    public static function of(array $normalities): array
    {
        $n = count($normalities);
        $mean = array_sum($normalities) / $n;

        return [$mean, max((2 * Spread::deviation($normalities)) / sqrt($n), ($mean * TitrationUncertainty::NORMALITY_PERCENT) / 100)];
    }
}
