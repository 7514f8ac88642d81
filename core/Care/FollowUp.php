<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

use Rheacid\Core\Electrode\Diagnosis;

/** What a diagnosis calls for, and which of it is left to do. Common practice, no source. */
final class FollowUp
{
    /**
     * @param Diagnosis|null $beside a second fault
     *
     * @return list<CareStep> in the order in which they are done
     */
    public static function of(Diagnosis $diagnosis, ElectrodeKind $kind, ?Diagnosis $beside = null): array
    {
        $asked = [...self::steps($diagnosis), ...$beside === null ? [] : self::steps($beside)];

        return array_values(
            array_filter(
                CareStep::cases(),
                static fn(CareStep $step): bool => in_array($step, $asked, true)
                    && match ($step) {
                        // What is replaced needs no care before.
                        CareStep::Replace => true,
                        CareStep::Refill => !in_array(CareStep::Replace, $asked, true) && $kind->hasFillHole() !== false,
                        default => !in_array(CareStep::Replace, $asked, true),
                    },
            ),
        );
    }

    /** @return list<CareStep> */
    private static function steps(Diagnosis $diagnosis): array
    {
        return match ($diagnosis) {
            // Fresh buffers take minutes and tell tired ones from the glass; the cleaning then tells coated from worn.
            Diagnosis::Coated => [CareStep::FreshBuffers, CareStep::Clean, CareStep::SoakHour, CareStep::Calibrate],
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
     * @param list<CareStep> $steps what a diagnosis calls for
     * @param list<CareKind> $done what the care log holds since the diagnosis
     */
    public static function next(array $steps, array $done): ?CareStep
    {
        foreach ($steps as $step) {
            $by = $step->doneBy();
            if ($step === CareStep::Replace || ($by !== null && !in_array($by, $done, true))) {
                return $step;
            }
        }

        return null;
    }
}
