<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Numbers;

/**
 * What is likely wrong with an electrode or its buffers, from the signature of a calibration: slope, offset, response,
 * rest, and which buffer is off. The table of signatures is common practice, no source.
 */
enum Diagnosis: string
{
    case Coated = 'coated';
    case Aged = 'aged';
    case Poisoned = 'poisoned-reference';
    case Broken = 'cracked-or-shorted';
    case Restless = 'dry-or-blocked';
    case OtherFamily = 'other-family-or-temperature';
    case TiredBuffers = 'tired-buffers';
    case Swapped = 'swapped-buffers';
    case AlkalineBuffer = 'alkaline-buffer';

    /** A reading that has not become stable by then never will. */
    public const LONG_ENOUGH_S = 120.0;

    private const NO_RESPONSE_PERCENT = 10.0;

    /** Two segments of one glass never differ by so much. */
    private const FAR_APART_PERCENT = 40.0;
    private const NEUTRAL_PH = 7.2;

    /** Half a pH unit at 25 °C, where the policy gives no limit in mV. */
    private const LARGE_OFFSET_MV = 30.0;
    private const SLOW_S = 60.0;
    private const JUMP_MV = 20.0;

    /** @param bool $isRestless a buffer never came to rest, though it had two minutes and more */
    public static function of(CalibrationFit $fit, Criteria $criteria, bool $isRestless, ElectrodePast $past): ?self
    {
        if (count($fit->points) < 2) {
            return $isRestless ? self::Restless : null;
        }
        $slopes = self::slopes($fit);
        [$lowest, $highest] = [min($slopes), max($slopes)];

        return match (true) {
            $highest < self::NO_RESPONSE_PERCENT && $lowest > -self::NO_RESPONSE_PERCENT => self::Broken,
            $lowest <= -self::NO_RESPONSE_PERCENT, $highest - $lowest > self::FAR_APART_PERCENT => self::Swapped,
            $isRestless => self::Restless,
            $highest > $criteria->highestSlopePercent => self::OtherFamily,
            $lowest < $criteria->lowestSlopePercent => self::lowSlope($fit, $criteria, $past),
            self::isFarOff($fit->neutral()->offsetMv, $criteria) => self::Poisoned,
            default => null,
        };
    }

    /**
     * A second fault that the first does not explain: neither dirt nor a tired buffer moves the offset so far. What never
     * became stable tells no offset.
     *
     * @param float|null $offsetMv of the calibration that was diagnosed
     */
    public static function beside(?self $first, ?float $offsetMv, Criteria $criteria): ?self
    {
        $hidesIt = $first === null || in_array($first, [self::Poisoned, self::Broken, self::Swapped, self::Restless], true);

        return !$hidesIt && $offsetMv !== null && self::isFarOff($offsetMv, $criteria) ? self::Poisoned : null;
    }

    /** A healthy reference does not jump between two calibrations. */
    public static function hasJumped(float $offsetMv, float $beforeMv): bool
    {
        return Numbers::atLeast(abs($offsetMv - $beforeMv), self::JUMP_MV);
    }

    private static function isFarOff(float $offsetMv, Criteria $criteria): bool
    {
        return abs($offsetMv) > ($criteria->offsetMv ?? self::LARGE_OFFSET_MV);
    }

    /** Whether a buffer or the temperature is in doubt rather than the electrode: that can read acid too acid. */
    public function namesBufferOrTemperature(): bool
    {
        return in_array($this, [self::OtherFamily, self::TiredBuffers, self::Swapped, self::AlkalineBuffer], true);
    }

    private static function lowSlope(CalibrationFit $fit, Criteria $criteria, ElectrodePast $past): self
    {
        $slowest = max([0.0, ...array_map(static fn(CalibrationPoint $point): float => $point->responseTimeS ?? 0.0, $fit->points)]);

        return match (true) {
            self::isOnlyAlkalineLow($fit, $criteria) => self::AlkalineBuffer,
            $past->wasCleaned && $past->isFalling => self::Aged,
            $slowest > ($criteria->responseTimeS ?? self::SLOW_S) => self::Coated,
            // A healthy glass answers in time: fresh buffers come before cleaning or replacing.
            default => self::TiredBuffers,
        };
    }

    private static function isOnlyAlkalineLow(CalibrationFit $fit, Criteria $criteria): bool
    {
        $isLow = static fn(Segment $segment): bool => $segment->percent() < $criteria->lowestSlopePercent;
        $isAcid = static fn(Segment $segment): bool => $segment->toPh <= self::NEUTRAL_PH;
        $acid = array_filter($fit->segments, $isAcid);

        return $acid !== [] && array_filter($acid, $isLow) === [];
    }

    /** @return non-empty-list<float> percent, of the segments long enough to tell; else of the line from end to end */
    private static function slopes(CalibrationFit $fit): array
    {
        $long = array_values(
            array_filter($fit->segments, static fn(Segment $segment): bool => $segment->lengthPh() >= Criteria::LEAST_SEGMENT_PH),
        );

        return $long === [] || $fit->method === FitMethod::LeastSquares
            ? [$fit->endToEnd()->percent()]
            : array_map(static fn(Segment $segment): float => $segment->percent(), $long);
    }
}
