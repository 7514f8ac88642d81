<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

use Rheacid\Core\Electrode\Diagnosis;

/** What a diagnosis calls for, and which of it is left to do. Common practice, no source. */
final class FollowUp
{
    /** @return list<CareStep> in the order in which it is done, before it is calibrated again */
    public static function of(Diagnosis $diagnosis): array
    {
        return match ($diagnosis) {
            Diagnosis::Coated => [CareStep::Clean, CareStep::SoakHour, CareStep::Calibrate],
            Diagnosis::Aged => [CareStep::Replace],
            Diagnosis::Poisoned => [CareStep::Refill, CareStep::SoakHour, CareStep::Calibrate],
            Diagnosis::Broken => [CareStep::Inspect, CareStep::Calibrate],
            Diagnosis::Restless => [CareStep::Soak, CareStep::Calibrate],
            Diagnosis::OtherFamily, Diagnosis::Swapped => [CareStep::Calibrate],
            Diagnosis::TiredBuffers, Diagnosis::AlkalineBuffer => [CareStep::FreshBuffers, CareStep::Calibrate],
        };
    }

    /**
     * The first step that nobody has done since; null where nothing is left but to calibrate.
     *
     * @param list<CareKind> $done what the care log holds since the diagnosis
     */
    public static function next(?Diagnosis $diagnosis, array $done): ?CareStep
    {
        foreach ($diagnosis === null ? [] : self::of($diagnosis) as $step) {
            $by = $step->doneBy();
            if ($step === CareStep::Replace || ($by !== null && !in_array($by, $done, true))) {
                return $step;
            }
        }

        return null;
    }
}
