<?php

declare(strict_types=1);

namespace Rheacid\Core\Simulation;

use Rheacid\Core\Measuring\Matrix;

/**
 * What is truly in a cup that was drawn from a batch: acids of known strength, gas that can be driven off, pieces that lag behind
 * their brine, a paste that is slow until it is stirred into water. Invented, of the simulated bench.
 */
final readonly class SimulatedSample
{
    /** mol/L of carbon dioxide in a beer at a bar, and what stays after each pouring. */
    private const GAS_MOLAR = 0.06;
    private const STAYS = 0.35;

    private const LAG_PH = 0.35;

    /** How much slower an electrode is in a paste. */
    private const PASTE_SLOWNESS = 6.0;

    private const MOLAR = ['tartaric' => 0.02, 'malic' => 0.01, 'lactic' => 0.01];
    private const LACTIC = ['lactic' => 0.08];
    private const BEER = ['lactic' => 0.006, 'citric' => 0.001];

    /**
     * @param float $gasMolar mol/L of carbon dioxide before it is poured
     * @param float $lagPh by which the pieces are higher than what is around them
     */
    public function __construct(
        private AcidSolution $solution,
        private float $gasMolar = 0.0,
        private float $lagPh = 0.0,
        private bool $isPaste = false,
    ) {}

    /** A sample of that kind that truly has a pH. */
    public static function of(?Matrix $matrix, float $ph): self
    {
        return match ($matrix) {
            Matrix::Sparkling => new self(AcidSolution::ofPh(self::BEER, $ph), gasMolar: self::GAS_MOLAR),
            Matrix::Brined => new self(AcidSolution::ofPh(self::LACTIC, $ph), lagPh: self::LAG_PH),
            Matrix::Slurry => new self(AcidSolution::ofPh(self::LACTIC, $ph), isPaste: true),
            default => new self(AcidSolution::ofPh(self::MOLAR, $ph)),
        };
    }

    /**
     * @param int $pours between two cups, before it is read
     * @param bool $isPieces whether the pieces are read, not what is around them
     */
    public function ph(int $pours = 0, bool $isPieces = false): float
    {
        return $this->solution->with(AcidSolution::CARBONIC, $this->gasMolar * self::STAYS ** $pours)->ph()
            + ($isPieces ? $this->lagPh : 0.0);
    }

    /** As the electrode stands in it: slower in a paste that was not stirred into water. */
    public function slows(ElectrodeCondition $electrode, bool $isDiluted): ElectrodeCondition
    {
        return $this->isPaste && !$isDiluted ? $electrode->slowed(self::PASTE_SLOWNESS) : $electrode;
    }

    /** As it is titrated: the gas is driven off first. */
    public function solution(): AcidSolution
    {
        return $this->solution;
    }

    /** True titratable acidity, eq/L. */
    public function equivalentsTo(float $ph): float
    {
        return $this->solution->equivalentsTo($ph);
    }
}
