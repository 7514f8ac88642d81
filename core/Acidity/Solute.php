<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

/** What is dissolved for a solution of some strength. */
enum Solute: string
{
    case Kcl = 'KCl';
    case Naoh = 'NaOH';
    case Tartaric = 'tartaric';
    case Citric = 'citric';

    /** g/mol, IUPAC standard atomic weights */
    public function molarMass(): float
    {
        return match ($this) {
            self::Kcl => 74.551,
            self::Naoh => 39.997,
            self::Tartaric => 150.086,
            self::Citric => 192.123,
        };
    }

    /** g for so much of it, made up to volume */
    public function grams(float $molarity, float $volumeMl): float
    {
        return $molarity * $volumeMl / 1000 * $this->molarMass();
    }
}
