<?php

declare(strict_types=1);

namespace Rheacid\Core\Simulation;

use Rheacid\Core\Acidity\Acid;

/**
 * Weak acids in water, partly neutralised by potassium, whose pH follows from the balance of charges: the true answer of a
 * simulated sample. Activity is left out. Dissociation constants at 25 °C, from memory.
 */
final readonly class AcidSolution
{
    private const WATER = 1e-14;
    private const HALVINGS = 80;

    /** @param array<string, float> $molar mol/L of each acid, by its name; $potassium mol/L of strong base in it */
    public function __construct(private array $molar, private float $potassium = 0.0) {}

    /** @return list<float> */
    private static function pkas(Acid $acid): array
    {
        return match ($acid) {
            Acid::Tartaric => [3.04, 4.37],
            Acid::Malic => [3.46, 5.10],
            Acid::Citric => [3.13, 4.76, 6.40],
            Acid::Lactic => [3.86],
            Acid::Acetic => [4.76],
            Acid::Sulfuric => [-3.0, 1.99],
        };
    }

    /** pH of the solution as it is, diluted by so many parts of water, with so much strong base in the litre that results. */
    public function ph(float $baseMolar = 0.0, float $dilution = 1.0): float
    {
        [$low, $high] = [-1.0, 15.0];
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($low + $high) / 2;
            $this->charge($middle, $baseMolar, $dilution) > 0 ? $low = $middle : $high = $middle;
        }

        return ($low + $high) / 2;
    }

    /**
     * pH after so many mL of titrant into so many mL of sample.
     *
     * @param float $normality eq/L of the titrant, a strong base
     */
    public function titrated(float $sampleMl, float $ml, float $normality): float
    {
        $whole = $sampleMl + $ml;

        return $this->ph($ml * $normality / $whole, $whole / $sampleMl);
    }

    /** What the acids still give off up to that pH, eq/L: the true titratable acidity. */
    public function equivalentsTo(float $ph): float
    {
        return -$this->charge($ph, 0.0, 1.0);
    }

    /** Positive charges less negative ones, eq/L: falls with pH. */
    private function charge(float $ph, float $baseMolar, float $dilution): float
    {
        $h = 10 ** -$ph;
        $charge = $h - self::WATER / $h + $this->potassium / $dilution + $baseMolar;
        foreach ($this->molar as $name => $molar) {
            [$term, $sum, $protons] = [1.0, 1.0, 0.0];
            foreach (self::pkas(Acid::from($name)) as $given => $pka) {
                $term *= 10 ** -$pka / $h;
                $sum += $term;
                $protons += ($given + 1) * $term;
            }
            $charge -= $molar / $dilution * $protons / $sum;
        }

        return $charge;
    }
}
