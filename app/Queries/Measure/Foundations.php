<?php

declare(strict_types=1);

namespace Rheacid\Queries\Measure;

use Rheacid\Core\Acidity\Titration as Acidity;
use Rheacid\Core\Electrode\CalibrationFunction;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Measuring\BufferValue;
use Rheacid\Core\Measuring\Foundation;
use Rheacid\Core\Measuring\PhReplicate;
use Rheacid\Core\Measuring\TitrationFoundation;
use Rheacid\Core\Settling\Stability;
use Rheacid\Models\BlindPair;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\Replicate;
use Rheacid\Models\Site;
use Rheacid\Models\Titration;
use Rheacid\Queries\Ready\ControlChecks;
use Rheacid\Queries\Ready\DoubtRecords;
use Rheacid\Queries\Ready\Readiness;

/** Gathers from the records what the portions of a measurement rest on, as it stood when they were read. */
final class Foundations
{
    public static function of(MeasuredPlace $place): Foundation
    {
        $pair = $place->pair;
        $calibration = $place->calibration;
        $verification = $place->verification;
        if ($pair === null || $calibration === null || $verification === null) {
            throw new \LogicException('A pH rests on a pair, its calibration and a verification.');
        }
        $function = $calibration->calibrationFunction();
        $control = ControlChecks::status($calibration, $place->observedAt);

        return new Foundation(
            hasSlope: count($function->buffers()) > 1,
            bracketLow: $calibration->bracket_low_ph,
            bracketHigh: $calibration->bracket_high_ph,
            fitU: $function->fitU(),
            celsius: $function->referenceCelsius(),
            resolution: $pair->meter->resolution_ph,
            pooledSd: BlindPair::by($place->observedAt)->sd() ?? $pair->policy->pooled_sd_ph,
            driftLimitPh: $pair->policy->read_back_limit_ph,
            controlErrorPh: $control->errorPh,
            thermometer: $verification->facts($place->observedAt),
            doubts: DoubtRecords::of($calibration, $place->observedAt),
            blocks: array_values(
                array_filter([
                    Readiness::at($pair, $calibration, $place->observedAt)->state->block(),
                    $control->block(),
                    $place->method->matrix?->suits($pair->electrode->kind) === false ? ReleaseBlock::ElectrodeUnsuited : null,
                    self::restsOnBarred($calibration) ? ReleaseBlock::SolutionBarred : null,
                    $calibration->restsOnSaid() ? ReleaseBlock::StabilitySaid : null,
                    $calibration->isUncertain() ? ReleaseBlock::CalibrationUncertain : null,
                ]),
            ),
        );
    }

    public static function titration(MeasuredPlace $place, Titration $titration): TitrationFoundation
    {
        $calibration = $place->calibration;
        $isByElectrode = $titration->endpoint !== 'by-eye';
        $portions = $titration->portions();
        $reached = array_column($portions, 'ph');
        $control = $calibration === null ? null : ControlChecks::status($calibration, $place->observedAt);

        return new TitrationFoundation(
            $titration->standardisation->at,
            $place->observedAt,
            $isByElectrode && $reached !== [] ? max($reached) : null,
            $calibration?->bracket_high_ph,
            in_array(true, array_column($portions, 'coarse'), true),
            Acidity::agree(
                array_column($portions, 'meq'),
                array_map(static fn(array $one): float => $one['ml'] - $titration->blank_ml, $portions),
                $titration->burette_digit_ml,
            ),
            !$isByElectrode || $calibration === null || $place->pair === null
                ? []
                : array_values(
                    array_filter([
                        Readiness::at($place->pair, $calibration, $place->observedAt)->state->block(),
                        $control?->block(),
                        self::restsOnBarred($calibration) ? ReleaseBlock::SolutionBarred : null,
                        $calibration->restsOnSaid() ? ReleaseBlock::StabilitySaid : null,
                        $calibration->isUncertain() ? ReleaseBlock::CalibrationUncertain : null,
                        ...DoubtRecords::of($calibration, $place->observedAt)->blocks($reached === [] ? 7.0 : max($reached), null),
                        $calibration->isEvidence() ? null : ReleaseBlock::Simulated,
                    ]),
                ),
        );
    }

    public static function replicate(Replicate $replicate, Calibration $calibration, CalibrationFunction $function): PhReplicate
    {
        [$low, $high] = $function->leansOn($function->tell($replicate->signal(), (float) $replicate->celsius));

        return new PhReplicate(
            $replicate->value,
            (float) $replicate->celsius,
            self::buffer($calibration, $low),
            self::buffer($calibration, $high),
            (float) $replicate->outside_by_ph,
            $replicate->settled,
            in_array($replicate->source, Site::evidence(), true) && $calibration->isEvidence(),
            $replicate->stability === Stability::Said && $calibration->policy->said_proves !== true,
            $replicate->dilution_parts,
        );
    }

    private static function buffer(Calibration $calibration, float $ph): BufferValue
    {
        $point = $calibration->points->firstOrFail(
            static fn(CalibrationPoint $point): bool => $point->isFitted() && abs($point->buffer_ph - $ph) < 1e-6,
        );

        return new BufferValue($ph, $point->lot->expandedU());
    }

    private static function restsOnBarred(Calibration $calibration): bool
    {
        return $calibration->points->contains(static fn(CalibrationPoint $point): bool => $point->lot->isBarred($point->at));
    }
}
