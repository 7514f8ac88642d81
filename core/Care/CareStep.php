<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

/** One step towards an electrode that can be used again, in the order in which they are done. */
enum CareStep: string
{
    case Inspect = 'inspect';
    case FreshBuffers = 'fresh-buffers';
    case Clean = 'clean';
    case Refill = 'refill';
    case SoakHour = 'soak-hour';
    case Soak = 'soak';
    case Calibrate = 'calibrate';
    case Replace = 'replace';

    /** What in the care log shows that the step was done; null where the next calibration shows it. */
    public function doneBy(): ?CareKind
    {
        return match ($this) {
            self::Clean => CareKind::Cleaned,
            self::SoakHour, self::Soak => CareKind::Soak,
            self::Refill => CareKind::Refilled,
            self::Inspect => CareKind::Inspected,
            self::FreshBuffers, self::Calibrate, self::Replace => null,
        };
    }
}
