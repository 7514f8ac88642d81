<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

use Rheacid\Core\Numbers;

/** Why a reading, whatever its value, cannot release a batch. Common practice, no source. */
enum ReleaseBlock: string
{
    case OnePointCalibration = 'one-point-calibration';
    case CalibrationFailed = 'calibration-failed';
    case CalibrationOverdue = 'calibration-overdue';
    case CalibrationDoubtful = 'calibration-doubtful';
    case ElectrodeSoaking = 'electrode-soaking';
    case ElectrodeOutOfUse = 'electrode-out-of-use';
    case FarBelowBracket = 'far-below-bracket';
    case AboveBracket = 'above-bracket';
    case ThermometerOverdue = 'thermometer-overdue';
    case ThermometerFailed = 'thermometer-failed';
    case ThermometerNotCovering = 'thermometer-not-covering';
    case SampleTemperature = 'sample-temperature';
    case CheckBufferMissing = 'check-buffer-missing';
    case CheckBufferFailed = 'check-buffer-failed';

    /** Dipped into, or made up with tap water. */
    case SolutionBarred = 'solution-barred';

    /** What a reading where the buffers do not reach leaves behind. */
    public const OUT_OF_BRACKET = [self::FarBelowBracket, self::AboveBracket];

    private const FAR_BELOW_PH = 1.0;

    /** @return list<self> what a pH outside the calibrated bracket blocks: more than 1.0 below it, or anything above it */
    public static function outside(float $ph, float $bracketLow, float $bracketHigh): array
    {
        return match (true) {
            $ph > $bracketHigh + Numbers::TOLERANCE => [self::AboveBracket],
            $ph < $bracketLow - self::FAR_BELOW_PH - Numbers::TOLERANCE => [self::FarBelowBracket],
            default => [],
        };
    }
}
