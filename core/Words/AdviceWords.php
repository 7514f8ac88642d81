<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Limits\ReleaseBlock;

/** What to do now, where something keeps a value from proving. */
final class AdviceWords
{
    /**
     * @param list<ReleaseBlock> $blocks the first thing that would mend them; null without any
     * @param bool $isLate a deadline was missed, which nothing measured now can mend
     */
    public static function next(array $blocks, bool $isLate = false): ?string
    {
        if ($isLate) {
            return 'Hold the batch: a lead decides about it.';
        }
        $order = array_map(self::mends(...), $blocks);
        usort($order, static fn(array $a, array $b): int => $a[0] <=> $b[0]);

        return $order[0][1] ?? null;
    }

    /** @return array{int, string} in which order, and what */
    private static function mends(ReleaseBlock $block): array
    {
        return match ($block) {
            ReleaseBlock::ElectrodeOutOfUse => [0, 'Measure a fresh sample with another electrode.'],
            ReleaseBlock::ElectrodeSoaking => [0, 'Wait until the soak is over, calibrate, and measure a fresh sample.'],
            ReleaseBlock::CalibrationFailed,
            ReleaseBlock::CalibrationOverdue,
            ReleaseBlock::CalibrationDoubtful,
            ReleaseBlock::OnePointCalibration,
            ReleaseBlock::CalibrationUncertain,
            ReleaseBlock::ControlCheckFailed
                => [1, 'Calibrate, and measure a fresh sample.'],
            ReleaseBlock::SolutionBarred => [1, 'Calibrate on clean bottles, and measure a fresh sample.'],
            ReleaseBlock::FarBelowBracket, ReleaseBlock::AboveBracket => [
                1,
                'Calibrate with a buffer beyond this value, and measure a fresh sample.',
            ],
            ReleaseBlock::BathUntold,
            ReleaseBlock::ThermometerFailed,
            ReleaseBlock::ThermometerOverdue,
            ReleaseBlock::ThermometerNotCovering
                => [2, 'Verify the thermometer, or measure with another.'],
            ReleaseBlock::SampleTemperature => [3, 'Bring a portion to the temperature of the method, and read it again.'],
            ReleaseBlock::ElectrodeUnsuited => [0, 'Measure a fresh sample with the electrode that the method asks for.'],
            ReleaseBlock::MatrixUnknown => [3, 'Have it measured by a named laboratory, or measure it by a method whose bound is known.'],
            ReleaseBlock::DilutionUnknown => [3, 'Dilute a fresh portion less, and read it again.'],
            ReleaseBlock::Gassy => [3, 'Degas it once more, and read it again, until two in a row agree.'],
            ReleaseBlock::Unsettled => [3, 'Read it again when it is stable.'],
            ReleaseBlock::PlaceMissing => [4, 'Measure the place that is missing as well.'],
            ReleaseBlock::ControlCheckMissing => [5, 'Read a check buffer now: then it counts.'],
            ReleaseBlock::PointsApart => [5, 'Read a check buffer, or calibrate again without a break.'],
            ReleaseBlock::NearTwin => [5, 'Read a check buffer of the other family, away from the other points of the calibration.'],
            ReleaseBlock::BuffersInQuestion => [
                5,
                'Read a check buffer about as far from pH 7 as the sample, its temperature taken in the cup by another verified '
                    . 'thermometer.',
            ],
            ReleaseBlock::StabilitySaid => [3, 'Read it again: type the number and wait until the ring is full.'],
            ReleaseBlock::EquilibriumNotProven => [6, 'Measure again a day later, from every part.'],
            ReleaseBlock::SecondDiffers => [4, 'Read it with a third instrument.'],
            ReleaseBlock::TitrantStale => [1, 'Standardise the titrant, and titrate a fresh sample.'],
            ReleaseBlock::EndpointOutsideBracket => [1, 'Calibrate with a buffer above the endpoint, and titrate a fresh sample.'],
            ReleaseBlock::CurveCoarse => [3, 'Titrate again, in smaller steps near the endpoint.'],
            ReleaseBlock::NotDuplicated => [4, 'Titrate once more: two have to agree.'],
            ReleaseBlock::SourceNotNamed => [7, 'A lead names the source, or it is measured here.'],
            ReleaseBlock::Simulated => [7, 'Measure it with a real instrument.'],
        };
    }
}
