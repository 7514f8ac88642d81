<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

use Carbon\CarbonImmutable;
use Rheacid\Core\Electrode\DecidedCalibration;
use Rheacid\Core\Electrode\Finding;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Version;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\ControlCheck;
use Rheacid\Models\LookBack;
use Rheacid\Models\RunEvent;
use Rheacid\Models\RunState;
use Rheacid\Models\SessionMoment;
use Rheacid\Queries\Calibrate\RunFacts;
use Rheacid\Records\Entry;
use Rheacid\Site\SiteClock;

/** A run whose stations all have their point: gathers and decides while the last point is in hand, then keeps the calibration. */
final readonly class CompleteRun
{
    private function __construct(private CalibrationRun $run, private RunFacts $facts, private DecidedCalibration $decided) {}

    /** @param CalibrationRun $run with all its points, the last one not yet kept */
    public static function decide(CalibrationRun $run, CarbonImmutable $now): self
    {
        $facts = RunFacts::of($run, $now);
        $policy = $run->policy;
        $readBacks = $run->points->filter(static fn(CalibrationPoint $point): bool => !$point->isFitted())->values();

        return new self(
            $run,
            $facts,
            $facts->fit === null
                ? DecidedCalibration::byMeter(
                    CalibrationPoint::ofKind($run->points, fitted: true),
                    array_values(
                        $readBacks->map(static fn(CalibrationPoint $point): float => (float) $point->shown_ph - $point->buffer_ph)->all(),
                    ),
                    $readBacks[0]?->shown_slope_percent,
                    $readBacks[0]?->shown_offset_mv,
                    $policy->criteria(),
                    $policy->read_back_limit_ph,
                    $facts->doubts,
                )
                : DecidedCalibration::byFit(
                    $facts->fit,
                    CalibrationPoint::ofKind($run->points, fitted: false),
                    $policy->criteria(),
                    $policy->read_back_limit_ph,
                    $facts->isRestless,
                    $facts->past,
                    $facts->doubts,
                ),
        );
    }

    public function keep(Entry $entry): Calibration
    {
        $run = $this->run;
        $run->update(['state' => RunState::Completed, 'open_pair_id' => null]);
        $entry->add(
            new RunEvent([
                'calibration_run_id' => $run->id,
                'pair_id' => $run->pair_id,
                'kind' => 'completed',
                'person_id' => $entry->by->id,
                'at' => $entry->at,
            ]),
        );
        $slowest = $run->points->max('response_time_s');
        $calibration = $entry->add(
            new Calibration([
                'calibration_run_id' => $run->id,
                'pair_id' => $run->pair_id,
                'policy_id' => $run->policy_id,
                'fit' => $this->decided->fit,
                'verdict' => $this->decided->verdict,
                'findings' => array_map(
                    static fn(Finding $finding): array => [
                        'code' => $finding->code->value,
                        'severity' => $finding->severity->value,
                        'seen' => $finding->seen,
                        'needed' => $finding->needed,
                    ],
                    $this->decided->findings,
                ),
                'slope_percent' => $this->decided->slopePercent,
                'alkaline_slope_percent' => $this->decided->alkalineSlopePercent,
                'response_time_s' => is_float($slowest) ? $slowest : null,
                'diagnosis' => $this->decided->diagnosis,
                'offset_mv' => $this->decided->offsetMv,
                'zero_point_ph' => $this->decided->zeroPointPh,
                'bracket_low_ph' => $this->decided->bracketLowPh,
                'bracket_high_ph' => $this->decided->bracketHighPh,
                'read_back_error_ph' => $this->decided->readBackErrorPh,
                'at' => $entry->at,
                'due_at' => $run->policy->interval()->dueAt($entry->at, SiteClock::endOfDay($entry->at)),
                'person_id' => $entry->by->id,
                'core_version' => Version::CORE,
            ]),
        );
        $calibration->setRelation('run', $run)->setRelation('points', $run->points)->setRelation('policy', $run->policy);
        $calibration->setRelation('pair', $run->pair);
        self::countAsCheck($entry, $run, $calibration);
        $this->lookBack($entry);

        return $calibration;
    }

    /** As found off by more than the read-back limit: what was read on the calibration before may be off as much. */
    private function lookBack(Entry $entry): void
    {
        $off = CalibrationPoint::foundOff($this->run->points, $this->run->policy);
        if ($this->facts->before !== null && $off !== null) {
            $entry->add(
                new LookBack([
                    'calibration_id' => $this->facts->before->id,
                    'off_by' => $off,
                    'since' => $this->facts->before->at,
                    'at' => $entry->at,
                    'person_id' => $entry->by->id,
                ]),
            );
        }
    }

    /** A read-back in a bottle that was not fitted is a reading of an independent buffer: it opens the session's checks. */
    private static function countAsCheck(Entry $entry, CalibrationRun $run, Calibration $calibration): void
    {
        $fitted = $run->points->filter(static fn(CalibrationPoint $point): bool => $point->isFitted())->pluck('lot_id');
        foreach ($run->points as $point) {
            if (
                $point->isFitted()
                || $fitted->contains($point->lot_id)
                || $calibration->verdict === Verdict::Fail
                || $calibration->read_back_error_ph === null
            ) {
                continue;
            }
            $entry->add(
                new ControlCheck([
                    'pair_id' => $run->pair_id,
                    'calibration_id' => $calibration->id,
                    'lot_id' => $point->lot_id,
                    'moment' => SessionMoment::Start,
                    'mv' => $point->mv,
                    'shown_ph' => $point->shown_ph,
                    'celsius' => $point->celsius,
                    'ph' => $calibration->calibrationFunction()->tell($point->signal(), $point->celsius)->ph,
                    'buffer_ph' => $point->buffer_ph,
                    'limit_ph' => $run->policy->read_back_limit_ph,
                    'passed' => $point->settled ? true : null,
                    'thermometer_id' => $point->thermometer_id,
                    'verification_id' => $point->verification_id,
                    'shown_c' => $point->shown_c,
                    'stability' => $point->stability,
                    'settled' => $point->settled,
                    'reason' => $point->reason,
                    'trace_id' => $point->trace_id,
                    'source' => $point->source,
                    'person_id' => $point->person_id,
                    'at' => $entry->at,
                ]),
            );
        }
    }
}
