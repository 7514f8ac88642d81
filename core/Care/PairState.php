<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

use Rheacid\Core\Limits\ReleaseBlock;

/** What a pair of meter and electrode is fit for at a moment. */
enum PairState: string
{
    case Ready = 'ready';

    /** Calibrated with a caution: usable today. */
    case UseWithCare = 'use-with-care';
    case Uncalibrated = 'uncalibrated';
    case Overdue = 'overdue';

    /** Something happened to it since the calibration. */
    case Due = 'due';

    /** The readings or the session that the calibration was for are over. */
    case Spent = 'spent';

    /** Wet in storage solution, to be calibrated before it is used. */
    case Stored = 'stored';
    case Retired = 'retired';

    /** The newest calibration failed; the one before it is never revived. */
    case Failed = 'failed';

    /** The newest calibration was voided, or an abandoned run found it off. */
    case Doubtful = 'doubtful';
    case Soaking = 'soaking';
    case OutOfUse = 'out-of-use';

    public function isInForce(): bool
    {
        return $this === self::Ready || $this === self::UseWithCare;
    }

    public function block(): ?ReleaseBlock
    {
        return match ($this) {
            self::Ready, self::UseWithCare => null,
            self::Uncalibrated, self::Doubtful => ReleaseBlock::CalibrationDoubtful,
            self::Overdue, self::Due, self::Spent, self::Stored => ReleaseBlock::CalibrationOverdue,
            self::Failed => ReleaseBlock::CalibrationFailed,
            self::Soaking => ReleaseBlock::ElectrodeSoaking,
            self::OutOfUse, self::Retired => ReleaseBlock::ElectrodeOutOfUse,
        };
    }
}
