<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Batches\SecondInstrument;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\ControlCheckStatus;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Celsius;
use Rheacid\Core\Electrode\RunDoubts;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Measuring\Equilibrium;
use Rheacid\Core\Measuring\SampleDilution;
use Rheacid\Core\Measuring\TitrationFoundation;
use Rheacid\Core\Numbers;

/** States in the words of the bench. */
final class StateWords
{
    /** @param string|null $until a time already said in words */
    public static function pair(PairState $state, ?string $until, ?CareKind $because = null): string
    {
        return match ($state) {
            PairState::Due => 'calibration due: '
                . ($because === null ? 'something happened' : CareWords::happened($because))
                . ' since the last one',
            PairState::Spent => 'calibration due: valid for one use only',
            PairState::Stored => 'stored; calibrate before use',
            PairState::Retired => 'retired',
            PairState::Ready => "ready until $until",
            PairState::UseWithCare => "use with care, until $until",
            PairState::Uncalibrated => 'never calibrated',
            PairState::Overdue => "calibration overdue since $until",
            PairState::Failed => 'out of use: the last calibration failed',
            PairState::Doubtful => 'out of use: the last calibration is in doubt',
            PairState::Soaking => "soaking until $until",
            PairState::OutOfUse => $because === CareKind::Broken ? 'out of use: broken' : 'taken out of use',
        };
    }

    public static function verdict(Verdict $verdict): string
    {
        return match ($verdict) {
            Verdict::Pass => 'pass',
            Verdict::Caution => 'use with care',
            Verdict::Fail => 'fail',
        };
    }

