<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

/**
 * Acids in which an acidity can be said. Molar masses from IUPAC standard atomic weights, divided by the protons that a
 * titration to 8.2 takes.
 */
enum Acid: string
{
    case Tartaric = 'tartaric';
    case Malic = 'malic';
    case Citric = 'citric';
    case Lactic = 'lactic';
    case Acetic = 'acetic';
    case Sulfuric = 'sulfuric';

    /** g/eq */
    public function equivalentWeight(): float
    {
        return match ($this) {
            self::Tartaric => 75.043,
            self::Malic => 67.043,
            self::Citric => 64.041,
            self::Lactic => 90.078,
            self::Acetic => 60.052,
            self::Sulfuric => 49.036,
        };
    }

    /** An acidity said in this acid, said in another: the same equivalents. */
    public function to(self $other, float $grams): float
    {
        return $grams / $this->equivalentWeight() * $other->equivalentWeight();
    }
}
