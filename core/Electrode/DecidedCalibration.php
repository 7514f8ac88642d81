<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/** What a completed run gives: its verdict with all that was found, and the figures that stand on the calibration. */
final readonly class DecidedCalibration
{
    /** A last segment that begins here or above has a slope of its own on the alkaline side. */
    private const ALKALINE_FROM_PH = 6.5;

    /**
     * @param list<Finding> $findings each code once, in the order in which it is told
     * @param float|null $slopePercent the lowest of its segments; null with one buffer, or where the meter tells none
     * @param float|null $alkalineSlopePercent above pH 7, where that side has its own line
     * @param float|null $readBackErrorPh pH read minus buffer pH
     */
    private function __construct(
        public ?FitMethod $fit,
        public Verdict $verdict,
        public array $findings,
        public ?float $slopePercent,
        public ?float $alkalineSlopePercent,
        public ?Diagnosis $diagnosis,
        public ?float $offsetMv,
        public ?float $zeroPointPh,
        public float $bracketLowPh,
        public float $bracketHighPh,
        public ?float $readBackErrorPh,
    ) {}

    /**
     * By our own fit through the potentials.
     *
     * @param list<CalibrationPoint> $readBacks buffers that were read but not fitted
     * @param list<Finding> $doubts what the run says about itself beside its points
     */
    public static function byFit(
        CalibrationFit $fit,
        array $readBacks,
        Criteria $criteria,
        float $readBackLimitPh,
        bool $isRestless,
        ElectrodePast $past,
        array $doubts,
    ): self {
        $judged = JudgedCalibration::of($fit, $criteria, $readBacks, $readBackLimitPh);
        $findings = JudgedCalibration::sorted([...$judged->findings, ...$doubts]);
        $last = $fit->segments[count($fit->segments) - 1];
        [$low, $high] = $fit->bracket();

        return new self(
            $fit->method,
            Verdict::of($findings),
            $findings,
            count($fit->points) > 1 ? min(array_map(static fn(Segment $segment): float => $segment->percent(), $fit->segments)) : null,
            count($fit->segments) > 1 && $last->fromPh >= self::ALKALINE_FROM_PH ? $last->percent() : null,
            Diagnosis::of($fit, $criteria, $isRestless, $past),
            $fit->neutral()->offsetMv,
            $fit->zeroPointPh(),
            $low,
            $high,
            $judged->checkErrors[0] ?? null,
        );
    }

    /**
     * By what a meter shows after it has calibrated itself.
     *
     * @param list<CalibrationPoint> $points the buffers, potentials unknown and left at 0
     * @param list<float> $errors pH shown minus buffer pH, of each read-back
     * @param list<Finding> $doubts what the run says about itself beside its points
     */
    public static function byMeter(
        array $points,
        array $errors,
        ?float $slopePercent,
        ?float $offsetMv,
        Criteria $criteria,
        float $readBackLimitPh,
        array $doubts,
    ): self {
        $judged = JudgedShownCalibration::of($points, $errors, $criteria, $readBackLimitPh);
        $findings = JudgedCalibration::sorted([...$judged->findings, ...$doubts]);
        $buffers = array_column($points, 'bufferPh');

        return new self(
            null,
            Verdict::of($findings),
            $findings,
            $slopePercent,
            null,
            null,
            $offsetMv,
            null,
            min([...$buffers, INF]),
            max([...$buffers, -INF]),
            $judged->worstError,
        );
    }
}
