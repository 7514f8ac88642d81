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

    /**
     * g that suffice where all the tartrate falls out that can. The potassium of each mole of bicarbonate takes a mole of bitartrate
     * with it, and with that as much acid again as it has neutralised; calcium takes the neutralised acid itself and no more.
     */
    public function leastGrams(float $acidGrams, Acid $acid): float
    {
        return $this->grams($acidGrams, $acid) / ($this === self::PotassiumBicarbonate ? 2 : 1);
    }

    /** What falls out with it. */
    public function salt(): string
    {
        return match ($this) {
            self::PotassiumBicarbonate => 'potassium bitartrate',
            self::CalciumCarbonate => 'calcium tartrate',
        };
    }

    /**
     * In which portions it is added, each followed by a measurement: never more at once than what suffices if all the tartrate falls
     * out, and no more than half of it all.
     *
     * @param float $grams of it all, above 0
     *
     * @return non-empty-list<float> g
     */
    public static function steps(float $grams): array
    {
        return [$grams / 2, $grams / 4, $grams / 4];
    }
}
