<?php

declare(strict_types=1);

namespace Rheacid\Core\Forecast;

use Rheacid\Core\Maths\LeastSquares;
use Rheacid\Core\Numbers;
use Rheacid\Core\TimesNotIncreasing;

/**
 * When a falling pH will have reached a target beyond its uncertainty, and whether that is in time.
 *
 * Six readings or more are read as a falling sigmoid with a 90 % interval by the delta method and Student t (n − 4); fewer,
 * or readings that no sigmoid tells, as the line through the last three. That acid ferments fall this way is common
 * practice, no source.
 */
final readonly class Forecast
{
    private const SIGMOID_FROM = 6;
    private const LINE_FROM = 3;

    /** With so few readings the interval is trusted only when it ends well before the deadline. Common practice, no source. */
    private const FEW = 7;
    private const FEW_SHARE = 0.8;

    /**
     * @param float|null $etaH hours, on the readings' clock; null where nothing can be told
     * @param float|null $lowH earliest of the 90 % interval
     * @param float|null $highH latest of the 90 % interval
     * @param float|null $levelsOffPh where the ferment has come to rest above the target
     * @param ForecastVerdict|null $verdict null without a deadline
     * @param float $goal pH that a reading must come down to: the target less the uncertainty
     * @param float|null $withinH the deadline
     */
    public function __construct(
        public ForecastModel $model,
        public ?float $etaH,
        public ?float $lowH,
        public ?float $highH,
        public ?float $levelsOffPh,
        public ?ForecastVerdict $verdict,
        public float $goal,
        public ?float $withinH,
        public bool $isReached,
    ) {}

    /**
     * @param non-empty-list<array{float, float}> $readings [hours, pH], times strictly increasing
     * @param float $target pH at most
     * @param float $expandedU of a reading, pH: the target is met only beyond it
     * @param float|null $withinH the deadline, hours
     * @param float|null $nowH hours; the last reading's if null
     *
     * @throws TimesNotIncreasing
     * @throws NowBeforeLastReading
     */
    public static function of(array $readings, float $target, float $expandedU = 0.0, ?float $withinH = null, ?float $nowH = null): self
    {
        for ($i = 1; $i < count($readings); $i++) {
            if ($readings[$i][0] <= $readings[$i - 1][0]) {
                throw new TimesNotIncreasing($i);
            }
        }
        $last = $readings[count($readings) - 1][0];
        $now = $nowH ?? $last;
        if ($now < $last) {
            throw new NowBeforeLastReading($now, $last);
        }
        $goal = $target - $expandedU;
        $decides = self::deciding($readings, $goal);
        if ($decides !== null) {
            $eta = self::crossing($readings, $decides, $goal);
            $verdict
                = $withinH === null
                    ? null
                    : (Numbers::atMost($readings[$decides][0], $withinH)
                        ? ForecastVerdict::Met
                        : ForecastVerdict::Late);

            return new self(ForecastModel::Line, $eta, $eta, $eta, null, $verdict, $goal, $withinH, true);
        }
        $sigmoid = count($readings) < self::SIGMOID_FROM ? null : FallingSigmoid::through($readings);
        $isStuck = $sigmoid !== null && $goal < $sigmoid->low - $sigmoid->lowHalfWidth();
        [$model, $eta, $low, $high] = $isStuck
            ? [ForecastModel::None, null, null, null]
            : self::sigmoid($sigmoid, $readings, $goal) ?? self::line($readings, $goal);

        return new self(
            $model,
            $eta,
            $low,
            $high,
            $isStuck ? $sigmoid->low : null,
            match (true) {
                $withinH === null => null,
                !Numbers::atMost($now, $withinH) => ForecastVerdict::Late,
                $high !== null && Numbers::atMost($high, (count($readings) <= self::FEW ? self::FEW_SHARE : 1.0) * $withinH)
                    => ForecastVerdict::OnTrack,
                default => ForecastVerdict::AtRisk,
            },
            $goal,
            $withinH,
            false,
        );
    }

    /**
     * The first reading at or below the goal after which none exceeds it.
     *
     * @param non-empty-list<array{float, float}> $readings
     */
    private static function deciding(array $readings, float $goal): ?int
    {
        $decides = null;
        for ($i = count($readings) - 1; $i >= 0 && Numbers::atMost($readings[$i][1], $goal); $i--) {
            $decides = $i;
        }

        return $decides;
    }

    /** @param non-empty-list<array{float, float}> $readings */
    private static function crossing(array $readings, int $decides, float $goal): float
    {
        [$hours, $ph] = $readings[$decides];
        if ($decides === 0) {
            return $hours;
        }
        [$before, $above] = $readings[$decides - 1] ?? $readings[0];

        return min($hours, $before + (($above - $goal) / ($above - $ph)) * ($hours - $before));
    }

    /**
     * @param non-empty-list<array{float, float}> $readings
     *
     * @return array{ForecastModel, float, float, float}|null null where the readings do not tell
     */
    private static function sigmoid(?FallingSigmoid $fit, array $readings, float $goal): ?array
    {
        if ($fit === null || $goal <= $fit->low || $goal >= $fit->high) {
            return null;
        }
        $eta = $fit->reaches($goal);
        $half = $fit->halfWidthAt($goal);
        if ($eta < $readings[count($readings) - 1][0] || !Numbers::atMost(2 * $half, $eta - $readings[0][0])) {
            return null;
        }

        return [ForecastModel::FallingSigmoid, $eta, $eta - $half, $eta + $half];
    }

    /**
     * @param non-empty-list<array{float, float}> $readings
     *
     * @return array{ForecastModel, float|null, null, null}
     */
    private static function line(array $readings, float $goal): array
    {
        $last = array_slice($readings, -self::LINE_FROM);
        $line = count($last) < self::LINE_FROM ? null : LeastSquares::line(array_column($last, 0), array_column($last, 1));
        $eta = $line === null || $line->slope >= 0 ? null : ($goal - $line->intercept) / $line->slope;

        return $eta === null || $eta < $last[count($last) - 1][0]
            ? [ForecastModel::None, null, null, null]
            : [ForecastModel::Line, $eta, null, null];
    }
}
