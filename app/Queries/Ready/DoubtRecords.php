<?php

declare(strict_types=1);

namespace Rheacid\Queries\Ready;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\ControlCheckStatus;
use Rheacid\Core\Measuring\CalibrationDoubts;
use Rheacid\Core\Measuring\Confirmation;
use Rheacid\Core\Measuring\DoubtedPoint;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\ControlCheck;

/** Gathers from the records what is in doubt about a calibration, and which check buffers agreed with it. */
final class DoubtRecords
{
    /** Of a calibration no more are read. */
    private const NEWEST = 40;

    /** @param CarbonImmutable $at when it was read: a check up to two hours later still speaks for it */
    public static function of(Calibration $calibration, CarbonImmutable $at): CalibrationDoubts
    {
        $found = array_values(
            array_filter(
                array_column($calibration->found(), 'code'),
                static fn($code): bool => in_array($code, CalibrationDoubts::lifted(), true),
            ),
        );
        if ($found === []) {
            return CalibrationDoubts::none();
        }
        $fitted = $calibration->points->filter(static fn(CalibrationPoint $point): bool => $point->isFitted());
        $checks = ControlChecks::counting($calibration)
            ->with(['lot', 'thermometer', 'verification.outcome'])
            ->where('passed', true)
            ->where('at', '<=', $at->addHours(ControlCheckStatus::HOURS))
            ->orderByDesc('at')
            ->limit(self::NEWEST)
            ->get();

        return new CalibrationDoubts(
            $found,
            array_values(
                $fitted
                    ->map(
                        static fn(CalibrationPoint $point): DoubtedPoint => new DoubtedPoint(
                            $point->buffer_ph,
                            $point->lot->family ?? BufferFamily::Any,
                            $point->twin !== null,
                        ),
                    )
                    ->all(),
            ),
            array_values(
                $checks
                    ->map(
                        static fn(ControlCheck $check): Confirmation => new Confirmation(
                            $check->buffer_ph,
                            $check->lot->family ?? BufferFamily::Any,
                            $check->celsius,
                            self::isOtherThermometer($check, $calibration),
                        ),
                    )
                    ->all(),
            ),
        );
    }

    /** Verified then, and not the one that the run trusted. */
    private static function isOtherThermometer(ControlCheck $check, Calibration $calibration): bool
    {
        if ($check->thermometer === null || $check->verification?->facts($check->at)->blocks($check->celsius) !== []) {
            return false;
        }
        $ofRun = $calibration->points->filter(static fn(CalibrationPoint $point): bool => $point->isFitted())->pluck('thermometer_id');
        $isOwnProbe = $check->thermometer->meter_id === $calibration->pair->meter_id;

        return !$ofRun->contains($check->thermometer_id) && !($isOwnProbe && $ofRun->contains(null));
    }
}
