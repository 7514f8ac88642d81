<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

/** Free and molecular sulfur dioxide. Henderson–Hasselbalch at the first dissociation of sulfurous acid. */
final class MolecularSo2
{
    /** In water at 25 °C, for protection. From memory. */
    public const PKA = 1.81;

    /** About so much in wine of 12–14 % alcohol. From memory. */
    public const PKA_IN_WINE = 2.0;

    /** SO₂ that is set free by a gram of potassium metabisulfite, as a fraction: 2 × 64.06 of 222.3 g/mol. */
    public const IN_METABISULFITE = 0.576;

    /** mg/L in one addition above which taste and allergy are at stake: measure again first. Common practice, no source. */
    public const LARGE_MG_PER_L = 50.0;

    /** mg/L of free SO₂ for so much molecular. */
    public static function free(float $molecular, float $ph, float $pka = self::PKA): float
    {
        return $molecular * (1 + 10 ** ($ph - $pka));
    }

    /** mg/L of molecular SO₂ in so much free. */
    public static function molecular(float $free, float $ph, float $pka = self::PKA): float
    {
        return $free / (1 + 10 ** ($ph - $pka));
    }
}
