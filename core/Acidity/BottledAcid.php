<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

/**
 * An acid as it is sold, by the strength on its label. Densities at 20 °C: phosphoric acid from handbook tables of aqueous solutions,
 * lactic acid as suppliers state it; all from memory.
 */
enum BottledAcid: string
{
    case Tartaric = 'tartaric';
    case Malic = 'malic';
    case Citric = 'citric';
    case Lactic80 = 'lactic-80';
    case Lactic88 = 'lactic-88';
    case Phosphoric75 = 'phosphoric-75';
    case Phosphoric85 = 'phosphoric-85';

    private const PHOSPHORIC_G_PER_MOL = 97.994;

    /** Second dissociation of phosphoric acid at 25 °C, from memory. */
    private const PHOSPHORIC_PK2 = 7.21;

    public function words(): string
    {
        return match ($this) {
            self::Tartaric, self::Malic, self::Citric => "$this->value acid",
            self::Lactic80, self::Lactic88 => sprintf('lactic acid, %d %%', $this->percent()),
            self::Phosphoric75, self::Phosphoric85 => sprintf('phosphoric acid, %d %%', $this->percent()),
        };
    }

    /** % by mass of acid in what is added */
    public function percent(): int
    {
        return match ($this) {
            self::Lactic80 => 80,
            self::Lactic88 => 88,
            self::Phosphoric75 => 75,
            self::Phosphoric85 => 85,
            default => 100,
        };
    }

    /** g/mL at 20 °C of what is added; null of a solid */
    public function density(): ?float
    {
        return match ($this) {
            self::Lactic80 => 1.19,
            self::Lactic88 => 1.21,
            self::Phosphoric75 => 1.579,
            self::Phosphoric85 => 1.689,
            default => null,
        };
    }

    /**
     * g of what is added for an equivalent, as a titration to that endpoint finds it. Phosphoric acid gives its second proton only
     * around pH 7.2, so that the endpoint decides how much of it counts; its third never does.
     *
     * @param float $endpointPh 7.0 to 8.5
     */
    public function gramsPerEquivalent(float $endpointPh): float
    {
        $pure = match ($this) {
            self::Phosphoric75, self::Phosphoric85 => self::PHOSPHORIC_G_PER_MOL
                / (1 + 1 / (1 + 10 ** (self::PHOSPHORIC_PK2 - $endpointPh))),
            self::Lactic80, self::Lactic88 => Acid::Lactic->equivalentWeight(),
            default => Acid::from($this->value)->equivalentWeight(),
        };

        return $pure / ($this->percent() / 100);
    }
}
