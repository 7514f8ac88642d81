<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

/** What takes acid away. Equivalent weights from IUPAC standard atomic weights. */
enum Neutraliser: string
{
    case PotassiumBicarbonate = 'potassium bicarbonate';
    case CalciumCarbonate = 'calcium carbonate';

    /** g/eq */
    public function equivalentWeight(): float
    {
        return match ($this) {
            self::PotassiumBicarbonate => 100.115,
            self::CalciumCarbonate => 50.043,
        };
    }

    /** g that take so many grams of an acid away, by equivalents: what falls out as tartrate afterwards comes on top. */
    public function grams(float $acidGrams, Acid $acid): float
    {
        return $acidGrams / $acid->equivalentWeight() * $this->equivalentWeight();
    }
}
