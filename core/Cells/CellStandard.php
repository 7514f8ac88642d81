<?php

declare(strict_types=1);

namespace Rheacid\Core\Cells;

use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Numbers;

/**
 * A sensor read in a standard of known value: the factor of a conductivity cell, or the offset of a redox electrode. The
 * bounds are common practice, no source; for redox ±10 mV is the usual acceptance and ±5 mV the strict one, from memory.
 */
final readonly class CellStandard
{
    /** Standards read within so many hours make a line. Common practice, no source. */
    public const SESSION_H = 2;

    private const GOOD_FACTOR = [0.9, 1.1];
    private const USABLE_FACTOR = [0.8, 1.2];
    private const GOOD_OFFSET_MV = 10.0;
    private const USABLE_OFFSET_MV = 20.0;

    /** Offset as a share of the lower standard. */
    private const GOOD_OFFSET_SHARE = 0.05;
    private const USABLE_OFFSET_SHARE = 0.1;

    /** A line needs standards that lie so many times apart. */
    private const LEAST_RATIO = 2.0;

    /** A wet cell in its standard reads no smaller a share of it: it is dry, or the unit is wrong. */
    private const LEAST_SHARE = 0.05;

    private function __construct(
        public ?float $cellFactor,
        public ?float $offsetMv,
        public Verdict $verdict,
        public float $offsetUs = 0.0,
    ) {}

    /** @throws CellReadsNothing if the cell reads nothing */
    public static function conductivity(StandardReading $read): self
    {
        if ($read->usPerCm <= 0) {
            throw new CellReadsNothing();
        }
        $factor = $read->standardAtItsTemperature() / $read->usPerCm;

        return new self($factor, null, self::factorVerdict($factor));
    }

    /**
     * Factor and offset of the line through two standards.
     *
     * @throws CellReadsNothing if the cell reads the same in both
     */
    public static function line(StandardReading $a, StandardReading $b): self
    {
        [$low, $high] = $a->standardUsPerCm25 < $b->standardUsPerCm25 ? [$a, $b] : [$b, $a];
        if ($high->usPerCm <= $low->usPerCm) {
            throw new CellReadsNothing();
        }
        $factor = ($high->standardAtItsTemperature() - $low->standardAtItsTemperature()) / ($high->usPerCm - $low->usPerCm);
        $offset = $low->standardAtItsTemperature() - $factor * $low->usPerCm;
        $share = abs($offset) / $low->standardUsPerCm25;
        $verdicts = [
            self::factorVerdict($factor),
            match (true) {
                Numbers::atMost($share, self::GOOD_OFFSET_SHARE) => Verdict::Pass,
                Numbers::atMost($share, self::USABLE_OFFSET_SHARE) => Verdict::Caution,
                default => Verdict::Fail,
            },
        ];

        return new self(
            $factor,
            null,
            match (true) {
                in_array(Verdict::Fail, $verdicts, true) => Verdict::Fail,
                in_array(Verdict::Caution, $verdicts, true) => Verdict::Caution,
                default => Verdict::Pass,
            },
            $offset,
        );
    }

    /** Whether two standards lie far enough apart to lay a line through. */
    public static function makeALine(float $aUsPerCm25, float $bUsPerCm25): bool
    {
        return Numbers::atLeast(max($aUsPerCm25, $bUsPerCm25) / min($aUsPerCm25, $bUsPerCm25), self::LEAST_RATIO);
    }

    /** Dry or not deep enough, or mS/cm typed for µS/cm: no cell factor explains so little. */
    public static function isFarTooLow(float $standardUsPerCm25, float $usPerCm): bool
    {
        return $usPerCm < self::LEAST_SHARE * $standardUsPerCm25;
    }

    private static function factorVerdict(float $factor): Verdict
    {
        $within = static fn(float $low, float $high): bool => Numbers::atLeast($factor, $low) && Numbers::atMost($factor, $high);

        return match (true) {
            $within(...self::GOOD_FACTOR) => Verdict::Pass,
            $within(...self::USABLE_FACTOR) => Verdict::Caution,
            default => Verdict::Fail,
        };
    }

    /** As far off as the standard on the other side of zero: sign, leads or reference, not the sensor. */
    public static function hasWrongSign(float $standardMv, float $mv): bool
    {
        return !Numbers::atMost(abs($mv - $standardMv), self::USABLE_OFFSET_MV)
            && Numbers::atMost(abs($mv + $standardMv), self::USABLE_OFFSET_MV);
    }

    /** @param float $standardMv and $mv against the same reference electrode */
    public static function redox(float $standardMv, float $mv): self
    {
        $offset = $mv - $standardMv;

        return new self(
            null,
            $offset,
            match (true) {
                Numbers::atMost(abs($offset), self::GOOD_OFFSET_MV) => Verdict::Pass,
                Numbers::atMost(abs($offset), self::USABLE_OFFSET_MV) => Verdict::Caution,
                default => Verdict::Fail,
            },
        );
    }
}
