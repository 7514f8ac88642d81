<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

use Rheacid\Core\Electrode\Finding;
use Rheacid\Core\Electrode\Judgement;
use Rheacid\Core\Electrode\Segment;
use Rheacid\Core\Electrode\ShownJudgement;
use Rheacid\Core\Version;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\RunEvent;
use Rheacid\Models\RunState;
use Rheacid\Records\Entry;
use Rheacid\Shelf\Fits;

/** Judges a run whose stations all have their point, and writes the calibration. */
final class CompleteRun
{
    public function __invoke(Entry $entry, CalibrationRun $run): Calibration
    {
        $run->update(['state' => RunState::Completed, 'open_pair_id' => null]);
        $entry->add(new RunEvent(['calibration_run_id' => $run->id, 'kind' => 'completed', 'person_id' => $entry->by->id, 'at' => $entry->at]));
        $outcome = $run->pair->meter->shows_mv ? self::fitted($run) : self::shown($run);

        return $entry->add(new Calibration([
            'calibration_run_id' => $run->id,
            'pair_id' => $run->pair_id,
            'policy_id' => $run->policy_id,
            ...$outcome,
            'findings' => array_map(static fn(Finding $finding): array => [
                'code' => $finding->code->value,
                'severity' => $finding->severity->value,
                'seen' => $finding->seen,
                'needed' => $finding->needed,
            ], $outcome['findings']),
            'at' => $entry->at,
            'due_at' => $entry->at->addHours($run->policy->calibrate_every_hours),
            'person_id' => $entry->by->id,
            'core_version' => Version::CORE,
        ]));
    }

    /** @return array{findings: list<Finding>}&array<string, mixed> by our own fit through the potentials */
    private static function fitted(CalibrationRun $run): array
    {
        $fit = Fits::new($run) ?? throw new \LogicException('A run is completed when every buffer has its point.');
        $judgement = Judgement::of($fit, $run->policy->criteria(), CalibrationPoint::ofKind($run->points, fitted: false), $run->policy->read_back_limit_ph);
        [$low, $high] = $fit->bracket();

        return [
            'fit' => $fit->method,
            'verdict' => $judgement->verdict,
            'findings' => $judgement->findings,
            'slope_percent' => min(array_map(static fn(Segment $segment): float => $segment->percent(), $fit->segments)),
            'offset_mv' => $fit->neutral()->offsetMv,
            'zero_point_ph' => $fit->zeroPointPh(),
            'bracket_low_ph' => $low,
            'bracket_high_ph' => $high,
            'read_back_error_ph' => $judgement->checkErrors[0] ?? null,
        ];
    }

    /** @return array{findings: list<Finding>}&array<string, mixed> by what the meter shows after it has calibrated itself */
    private static function shown(CalibrationRun $run): array
    {
        $points = CalibrationPoint::ofKind($run->points, fitted: true);
        $readBack = $run->points->firstOrFail(static fn(CalibrationPoint $point): bool => !$point->isFitted());
        $error = (float) $readBack->shown_ph - $readBack->buffer_ph;
        $judgement = ShownJudgement::of($points, $error, $run->policy->criteria(), $run->policy->read_back_limit_ph);
        $buffers = array_column($points, 'bufferPh');

        return [
            'fit' => null,
            'verdict' => $judgement->verdict,
            'findings' => $judgement->findings,
            'bracket_low_ph' => min([...$buffers, INF]),
            'bracket_high_ph' => max([...$buffers, -INF]),
            'read_back_error_ph' => $error,
        ];
    }
}
