<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Illuminate\Support\Facades\DB;
use Rheacid\Core\Batches\DispositionKind;
use Rheacid\Core\Batches\SecondInstrument;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Numbers;
use Rheacid\Core\Release\JudgedBefore;
use Rheacid\Core\Release\Release;
use Rheacid\Core\Release\ReleaseLimit;
use Rheacid\Models\Batch;
use Rheacid\Models\LimitRow;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Site\SiteClock;

/** Whether a batch may go out, as its records stand now. */
final readonly class ReleaseReview
{
    /**
     * @param list<string> $blocks what keeps it back besides its limits, in sentences
     * @param list<string> $removed binding limits that an answer has taken away
     * @param string|null $needsNone why nothing measured guards it, as its version says
     */
    private function __construct(public Release $release, public array $blocks, public array $removed, public ?string $needsNone) {}

    /** Whether it would go out though no binding limit was measured. */
    public function isNothingMeasured(): bool
    {
        return $this->release->releasable && $this->release->met === [];
    }

    /**
     * @param bool $isExact whether records of temperature are judged to this moment, as a release does; a page tells what was worked out
     * last
     */
    public static function of(Batch $batch, bool $isExact = false): self
    {
        $blocks = self::blocks($batch);
        $answers = $batch->conditions();
        $limits = $batch->limits();
        $needsNone = $batch->product->needs_none;

        return new self(
            Release::of(
                array_map(
                    static fn(LimitRow $limit): ReleaseLimit => new ReleaseLimit(
                        $limit->name,
                        $limit->kind,
                        $batch->judging($limit)->condition,
                    ),
                    $limits,
                ),
                [...self::judged($batch), CourseJudgements::judged($batch, $isExact)],
                $answers,
                self::disposed($batch),
                $blocks !== [],
                $needsNone !== null,
            ),
            $blocks,
            array_values(
                array_map(
                    static fn(LimitRow $limit): string => $limit->name,
                    array_filter(
                        $limits,
                        static fn(LimitRow $limit): bool => $limit->kind->binds()
                            && $limit->condition !== null
                            && ($answers[$limit->condition] ?? null) === false,
                    ),
                ),
            ),
            $needsNone,
        );
    }

    /** @return list<string> in sentences */
    private static function blocks(Batch $batch): array
    {
        $blocks = [];
        if ($batch->product->routeNames() !== [] && $batch->route() === null) {
            $blocks[] = 'No process route is chosen. Choose one.';
        }
        if ($batch->product->stage_of !== null) {
            $blocks[] = "One stage of a process ({$batch->product->stage_of}): it is not released on its own. "
                . 'Close it when it has passed to the next stage.';
        }
        $open = BatchHistory::openDeviations($batch->id)->count();
        if ($open > 0) {
            $blocks[] = $open === 1 ? 'One deviation is open.' : "$open deviations are open.";
        }
        $measuring = MeasurementDraft::query()
            ->with('holder')
            ->whereNotNull('open_pair_id')
            ->whereRelation('sample.occasion', 'batch_id', $batch->id)
            ->first();
        if ($measuring !== null) {
            $blocks[] = "{$measuring->holder->name} is measuring it now. Wait until that is finished.";
        }
        foreach (OpenOccasions::open($batch) as $waiting) {
            $blocks[] = sprintf(
                'The sample drawn %s still lacks %s. Measure it, or close the sample.',
                SiteClock::short($waiting->drawn_at),
                implode(', ', OpenOccasions::lacking($waiting, $batch)[0]['places'] ?? []),
            );
        }
        if (BatchHistory::awaitsReading($batch)) {
            $blocks[] = 'Something was added and it has not been measured since. Measure again after mixing.';
        }
        if (SecondReading::disagrees($batch)) {
            $blocks[] = sprintf('Two instruments differ by more than %s pH. Use a third.', Numbers::plain(SecondInstrument::DIFFER_PH));
        }

        return $blocks;
    }

    /**
     * Of each limit whether any occasion broke or missed it, then what the newest one says: all that a release asks of a
     * history, however long. An occasion whose calibration was voided since proves nothing any more, but can still break; so
     * does one that lacks a place.
     *
     * @return list<list<JudgedBefore>>
     */
    private static function judged(Batch $batch): array
    {
        $counts = "(coalesce(limit_outcomes.is_open, 0) = 0 or limit_outcomes.outcome = '" . Conformity::Outside->value . "')";
        // The newest by a text that sorts by time, then by number: one reading of the outcomes instead of three.
        $everything = DB::table('limit_outcomes')
            ->join('decisions', 'decisions.id', '=', 'limit_outcomes.decision_id')
            ->join('occasions', 'occasions.id', '=', 'decisions.occasion_id')
            ->where('limit_outcomes.batch_id', $batch->id)
            ->whereRaw($counts)
            ->whereNotExists(static fn($query) => $query->from('decisions as later')->whereColumn('later.supersedes_id', 'decisions.id'))
            ->groupBy('limit_outcomes.name')
            ->selectRaw(
                "limit_outcomes.name, max(limit_outcomes.late and coalesce(limit_outcomes.is_open, 0) = 0) as ever_late, "
                    . "max(limit_outcomes.outcome = ?) as ever_outside, cast(substr(max(concat(occasions.drawn_at, lpad(limit_outcomes.id, "
                    . "20, '0'))), -20) as unsigned) as newest_id",
                [Conformity::Outside->value],
            );

        $judged = [[], []];
        $newest = DB::table('limit_outcomes')
            ->joinSub($everything, 'everything', 'limit_outcomes.id', '=', 'everything.newest_id')
            ->join('decisions', 'decisions.id', '=', 'limit_outcomes.decision_id')
            ->orderBy('limit_outcomes.name')
            ->get(['limit_outcomes.name', 'outcome', 'value_outcome', 'occasion_id', 'ever_late', 'ever_outside']);
        foreach ($newest as $row) {
            $isDoubtful = self::isDoubtful((int) $row->occasion_id);
            $now = static fn(string $outcome): Conformity => $isDoubtful && $outcome === Conformity::Inside->value
                ? Conformity::Inconclusive
                : Conformity::from($outcome);
            $name = (string) $row->name;
            if ((bool) $row->ever_outside) {
                $judged[0][] = new JudgedBefore($name, Conformity::Outside, false, Conformity::Outside);
            }
            $judged[1][] = new JudgedBefore(
                $name,
                $now((string) $row->outcome),
                (bool) $row->ever_late,
                $now((string) $row->value_outcome),
            );
        }

        return $judged;
    }

    private static function isDoubtful(int $occasionId): bool
    {
        return DB::table('measurements')
            ->join('calibration_voids', 'calibration_voids.calibration_id', '=', 'measurements.calibration_id')
            ->where('measurements.occasion_id', $occasionId)
            ->whereColumn('measurements.observed_at', '>', 'calibration_voids.back_to')
            ->exists();
    }

    /** @return list<string> limits whose every deviation a lead has decided to go on with, or to let stand */
    private static function disposed(Batch $batch): array
    {
        $decided = DB::table('deviations')
            ->join('dispositions', 'dispositions.deviation_id', '=', 'deviations.id')
            ->where('deviations.batch_id', $batch->id)
            ->where(
                static fn($query) => $query
                    ->where('dispositions.disposition', DispositionKind::GoOn->value)
                    ->orWhere(
                        static fn($after) => $after
                            ->whereIn('dispositions.disposition', [DispositionKind::Recall->value, DispositionKind::LetStand->value])
                            ->where('deviations.is_missed_in_time', false),
                    ),
            )
            ->distinct()
            ->pluck('deviations.limit_name');
        $open = BatchHistory::openDeviations($batch->id)->pluck('limit_name')->all();

        return array_values(
            array_filter(
                array_map(static fn(mixed $name): string => is_string($name) ? $name : '', $decided->all()),
                static fn(string $name): bool => !in_array($name, $open, true),
            ),
        );
    }
}