    public static function block(ReleaseBlock $block): string
    {
        return match ($block) {
            ReleaseBlock::OnePointCalibration => 'The calibration uses one buffer, so its uncertainty is unknown. Calibrate with two.',
            ReleaseBlock::CalibrationFailed => 'The last calibration of this pair failed. Calibrate again, or use another pair.',
            ReleaseBlock::CalibrationOverdue => 'The calibration is overdue. Calibrate, then measure again.',
            ReleaseBlock::CalibrationDoubtful => 'The calibration is in doubt. Calibrate, then measure again.',
            ReleaseBlock::ElectrodeSoaking => 'The electrode was still soaking.',
            ReleaseBlock::ElectrodeOutOfUse => 'The electrode is out of use.',
            ReleaseBlock::FarBelowBracket => sprintf(
                'More than %s pH below the lowest buffer. Calibrate with a buffer nearer to the sample.',
                Numbers::fixed(ReleaseBlock::FAR_BELOW_PH, 1),
            ),
            ReleaseBlock::AboveBracket => 'Above the highest buffer. Calibrate with one above the sample.',
            ReleaseBlock::ThermometerOverdue => 'The check of the thermometer is overdue.',
            ReleaseBlock::ThermometerFailed => 'The thermometer failed its last check.',
            ReleaseBlock::BathUntold
                => 'Nobody ticked how the ice bath of the thermometer’s check was made. Check it in a fresh bath and tick how it is made.',
            ReleaseBlock::ThermometerNotCovering => 'The check of the thermometer does not cover this temperature.',
            ReleaseBlock::ControlCheckMissing => sprintf(
                'No check buffer confirms this calibration within %d hours and %d samples. Read one: critical limits need it.',
                ControlCheckStatus::HOURS,
                ControlCheckStatus::SAMPLES,
            ),
            ReleaseBlock::ControlCheckFailed => 'The check buffer failed. Calibrate, then measure again.',
            ReleaseBlock::CalibrationUncertain
                => 'The calibration is usable with care only: a point was not stable, or a buffer or the temperature is in doubt. '
                    . 'Calibrate again before you judge a critical limit.',
            ReleaseBlock::PointsApart => sprintf(
                'Over %d min lay between two points of the calibration. Read a check buffer, or calibrate again without a break.',
                RunDoubts::MINUTES_APART,
            ),
            ReleaseBlock::NearTwin
                => 'A buffer of the calibration may have been its near neighbour. Read a check buffer of the other family, away from the '
                    . 'other points, or calibrate again with the label in view.',
            ReleaseBlock::BuffersInQuestion => sprintf(
                'The buffers of the calibration, or their temperature, are in question. Read a check buffer about as far from pH 7 as the '
                    . 'sample, with its temperature taken in the cup by another verified thermometer and within %s of the sample.',
                Celsius::by(2),
            ),
            ReleaseBlock::StabilitySaid
                => 'That it was stable was only said, not watched. Read it again: type the number, wait until the ring is full, then '
                    . 'accept.',
            ReleaseBlock::Unsettled => 'It was accepted before it was stable. Read it again and wait.',
            ReleaseBlock::Simulated => 'It was read at the simulated bench, which is practice, not evidence.',
            ReleaseBlock::PlaceMissing => 'The method requires a place that was not measured. Measure it as well.',
            ReleaseBlock::EquilibriumNotProven => sprintf(
                'Equilibrium is not proven: the parts have to agree within %s pH, and two readings a day apart within %s.',
                Equilibrium::PARTS_AGREE_PH,
                Equilibrium::DAYS_AGREE_PH,
            ),
            ReleaseBlock::SourceNotNamed => 'It comes from a source that is not accepted.',
            ReleaseBlock::TitrantStale => sprintf(
                'The titrant was not standardised within %d days. It weakens with time, so the acid reads too high. Standardise it, then '
                    . 'titrate again.',
                TitrationFoundation::DAYS,
            ),
            ReleaseBlock::EndpointOutsideBracket
                => 'The calibration does not reach the endpoint. Calibrate with a buffer above it, then titrate again.',
            ReleaseBlock::CurveCoarse
                => 'The endpoint is between two points more than half a pH apart. Titrate again with smaller steps near it.',
            ReleaseBlock::NotDuplicated => 'Two titrations must agree within 1 % or two digits of the burette. Titrate again.',
            ReleaseBlock::SecondDiffers => sprintf(
                'A second instrument differs by more than %s pH. Nothing is decided until a third has read it.',
                SecondInstrument::DIFFER_PH,
            ),
            ReleaseBlock::SolutionBarred
                => 'The calibration uses a bottle that was dipped into or made up with tap water, which is not allowed for critical '
                    . 'limits. Calibrate with other bottles.',
            ReleaseBlock::Gassy => 'The sample still contained gas: no two portions in a row agree. Degas again and read it again.',
            ReleaseBlock::ElectrodeUnsuited => 'The method asks for another kind of electrode. Measure with one that it suits.',
            ReleaseBlock::MatrixUnknown
                => 'Nobody knows how far so much salt, alcohol or fat, or so few ions, shift a reading. It proves no limit.',
            ReleaseBlock::DilutionUnknown => sprintf(
                'Nobody knows how far so much water shifts this food: %s is the most with a known bound. Dilute less, or try the method '
                    . 'out on three samples.',
                SampleDilution::words(SampleDilution::MOST_PARTS),
            ),
            ReleaseBlock::SampleTemperature => 'The sample was outside the temperature range of the method. Correct it and measure again.',
        };
    }

    /** How long it took to become stable. */
    public static function response(?float $seconds): string
    {
        return match (true) {
            $seconds === null => 'yes',
            $seconds < 1 => 'at once',
            default => Numbers::fixed($seconds, 0) . ' s',
        };
    }

    public static function settled(?float $seconds): string
    {
        return match (true) {
            $seconds === null => 'stable',
            $seconds < 1 => 'stable at once',
            default => 'stable in ' . Numbers::fixed($seconds, 0) . ' s',
        };
    }

    public static function budgetLine(string $name): string
    {
        return match ($name) {
            'buffers' => 'buffers',
            'repeatability' => 'repeatability',
            'resolution' => 'display',
            'temperature' => 'temperature',
            'drift' => 'drift since calibration',
            'fit' => 'calibration line',
            'isopotential' => 'distance from the calibration temperature',
            'extrapolation' => 'outside the buffers',
            'matrix' => 'kind of sample',
            default => $name,
        };
    }
}
