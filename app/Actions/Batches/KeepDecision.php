<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Carbon\CarbonImmutable;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Batches\Consequences;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Core\Limits\JudgedReplicate;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Limits\Result;
use Rheacid\Core\Uncertainty\BudgetLine;
use Rheacid\Models\Batch;
use Rheacid\Models\Decision;
use Rheacid\Models\DecisionLimit;
use Rheacid\Models\Measurement;
use Rheacid\Models\Occasion;
use Rheacid\Models\Statement;
use Rheacid\Queries\Batches\BatchHistory;
use Rheacid\Queries\Measure\Assessment;
use Rheacid\Queries\Measure\DecisionLines;
use Rheacid\Queries\Measure\MeasuredPlace;
use Rheacid\Records\Entry;

/** Judges an occasion, keeps what it means with the limits as they stand, and holds the batch where that follows. */
final class KeepDecision
{
    /**
     * @param Decision|null $instead of which it takes the place, if not of the occasion's own
     * @param bool $withCourses whether records of temperature are judged again too
     */
    public function __invoke(
        Entry $entry,
        Occasion $occasion,
        DecisionCause $because,
        ?Decision $instead = null,
        bool $withCourses = true,
    ): Decision {
        $batch = Batch::query()->with(Batch::JUDGED)->findOrFail($occasion->batch_id);
        $before = $instead ?? $occasion->decision()->with('outcomes')->first();
        $measurements = $occasion->measurements()->with(MeasuredPlace::RESTS_ON)->get();
        $places = array_values($measurements->map(static fn(Measurement $one): MeasuredPlace => MeasuredPlace::recorded($one))->all());
        if ($places === []) {
            throw new \LogicException('An occasion is judged when something was measured.');
        }
        $assessment = Assessment::of($batch, $occasion->stage, CarbonImmutable::instance($occasion->drawn_at), $places, $occasion->id);
        $onCurve = $assessment->curvePoint();
        $decision = $entry->add(
            new Decision([
                'occasion_id' => $occasion->id,
                'supersedes_id' => $before?->id,
                'because' => $because,
                'results' => array_map(
                    static fn(Result $result, MeasuredPlace $place): array => ['place' => $place->place, ...self::result($result)],
                    $assessment->results,
                    $places,
                ),
                'hours_since' => $assessment->occasion->hoursSince,
                'conditions' => $assessment->occasion->conditions,
                'not_due' => array_map(DecisionLines::keep(...), $assessment->judged->notDue),
                'overall' => $assessment->judged->overall,
                'measurand' => $assessment->result->measurand,
                'value' => $assessment->replicate->value,
                'expanded_u' => $assessment->replicate->expandedU,
                'trusted' => $assessment->replicate->trusted,
                'mean' => $assessment->result->mean(),
                'budget' => array_map(
                    static fn(BudgetLine $line): array => ['name' => $line->name, 'u' => $line->u, 'share' => $line->share],
                    $assessment->uncertainty()->budget ?? [],
                ),
                'blocks' => array_map(static fn(ReleaseBlock $block): string => $block->value, $assessment->allBlocks()),
                'course_ph' => $onCurve?->value,
                'course_expanded_u_ph' => $onCurve?->expandedU,
                'open' => $assessment->occasion->open === [] ? null : $assessment->occasion->open,
                'at' => $entry->at,
                'person_id' => $entry->by->id,
            ]),
        );
        foreach ($assessment->judged->due as $judged) {
            $entry->add(
                new DecisionLimit([
                    'decision_id' => $decision->id,
                    'batch_id' => $batch->id,
                    ...DecisionLimit::facts($judged),
                    'is_open' => $assessment->occasion->isOpenFor($judged->limit),
                ]),
            );
        }
        self::follow(
            $entry,
            $batch,
            Consequences::of(
                $batch->state(),
                $assessment->judged,
                self::said($before),
                BatchHistory::hasGoneOut($batch),
                $because->isOwnRecord(),
            ),
            $decision,
        );
        if ($because !== DecisionCause::MetBefore) {
            $this->mendLater($entry, $batch, $occasion, $assessment);
        }
        if ($withCourses) {
            (new WorkOutCourses())($entry, $batch->load('newestEvent'));
        }

        return $decision;
    }

    /** What was read later, and judged late before this sample was entered, came after a deadline that was met. */
    private function mendLater(Entry $entry, Batch $batch, Occasion $occasion, Assessment $assessment): void
    {
        foreach ($assessment->judged->due as $judged) {
            $isMetInTime
                = $judged->limit->applies === Applies::WithinHours
                && $judged->conformity === Conformity::Inside
                && !$judged->late
                && !$assessment->occasion->isOpenFor($judged->limit);
            if ($isMetInTime) {
                (new JudgeAnew($this, new WorkOutCourses()))->late(
                    $entry,
                    $batch,
                    $judged->limit->limit->name,
                    DecisionCause::MetBefore,
                    CarbonImmutable::instance($occasion->drawn_at),
                );
            }
        }
    }

    /** @return array<string, array{conformity: Conformity, late: bool, open: bool}> by limit */
    private static function said(?Decision $before): array
    {
        $said = [];
        foreach ($before === null ? [] : $before->outcomes as $outcome) {
            $said[(string) $outcome->name] = [
                'conformity' => $outcome->outcome,
                'late' => $outcome->late,
                'open' => $outcome->is_open === true,
            ];
        }

        return $said;
    }

    /** Keeps what the core says that follows: deviations, and that the batch is held. */
    private static function follow(Entry $entry, Batch $batch, Consequences $follows, Decision $decision): void
    {
        foreach ($follows->deviations as $judged) {
            $limit = $judged->limit->limit;
            BatchMoves::deviate(
                $entry,
                $batch,
                $limit->name,
                $limit->kind,
                $judged->late,
                Statement::judged($judged),
                $decision->id,
                isAfterRelease: !$batch->state()->isLive(),
            );
        }
        if ($follows->holds !== null) {
            BatchMoves::move($entry, $batch, BatchState::Held, Statement::holds($follows->holds));
        }
    }

    /** @return array<string, mixed> */
    private static function result(Result $result): array
    {
        return [
            'measurand' => $result->measurand,
            'basis' => $result->basis,
            'portions' => array_map(
                static fn(JudgedReplicate $replicate): array => [
                    'value' => $replicate->value,
                    'expanded_u' => $replicate->expandedU,
                    'trusted' => $replicate->trusted,
                    'proves_not' => $replicate->provesNot,
                ],
                $result->replicates,
            ),
        ];
    }
}
