<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Numbers;

/**
 * A calibration judged against criteria: findings and the verdict they add up to.
 *
 * The bounds without a policy (2.0 and 2.8 pH, 3 °C, 3 and 2 percentage points, a tenth of the ideal slope) are common
 * practice, no source.
 */
final readonly class JudgedCalibration
{
    /** pH by which a buffer that is read back may be off, where no policy says otherwise. Common practice, no source. */
    public const CHECK_LIMIT_PH = 0.05;

    private const TEMPERATURE_SPREAD_C = 3.0;
    private const HIGH_MARGIN_PERCENT = 3.0;
    private const NEAR_LOW_PERCENT = 2.0;
    private const NO_RESPONSE_PERCENT = 10.0;

    /** A zero point within so much of its limit, or half the limit where that is less, is told before it is off. */
    private const NEAR_ZERO_PH = 0.1;

    /** So many points taken before they stood still, or one that moved further than this, prove nothing. */
    private const UNSETTLED_FAILS_FROM = 2;
    private const MOVED_PH = 0.05;

    /**
     * @param list<Finding> $findings
     * @param list<float|null> $checkErrors pH by the fit minus buffer pH, in the order given; null without a slope
     */
    private function __construct(public CalibrationFit $fit, public Verdict $verdict, public array $findings, public array $checkErrors) {}

    /** @param list<CalibrationPoint> $checks buffers that were read but not fitted */
    public static function of(CalibrationFit $fit, Criteria $criteria, array $checks = [], float $checkLimitPh = self::CHECK_LIMIT_PH): self
    {
        $errors = array_map(
            static fn(CalibrationPoint $check): ?float => $fit->hasSlope()
                ? $fit->read($check->mv, $check->celsius)->ph - $check->bufferPh
                : null,
            $checks,
        );
        $found = [
            ...self::slopes($fit, $criteria),
            ...self::position($fit, $criteria),
            ...self::responseTime($fit->points, $criteria),
            ...self::points($fit->points),
            ...self::rest($fit->points),
            ...self::checks($errors, $checkLimitPh),
        ];
        $findings = self::sorted($found);

        return new self($fit, Verdict::of($findings), $findings, $errors);
    }

    /**
     * Each code once, with its worst severity, in the order in which it is told.
     *
     * @param list<Finding> $found
     *
     * @return list<Finding>
     */
    public static function sorted(array $found): array
    {
        $findings = [];
        foreach (FindingCode::cases() as $code) {
            $same = array_values(array_filter($found, static fn(Finding $finding): bool => $finding->code === $code));
            if ($same !== []) {
                usort($same, static fn(Finding $a, Finding $b): int => $b->severity->rank() <=> $a->severity->rank());
                $findings[] = $same[0];
            }
        }

        return $findings;
    }

    /**
     * Usable with care, but able to err to the unsafe side of an acid limit: it proves nothing against a binding one.
     *
     * @param list<Finding> $findings
     * @param bool $againstRecognition a point was accepted though another buffer was recognised
     */
    public static function isUncertain(array $findings, ?Diagnosis $diagnosis, bool $againstRecognition): bool
    {
        $codes = array_column($findings, 'code');

        return in_array(FindingCode::Unsettled, $codes, true)
            || in_array(FindingCode::SlopeHigh, $codes, true)
            || $diagnosis?->namesBufferOrTemperature() === true
            || $againstRecognition;
    }

    public function found(FindingCode $code): ?Finding
    {
        foreach ($this->findings as $finding) {
            if ($finding->code === $code) {
                return $finding;
            }
        }

        return null;
    }

    /** @return list<Finding> */
    private static function slopes(CalibrationFit $fit, Criteria $criteria): array
    {
        $judged = $fit->segments;
        $found = [];
        if ($fit->method === FitMethod::Segments && count($fit->points) > 1) {
            $judged = array_values(
                array_filter(
                    $fit->segments,
                    static fn(Segment $segment): bool => Numbers::atLeast($segment->lengthPh(), Criteria::LEAST_SEGMENT_PH),
                ),
            );
            if (count($judged) < count($fit->segments)) {
                $judged[] = $fit->endToEnd();
                $found[] = new Finding(
                    FindingCode::SegmentShort,
                    Severity::Caution,
                    min(array_map(static fn(Segment $segment): float => $segment->lengthPh(), $fit->segments)),
                    Criteria::LEAST_SEGMENT_PH,
                );
            }
        }
        foreach ($judged as $segment) {
            $found[] = self::slope($segment->percent(), $criteria);
        }

        return array_values(array_filter($found));
    }

    /** What one slope says; null where it is good. */
    private static function slope(float $percent, Criteria $criteria): ?Finding
    {
        [$low, $high] = [$criteria->lowestSlopePercent, $criteria->highestSlopePercent];

        return match (true) {
            $percent <= -self::NO_RESPONSE_PERCENT + Numbers::TOLERANCE => new Finding(
                FindingCode::SlopeReversed,
                Severity::Fail,
                $percent,
                $low,
            ),
            abs($percent) < self::NO_RESPONSE_PERCENT - Numbers::TOLERANCE => new Finding(
                FindingCode::NoResponse,
                Severity::Fail,
                $percent,
                $low,
            ),
            !Numbers::atLeast($percent, $low) => new Finding(FindingCode::SlopeLow, Severity::Fail, $percent, $low),
            !Numbers::atMost($percent, $high + self::HIGH_MARGIN_PERCENT) => new Finding(
                FindingCode::SlopeHigh,
                Severity::Fail,
                $percent,
                $high,
            ),
            !Numbers::atMost($percent, $high) => new Finding(FindingCode::SlopeHigh, Severity::Caution, $percent, $high),
            Numbers::atMost($percent, $low + self::NEAR_LOW_PERCENT) => new Finding(
                FindingCode::SlopeNearLow,
                Severity::Caution,
                $percent,
                $low,
            ),
            default => null,
        };
    }

    private static function offset(float $mv, Criteria $criteria): ?Finding
    {
        return $criteria->offsetMv !== null && !Numbers::atMost(abs($mv), $criteria->offsetMv)
            ? new Finding(FindingCode::OffsetOff, Severity::Fail, $mv, $criteria->offsetMv)
            : null;
    }

    /** @return list<Finding> */
    private static function position(CalibrationFit $fit, Criteria $criteria): array
    {
        $found = [];
        $zero = $fit->zeroPointPh();
        if ($criteria->zeroPointPh !== null && ($zero === null || Numbers::atLeast(abs($zero - 7), $criteria->zeroPointPh))) {
            $found[] = new Finding(FindingCode::ZeroPointOff, Severity::Fail, $zero, $criteria->zeroPointPh);
        } elseif (
            $criteria->zeroPointPh !== null
            && Numbers::atLeast(abs($zero - 7), $criteria->zeroPointPh - min(self::NEAR_ZERO_PH, $criteria->zeroPointPh / 2))
        ) {
            $found[] = new Finding(FindingCode::ZeroPointNear, Severity::Caution, $zero, $criteria->zeroPointPh);
        }
        $found[] = self::offset($fit->neutral()->offsetMv, $criteria);
        $residual = $fit->largestResidual();
        if ($criteria->residualPh !== null && $residual !== null && !Numbers::atMost($residual, $criteria->residualPh)) {
            $found[] = new Finding(FindingCode::ResidualHigh, Severity::Fail, $residual, $criteria->residualPh);
        }

        return array_values(array_filter($found));
    }

    /**
     * @param list<CalibrationPoint> $points
     *
     * @return list<Finding>
     */
    public static function responseTime(array $points, Criteria $criteria): array
    {
        $slowest = max([0.0, ...array_map(static fn(CalibrationPoint $point): float => $point->responseTimeS ?? 0.0, $points)]);
        $limit = $criteria->responseTimeS;
        if ($limit === null || Numbers::atMost($slowest, $limit)) {
            return [];
        }

        return [
            new Finding(
                FindingCode::ResponseSlow,
                Numbers::atMost($slowest, 2 * $limit) ? Severity::Caution : Severity::Fail,
                $slowest,
                $limit,
            ),
        ];
    }

    /**
     * Points that were taken before they stood still.
     *
     * @param list<CalibrationPoint> $points
     *
     * @return list<Finding>
     */
    public static function rest(array $points): array
    {
        $restless = array_filter($points, static fn(CalibrationPoint $point): bool => !$point->settled);
        if ($restless === []) {
            return [];
        }
        $moved = max([0.0, ...array_map(static fn(CalibrationPoint $point): float => $point->movedPh ?? 0.0, $restless)]);
        $fails = count($restless) >= self::UNSETTLED_FAILS_FROM || !Numbers::atMost($moved, self::MOVED_PH);

        return [new Finding(FindingCode::Unsettled, $fails ? Severity::Fail : Severity::Caution, (float) count($restless), $moved)];
    }

    /**
     * What the choice of buffers says, whatever the electrode made of them.
     *
     * @param list<CalibrationPoint> $points
     *
     * @return list<Finding>
     */
    public static function points(array $points): array
    {
        $found = [];
        $buffers = array_column($points, 'bufferPh');
        $temperatures = array_column($points, 'celsius');
        if (count($buffers) === 1) {
            $found[] = new Finding(FindingCode::OnePoint, Severity::Caution);
        }
        if (count($buffers) === 2 && !Numbers::atLeast(max($buffers) - min($buffers), Criteria::LEAST_SPAN_PH)) {
            $found[] = new Finding(FindingCode::SpanShort, Severity::Caution, max($buffers) - min($buffers), Criteria::LEAST_SPAN_PH);
        }
        $spread = $temperatures === [] ? 0.0 : max($temperatures) - min($temperatures);
        if (!Numbers::atMost($spread, self::TEMPERATURE_SPREAD_C)) {
            $found[] = new Finding(FindingCode::TemperatureSpread, Severity::Caution, $spread, self::TEMPERATURE_SPREAD_C);
        }

        return $found;
    }

    /**
     * @param list<float|null> $errors
     *
     * @return list<Finding>
     */
    public static function checks(array $errors, float $limit): array
    {
        if ($errors === []) {
            return [new Finding(FindingCode::NoCheck, Severity::Note)];
        }
        $worst = max(array_map(static fn(?float $error): float => abs($error ?? 0.0), $errors));

        return Numbers::atMost($worst, $limit) ? [] : [new Finding(FindingCode::CheckFailed, Severity::Fail, $worst, $limit)];
    }
}
