<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

/** By which free or total sulfur dioxide is measured. Methods as in the OIV compendium of wine analysis, from memory. */
enum So2Method: string
{
    case Aspiration = 'aspiration';
    case Iodine = 'iodine';
    case Kit = 'kit';
    case Other = 'other';

    public function words(): string
    {
        return match ($this) {
            self::Aspiration => 'aspiration and titration (OIV-MA-AS323-04A)',
            self::Iodine => 'iodine titration (OIV-MA-AS323-04B)',
            self::Kit => 'test strip or kit',
            self::Other => 'another method',
        };
    }

    /** What such a number is worth; null where there is nothing to say. */
    public function caution(): ?string
    {
        return match ($this) {
            self::Aspiration, self::Other => null,
            self::Iodine
                => 'Iodine also takes up colour, tannin and ascorbic acid, and draws sulfite off its binding: free SO₂ of a red wine reads '
                    . 'high, so that the wine is less protected than the number says.',
            self::Kit => 'Strips and kits are coarse, and fail in coloured wine. Confirm by titration before a dose depends on it.',
        };
    }

    /**
     * What is bound: total minus free of one sample by one method.
     *
     * @param float $total mg/L
     * @param float|null $totalU k = 2, mg/L; null where nobody knows
     * @param float $free mg/L
     *
     * @return array{float, float|null}|null mg/L and its U; null where free is above total, which cannot be
     */
    public static function bound(float $total, ?float $totalU, float $free, ?float $freeU): ?array
    {
        return $free > $total ? null : [$total - $free, $totalU === null || $freeU === null ? null : hypot($totalU, $freeU)];
    }
}
