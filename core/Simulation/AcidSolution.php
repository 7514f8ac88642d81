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

    /** Carbon dioxide in water, as long as it is in it; from memory. */
    public const CARBONIC = 'carbonic';
    private const CARBONIC_PKAS = [6.35, 10.33];

    /** @param array<string, float> $molar mol/L of each acid, by its name; $potassium mol/L of strong base in it */
    public function __construct(private array $molar, private float $potassium = 0.0) {}

    /**
     * The same acids with so much potassium that they have that pH.
     *
     * @param array<string, float> $molar mol/L of each acid, by its name
     */
    public static function ofPh(array $molar, float $ph): self
    {
        return new self($molar, -(new self($molar))->charge($ph, 0.0, 1.0));
    }

    /** With so much more of one acid in it, mol/L. */
    public function with(string $acid, float $molar): self
    {
        return new self([...$this->molar, $acid => ($this->molar[$acid] ?? 0.0) + $molar], $this->potassium);
    }

    /** @return list<float> */
    private static function pkas(string $name): array
    {
        return $name === self::CARBONIC ? self::CARBONIC_PKAS : match (Acid::from($name)) {
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
            foreach (self::pkas($name) as $given => $pka) {
                $term *= 10 ** -$pka / $h;
                $sum += $term;
                $protons += ($given + 1) * $term;
            }
            $charge -= $molar / $dilution * $protons / $sum;
        }

        return $charge;
    }
}
