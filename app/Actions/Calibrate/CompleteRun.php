<?php

declare(strict_types=1);

namespace Rheacid\Actions\Calibrate;

use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Electrode\CalibrationFit;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Electrode\ElectrodePast;
use Rheacid\Core\Electrode\Finding;
use Rheacid\Core\Electrode\JudgedCalibration;
use Rheacid\Core\Electrode\JudgedShownCalibration;
use Rheacid\Core\Electrode\Segment;
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
use Rheacid\Queries\Calibrate\RunFits;
use Rheacid\Queries\Ready\CareLog;
use Rheacid\Queries\Ready\ElectrodeHistory;
use Rheacid\Records\Entry;
use Rheacid\Site\SiteClock;

/** Judges a run whose stations all have their point, and writes the calibration. */
final class CompleteRun
{
    private const ALKALINE_FROM_PH = 6.5;

    public function __invoke(Entry $entry, CalibrationRun $run): Calibration
    {
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
        $outcome = $run->pair->meter->shows_mv ? self::fitted($run) : self::shown($run);
        $outcome['findings'] = JudgedCalibration::sorted([...$outcome['findings'], ...RunFindings::of($run, $entry->at)]);
        $outcome['verdict'] = Verdict::of($outcome['findings']);

        $calibration = $entry->add(
            new Calibration([
                'calibration_run_id' => $run->id,
                'pair_id' => $run->pair_id,
                'policy_id' => $run->policy_id,
                ...$outcome,
                'findings' => array_map(
                    static fn(Finding $finding): array => [
                        'code' => $finding->code->value,
                        'severity' => $finding->severity->value,
                        'seen' => $finding->seen,
                        'needed' => $finding->needed,
                    ],
                    $outcome['findings'],
                ),
                'at' => $entry->at,
                'due_at' => $run->policy->interval()->dueAt($entry->at, SiteClock::endOfDay($entry->at)),
                'person_id' => $entry->by->id,
                'core_version' => Version::CORE,
            ]),
        );
        self::countAsCheck($entry, $run, $calibration);
        self::lookBack($entry, $run, $calibration);

        return $calibration;
    }

    /** As found off by more than the read-back limit: what was read on the calibration before may be off as much. */
    private static function lookBack(Entry $entry, CalibrationRun $run, Calibration $calibration): void
    {
        $off = CalibrationPoint::foundOff($run->points, $run->policy);
        $before = Calibration::query()->where('pair_id', $run->pair_id)->where('id', '<', $calibration->id)->orderByDesc('id')->first();
        if ($before !== null && $off !== null) {
            $entry->add(
                new LookBack([
                    'calibration_id' => $before->id,
                    'off_by' => $off,
                    'since' => $before->at,
                    'at' => $entry->at,
                    'person_id' => $entry->by->id,
                ]),
            );
        }
    }

    /** @return array{findings: list<Finding>}&array<string, mixed> by our own fit through the potentials */
    private static function fitted(CalibrationRun $run): array
    {
        $fit = RunFits::new($run) ?? throw new \LogicException('A run is completed when every buffer has its point.');
        $judgement = JudgedCalibration::of(
            $fit,
            $run->policy->criteria(),
            CalibrationPoint::ofKind($run->points, fitted: false),
            $run->policy->read_back_limit_ph,
        );
        [$low, $high] = $fit->bracket();

        return [
            'fit' => $fit->method,
            'verdict' => $judgement->verdict,
            'findings' => $judgement->findings,
            'slope_percent' => count($fit->points) > 1
                ? min(array_map(static fn(Segment $segment): float => $segment->percent(), $fit->segments))
                : null,
            'alkaline_slope_percent' => self::alkaline($fit),
            'response_time_s' => self::slowest($run),
            'diagnosis' => Diagnosis::of($fit, $run->policy->criteria(), self::isRestless($run), self::past($run)),
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
        $readBacks = $run->points->filter(static fn(CalibrationPoint $point): bool => !$point->isFitted())->values();
        $errors = array_values(
            $readBacks->map(static fn(CalibrationPoint $point): float => (float) $point->shown_ph - $point->buffer_ph)->all(),
        );
        $judgement = JudgedShownCalibration::of($points, $errors, $run->policy->criteria(), $run->policy->read_back_limit_ph);
        $buffers = array_column($points, 'bufferPh');

        return [
            'fit' => null,
            'verdict' => $judgement->verdict,
            'findings' => $judgement->findings,
            'slope_percent' => $readBacks[0]?->shown_slope_percent,
            'offset_mv' => $readBacks[0]?->shown_offset_mv,
            'response_time_s' => self::slowest($run),
            'bracket_low_ph' => min([...$buffers, INF]),
            'bracket_high_ph' => max([...$buffers, -INF]),
            'read_back_error_ph' => $judgement->worstError,
        ];
    }

    /** Slope above pH 7 where that side has its own line. */
    private static function alkaline(CalibrationFit $fit): ?float
    {
        $last = $fit->segments[count($fit->segments) - 1];

        return count($fit->segments) > 1 && $last->fromPh >= self::ALKALINE_FROM_PH ? $last->percent() : null;
    }

    private static function slowest(CalibrationRun $run): ?float
    {
        $slowest = $run->points->max('response_time_s');

        return is_float($slowest) ? $slowest : null;
    }

    private static function isRestless(CalibrationRun $run): bool
    {
        return $run->points->contains(
            static fn(CalibrationPoint $point): bool => !$point->settled
                && $point->waited_s !== null
                && $point->waited_s >= Diagnosis::LONG_ENOUGH_S,
        );
    }

    private static function past(CalibrationRun $run): ElectrodePast
    {
        $before = Calibration::query()->where('pair_id', $run->pair_id)->orderByDesc('at')->first();
        $cleaned = CareLog::of($run->pair->electrode)->last(CareKind::Cleaned);
        $wasCleaned = $cleaned !== null && ($before === null || $cleaned->at > $before->at);

        return new ElectrodePast($wasCleaned, (ElectrodeHistory::trend($run->pair)->percentPerYear ?? 0.0) < 0);
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
