<?php

declare(strict_types=1);

namespace Rheacid\Core\Uncertainty;

/**
 * The site's own repeatability of a portion, from duplicates that were read blind: s = √(Σd²/2n), pH. A repeat that its reader knew
 * as one does not count: who knows what to expect reads it. Fewer than twenty pairs say nothing, so that the method's pooled value
 * stands until then (ISO 5725-2 gives the formula; twenty is the trade's, from memory).
 */
final readonly class SiteRepeatability
{
    public const PAIRS = 20;

    /** pH: by so much two portions of one sample may differ, with a pooled 0.018 behind it. Common practice, no source. */
    public const LIMIT_PH = 0.05;

    /**
     * @param int $pairs n
     * @param float $sumOfSquares Σd², pH²
     */
    public function __construct(public int $pairs, public float $sumOfSquares) {}

    public static function unknown(): self
    {
        return new self(0, 0.0);
    }

    public function with(float $differencePh): self
    {
        return new self($this->pairs + 1, $this->sumOfSquares + $differencePh ** 2);
    }

    /** Of one portion, pH; null while too few pairs tell it. */
    public function sd(): ?float
    {
        return $this->pairs < self::PAIRS ? null : sqrt($this->sumOfSquares / (2 * $this->pairs));
    }
}
