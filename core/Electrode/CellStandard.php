<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Numbers;

/**
 * A sensor read in a standard of known value: the factor of a conductivity cell, or the offset of a redox electrode. The
 * bounds are common practice, no source; for redox ±10 mV is the usual acceptance and ±5 mV the strict one, from memory.
 */
final readonly class CellStandard
{
    private const GOOD_FACTOR = [0.9, 1.1];
    private const USABLE_FACTOR = [0.8, 1.2];
    private const GOOD_OFFSET_MV = 10.0;
    private const USABLE_OFFSET_MV = 20.0;

    private function __construct(public ?float $cellFactor, public ?float $offsetMv, public Verdict $verdict) {}

    /**
     * @param float $standardUsPerCm25 of the standard at 25 °C
     * @param float $usPerCm as the cell reads it, not compensated, above 0
     *
     * @throws CellReadsNothing if the cell reads nothing
     */
    public static function conductivity(float $standardUsPerCm25, float $usPerCm, float $celsius): self
    {
        if ($usPerCm <= 0) {
            throw new CellReadsNothing();
        }
        $factor = Conductivity::cellFactor($standardUsPerCm25, $usPerCm, $celsius);
        $within = static fn(float $low, float $high): bool => Numbers::atLeast($factor, $low) && Numbers::atMost($factor, $high);

        return new self($factor, null, match (true) {
            $within(...self::GOOD_FACTOR) => Verdict::Pass,
            $within(...self::USABLE_FACTOR) => Verdict::Caution,
            default => Verdict::Fail,
        });
    }

    /** @param float $standardMv and $mv against the same reference electrode */
    public static function redox(float $standardMv, float $mv): self
    {
        $offset = $mv - $standardMv;

        return new self(null, $offset, match (true) {
            Numbers::atMost(abs($offset), self::GOOD_OFFSET_MV) => Verdict::Pass,
            Numbers::atMost(abs($offset), self::USABLE_OFFSET_MV) => Verdict::Caution,
            default => Verdict::Fail,
        });
    }
}
