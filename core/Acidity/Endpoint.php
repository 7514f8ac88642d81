<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

/** Where a titration ends. */
final readonly class Endpoint
{
    /** pH at which phenolphthalein turns. Common practice, no source. */
    private const BY_EYE_PH = 8.3;

    /** @param bool $isCoarse the curve is too coarse there to tell it well */
    public function __construct(public float $ml, public float $ph, public bool $isCoarse) {}

    /** Where the colour stayed, mL of titrant. */
    public static function byEye(float $ml): self
    {
        return new self($ml, self::BY_EYE_PH, false);
    }
}
