<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

use Rheacid\Core\Inconsistent;
use Rheacid\Core\Maths\LeastSquares;
use Rheacid\Core\Maths\NonlinearFit;
use Rheacid\Core\Maths\StudentT;
use Rheacid\Core\Numbers;

/**
 * When a falling pH will have reached a target beyond its uncertainty, and whether that is in time.
 *
 * Six readings or more are read as a falling sigmoid, lo + (hi − lo)/(1 + exp((t − m)/s)), with a 90 % interval by the
 * delta method and Student t (n − 4); fewer, or readings that no sigmoid fits, as the line through the last three.
 * That acid ferments fall this way is common practice, no source.
 */
final readonly class Forecast
{
    private const SIGMOID_FROM = 6;
    private const LINE_FROM = 3;
    private const CONFIDENCE = 0.90;

    /** With so few readings the interval is trusted only when it ends well before the deadline. Common practice, no source. */
    private const FEW = 7;
    private const FEW_SHARE = 0.8;

    /**
     * @param float|null $etaH hours, on the readings' clock; null where nothing can be told
     * @param float|null $lowH earliest of the 90 % interval
     * @param float|null $highH latest of the 90 % interval
     * @param ForecastVerdict|null $verdict null without a deadline
     * @param float $goal pH that a reading must come down to: the target less the uncertainty
     * @param float|null $withinH the deadline
     */
    private function __construct(
        public ForecastModel $model,
        public ?float $etaH,
        public ?float $lowH,
        public ?float $highH,
        public ?ForecastVerdict $verdict,
        public float $goal,
        public ?float $withinH,
    ) {}

    /**
     * @param non-empty-list<array{float, float}> $readings [hours, pH], times strictly increasing
     * @param float $target pH at most
     * @param float $expandedU of a reading, pH: the target is met only beyond it
     * @param float|null $withinH the deadline, hours
     *
     * @throws Inconsistent if the times do not strictly increase
     */
    public static function of(array $readings, float $target, float $expandedU = 0.0, ?float $withinH = null): self
    {
        for ($i = 1; $i < count($readings); $i++) {
            if ($readings[$i][0] <= $readings[$i - 1][0]) {
                throw Inconsistent::because('Times must strictly increase.', "readings[$i]");
            }
        }
        $goal = $target - $expandedU;
        $last = $readings[count($readings) - 1][0];
        $metAt = self::metAt($readings, $goal);
        if ($metAt !== null) {
            return new self(ForecastModel::Line, $metAt, $metAt, $metAt, $withinH === null ? null : (Numbers::atMost($metAt, $withinH) ? ForecastVerdict::Met : ForecastVerdict::Late), $goal, $withinH);
        }
        [$model, $eta, $low, $high] = self::sigmoid($readings, $goal) ?? self::line($readings, $goal);

        return new self($model, $eta, $low, $high, match (true) {
            $withinH === null => null,
            $last > $withinH + Numbers::TOLERANCE => ForecastVerdict::Late,
            $high !== null && Numbers::atMost($high, (count($readings) <= self::FEW ? self::FEW_SHARE : 1.0) * $withinH) => ForecastVerdict::OnTrack,
            default => ForecastVerdict::AtRisk,
        }, $goal, $withinH);
    }

    /** Whether a reading has come down to it already, in time or not. */
    public function isReached(): bool
    {
        return $this->lowH !== null && $this->model === ForecastModel::Line;
    }

    /** @param non-empty-list<array{float, float}> $readings */
    private static function metAt(array $readings, float $goal): ?float
    {
        foreach ($readings as $i => [$hours, $ph]) {
            if (Numbers::atMost($ph, $goal)) {
                if ($i === 0) {
                    return $hours;
                }
                [$before, $above] = $readings[$i - 1];

                return min($hours, $before + ($above - $goal) / ($above - $ph) * ($hours - $before));
            }
        }

        return null;
    }

    /**
     * @param non-empty-list<array{float, float}> $readings
     *
     * @return array{ForecastModel, float, float, float}|null
     */
    private static function sigmoid(array $readings, float $goal): ?array
    {
        $count = count($readings);
        $fit = $count < self::SIGMOID_FROM ? null : self::fit($readings);
        if ($fit === null) {
            return null;
        }
        [$low, $high, $middle, $scale] = $fit->parameters;
        if ($goal <= $low || $goal >= $high) {
            return null;
        }
        $eta = $middle + $scale * log(($high - $goal) / ($goal - $low));
        $half = StudentT::quantile((1 + self::CONFIDENCE) / 2, $count - 4) * $fit->standardError([
            $scale / ($goal - $low),
            $scale / ($high - $goal),
            1.0,
            ($eta - $middle) / $scale,
        ]);

        return [ForecastModel::FallingSigmoid, $eta, $eta - $half, $eta + $half];
    }

    /**
     * The best of several starts: how far down and how far along the ferment is, is not known beforehand.
     *
     * @param non-empty-list<array{float, float}> $readings
     */
    private static function fit(array $readings): ?NonlinearFit
    {
        $hours = array_column($readings, 0);
        $ph = array_column($readings, 1);
        $span = $hours[count($hours) - 1] - $hours[0];
        $drop = max($ph) - min($ph);
        $best = null;
        foreach ([0.02, 0.8] as $below) {
            foreach ([0.4, 0.9] as $along) {
                $fit = NonlinearFit::of($hours, $ph, self::curve(...), [min($ph) - $below * $drop, max($ph) + 0.02 * $drop, $hours[0] + $along * $span, $span / 6]);
                if ($fit !== null && self::falls($fit) && ($best === null || $fit->squares < $best->squares)) {
                    $best = $fit;
                }
            }
        }

        return $best;
    }

    private static function falls(NonlinearFit $fit): bool
    {
        [$low, $high, , $scale] = $fit->parameters;

        return $low < $high && $scale > 0;
    }

    /**
     * @param list<float> $at lowest pH, highest pH, hours at the middle, hours of scale
     *
     * @return array{float, list<float>}
     */
    private static function curve(array $at, float $hours): array
    {
        [$low, $high, $middle, $scale] = $at;
        $share = 1 / (1 + exp(min(700.0, max(-700.0, ($hours - $middle) / $scale))));
        $steep = ($high - $low) * $share * (1 - $share) / $scale;

        return [$low + ($high - $low) * $share, [1 - $share, $share, $steep, $steep * ($hours - $middle) / $scale]];
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

        return $line === null || $line->slope >= 0 ? [ForecastModel::None, null, null, null] : [ForecastModel::Line, ($goal - $line->intercept) / $line->slope, null, null];
    }
}
