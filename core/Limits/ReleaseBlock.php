<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

use Rheacid\Core\Numbers;

/** Why a portion, whatever its value, proves nothing, or nothing against some limits. Common practice, no source. */
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
    case Unsettled = 'unsettled';
    case Simulated = 'simulated';
    case ThermometerOverdue = 'thermometer-overdue';
    case ThermometerFailed = 'thermometer-failed';
    case ThermometerNotCovering = 'thermometer-not-covering';
    /** Nobody said how the ice bath of the thermometer's check was made. */
    case BathUntold = 'bath-untold';
    case SampleTemperature = 'sample-temperature';

    /** The method asks for another kind of electrode. */
    case ElectrodeUnsuited = 'electrode-unsuited';

    /** Nobody knows how far so much water shifts this food. */
    case DilutionUnknown = 'dilution-unknown';

    /** Nobody knows how far so much salt, alcohol or fat, or so few ions, shift a reading. */
    case MatrixUnknown = 'matrix-unknown';

    /** Carbon dioxide was still in it: the portion after it read otherwise. */
    case Gassy = 'gassy';
    case ControlCheckMissing = 'control-check-missing';
    case ControlCheckFailed = 'control-check-failed';

    /** Dipped into, or made up with tap water. */
    case SolutionBarred = 'solution-barred';

    /** A point of the calibration was taken before it stood still, or a buffer or the temperature is in doubt. */
    case CalibrationUncertain = 'calibration-uncertain';

    /** Too much time lay between two points of the calibration. */
    case PointsApart = 'points-apart';

    /** A buffer of the calibration may be its near twin. */
    case NearTwin = 'near-twin';

    /** The buffers of the calibration or their temperature are in question. */
    case BuffersInQuestion = 'buffers-in-question';

    /** It stood before it was typed, so nobody watched it: that is only said. */
    case StabilitySaid = 'stability-said';

    /** A place that the method asks for was not measured. */
    case PlaceMissing = 'place-missing';

    /** Equilibrium was declared, but the parts do not agree, or not for a day. */
    case EquilibriumNotProven = 'equilibrium-not-proven';

    /** From elsewhere, and the policy does not name the source. */
    case SourceNotNamed = 'source-not-named';

    /** The titrant was not standardised, or long ago: it has grown weaker, and the acid reads high. */
    case TitrantStale = 'titrant-stale';

    /** The calibration does not reach the endpoint of the titration. */
    case EndpointOutsideBracket = 'endpoint-outside-bracket';

    /** The endpoint was guessed between two points far apart. */
    case CurveCoarse = 'curve-coarse';

    /** One titration alone, or several that do not agree. */
    case NotDuplicated = 'not-duplicated';

    /** Two instruments contradict one another, and no third has read it. */
    case SecondDiffers = 'second-differs';

    public const FAR_BELOW_PH = 1.0;

    /** Whether it keeps a portion from proving critical and legal limits only. */
    public function isForBindingLimits(): bool
    {
        return in_array(
            $this,
            [
                self::ControlCheckMissing,
                self::ControlCheckFailed,
                self::SolutionBarred,
                self::CalibrationUncertain,
                self::PointsApart,
                self::NearTwin,
                self::BuffersInQuestion,
                self::StabilitySaid,
                self::BathUntold,
                self::PlaceMissing,
                self::SourceNotNamed,
                self::TitrantStale,
                self::EndpointOutsideBracket,
                self::CurveCoarse,
                self::NotDuplicated,
            ],
            true,
        );
    }

    /** Whether it keeps a portion from proving limits at equilibrium only. */
    public function isForEquilibrium(): bool
    {
        return $this === self::EquilibriumNotProven;
    }

    /** @return list<self> what a pH outside the calibrated bracket blocks: more than 1.0 below it, or anything above it */
    public static function outside(float $ph, float $bracketLow, float $bracketHigh): array
    {
        return match (true) {
            $ph > $bracketHigh + Numbers::TOLERANCE => [self::AboveBracket],
            $ph < $bracketLow - self::FAR_BELOW_PH - Numbers::TOLERANCE => [self::FarBelowBracket],
            default => [],
        };
    }

    /**
     * The names of the limits that portions with such blocks cannot prove, though they are trusted.
     *
     * @param list<self> $blocks
     * @param list<ProductLimit> $limits
     *
     * @return list<string>
     */
    public static function provesNot(array $blocks, array $limits): array
    {
        $isForBinding = array_filter($blocks, static fn(self $block): bool => $block->isForBindingLimits()) !== [];
        $isForEquilibrium = array_filter($blocks, static fn(self $block): bool => $block->isForEquilibrium()) !== [];
        $names = [];
        foreach ($limits as $limit) {
            if (($isForBinding && $limit->limit->kind->binds()) || ($isForEquilibrium && $limit->applies === Applies::Equilibrium)) {
                $names[] = $limit->limit->name;
            }
        }

        return $names;
    }

    /** @param list<self> $blocks */
    public static function leavesTrust(array $blocks): bool
    {
        return array_filter($blocks, static fn(self $block): bool => !$block->isForBindingLimits() && !$block->isForEquilibrium()) === [];
    }
}
