<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/** A calibration that a meter did for itself, judged by what it shows afterwards. */
final readonly class ShownJudgement
{
    /** @param list<Finding> $findings */
    private function __construct(public Verdict $verdict, public array $findings) {}

    /**
     * @param list<CalibrationPoint> $points the buffers, potentials unknown and left at 0
     * @param float|null $readBackError pH shown minus buffer pH; null where none was read
     */
    public static function of(array $points, ?float $readBackError, Criteria $criteria, float $limitPh): self
    {
        $findings = Judgement::sorted([
            ...Judgement::responseTime($points, $criteria),
            ...Judgement::rest($points),
            ...Judgement::points($points),
            ...Judgement::checks($readBackError === null ? [] : [$readBackError], $limitPh),
        ]);

        return new self(Verdict::of($findings), $findings);
    }
}
