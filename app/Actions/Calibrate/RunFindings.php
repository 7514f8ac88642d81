<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Electrode\Finding;
use Rheacid\Core\Electrode\FindingCode;
use Rheacid\Core\Electrode\RunDoubts;
use Rheacid\Core\Electrode\Severity;
use Rheacid\Core\Measuring\Source;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationRun;
use Rheacid\Queries\Calibrate\RunFits;
use Rheacid\Queries\Ready\CareLog;

/** Gathers what a run says about itself beside its points: the time between them, a jump since the last one, cup and temperature. */
final class RunFindings
{
    /** @return list<Finding> */
    public static function of(CalibrationRun $run, CarbonImmutable $now): array
    {
        $sound = RunFits::lastSound($run, $now);

        return array_values(
            array_filter([
                $run->source === Source::Imported
                    ? null
                    : RunDoubts::apart(
                        array_values(
                            $run->points
                                ->map(static fn(CalibrationPoint $point): CarbonImmutable => CarbonImmutable::instance($point->at))
                                ->all(),
                        ),
                    ),
                self::twin($run),
                self::temperature($run, $sound),
                ...self::changes($run, $sound),
            ]),
        );
    }

    private static function twin(CalibrationRun $run): ?Finding
    {
        $doubted = $run->points->first(static fn(CalibrationPoint $point): bool => $point->twin !== null);

        return $doubted === null ? null : new Finding(FindingCode::NearTwin, Severity::Caution, $doubted->buffer_ph, $doubted->twin_ph);
    }

    /** A verified thermometer read the buffers, or the electrode does what it did in a run whose temperature is known. */
    private static function temperature(CalibrationRun $run, ?Calibration $sound): ?Finding
    {
        $isRead = $run->points->every(
            static fn(CalibrationPoint $point): bool => !$point->isFitted()
                || $point->verification?->facts($point->at)->blocks($point->celsius) === [],
        );

        return $isRead || $sound?->fitted()?->hasMeasuredSlope() === true
            ? null
            : new Finding(FindingCode::TemperatureUnchecked, Severity::Note);
    }

    /** @return list<Finding> */
    private static function changes(CalibrationRun $run, ?Calibration $sound): array
    {
        $new = RunFits::new($run);
        if ($new === null || $sound === null) {
            return [];
        }
        $cleaned = CareLog::of($run->pair->electrode)->last(CareKind::Cleaned);

        return RunDoubts::changes($new, $sound->fitted(), $cleaned !== null && $cleaned->at > $sound->at);
    }
}
