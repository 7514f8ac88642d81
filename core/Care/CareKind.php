<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

/** What is done to an electrode, or happens to it. */
enum CareKind: string
{
    case Soak = 'soak';
    case Cleaned = 'cleaned';
    case Refilled = 'refilled';
    case Inspected = 'inspected';
    case ToppedUp = 'topped-up';
    case Stored = 'stored';

    /** Counted and looked at before or after food: whole. */
    case GlassWhole = 'glass-whole';
    case Sanitised = 'sanitised';

    case Dropped = 'dropped';
    case DriedOut = 'dried-out';
    case WrongStorage = 'wrong-storage';
    case Battery = 'battery';
    case Repaired = 'repaired';
    case Broken = 'broken';

    case OutOfUse = 'out-of-use';
    case BackInUse = 'back-in-use';
    case Retired = 'retired';

    /** @return non-empty-list<self> what is logged as having happened, not as having been done */
    public static function incidents(): array
    {
        return [self::Dropped, self::DriedOut, self::WrongStorage, self::Battery, self::Repaired, self::Broken];
    }

    /** @return non-empty-list<self> what keeps glass, germs and allergens out of food */
    public static function hygiene(): array
    {
        return [self::GlassWhole, self::Sanitised];
    }

    /** Whether the calibration before it can no longer be trusted. Common practice, no source. */
    public function makesCalibrationDue(): bool
    {
        return in_array($this, [self::Cleaned, self::Refilled, ...self::incidents()], true);
    }

    /** Whether the electrode must not be used after it until it is taken back. */
    public function takesOutOfUse(): bool
    {
        return in_array($this, [self::OutOfUse, self::Broken, self::Retired], true);
    }
}
