<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/** A calibration that a meter did for itself, judged by what it shows afterwards. */
final readonly class JudgedShownCalibration
{
    /**
     * @param list<Finding> $findings
     * @param float|null $worstError of the read-backs, signed; null where none was read
     */
    private function __construct(public Verdict $verdict, public array $findings, public ?float $worstError) {}

    /**
     * @param list<CalibrationPoint> $points the buffers, potentials unknown and left at 0
     * @param list<float> $errors pH shown minus buffer pH, of each read-back
     */
    public static function of(array $points, array $errors, Criteria $criteria, float $limitPh): self
    {
        $findings = JudgedCalibration::sorted([
            ...JudgedCalibration::responseTime($points, $criteria),
            ...JudgedCalibration::rest($points),
            ...JudgedCalibration::points($points),
            ...JudgedCalibration::checks($errors, $limitPh),
        ]);

        usort($errors, static fn(float $a, float $b): int => abs($b) <=> abs($a));

        return new self(Verdict::of($findings), $findings, $errors[0] ?? null);
    }
}
