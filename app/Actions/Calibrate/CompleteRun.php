<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

use Rheacid\Core\Electrode\Finding;
use Rheacid\Core\Electrode\Judgement;
use Rheacid\Core\Electrode\Segment;
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
        $fit = Fits::new($run) ?? throw new \LogicException('A run is completed when every buffer has its point.');
        $policy = $run->policy;
        $judgement = Judgement::of($fit, $policy->criteria(), CalibrationPoint::ofKind($run->points, fitted: false), $policy->read_back_limit_ph);
        [$low, $high] = $fit->bracket();
        $run->update(['state' => RunState::Completed, 'open_pair_id' => null]);
        $entry->add(new RunEvent(['calibration_run_id' => $run->id, 'kind' => 'completed', 'person_id' => $entry->by->id, 'at' => $entry->at]));

        return $entry->add(new Calibration([
            'calibration_run_id' => $run->id,
            'pair_id' => $run->pair_id,
            'policy_id' => $policy->id,
            'fit' => $fit->method,
            'verdict' => $judgement->verdict,
            'findings' => array_map(static fn(Finding $finding): array => [
                'code' => $finding->code->value,
                'severity' => $finding->severity->value,
                'seen' => $finding->seen,
                'needed' => $finding->needed,
            ], $judgement->findings),
            'slope_percent' => min(array_map(static fn(Segment $segment): float => $segment->percent(), $fit->segments)),
            'offset_mv' => $fit->neutral()->offsetMv,
            'zero_point_ph' => $fit->zeroPointPh(),
            'bracket_low_ph' => $low,
            'bracket_high_ph' => $high,
            'read_back_error_ph' => $judgement->checkErrors[0] ?? null,
            'at' => $entry->at,
            'due_at' => $entry->at->addHours($policy->calibrate_every_hours),
            'person_id' => $entry->by->id,
            'core_version' => Version::CORE,
        ]));
    }
}
