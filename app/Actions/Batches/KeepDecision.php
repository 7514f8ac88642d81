<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Batches\Consequences;
use Rheacid\Core\Limits\DecisionCause;
use Rheacid\Core\Limits\JudgedReplicate;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Limits\Result;
use Rheacid\Core\Uncertainty\BudgetLine;
use Rheacid\Models\Batch;
use Rheacid\Models\Decision;
use Rheacid\Models\DecisionLimit;
use Rheacid\Models\Occasion;
use Rheacid\Models\Statement;
use Rheacid\Queries\Measure\DecisionLines;
use Rheacid\Queries\Measure\MeasuredPlace;
use Rheacid\Queries\Measure\OccasionFacts;
use Rheacid\Records\Entry;

/** Decides about an occasion and keeps what that means with the limits as they stand: the batch is held where that follows. */
final class KeepDecision
{
    /**
     * Everything is read, then decided, then kept.
     *
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
        $facts = OccasionFacts::of($occasion, $instead);

        return $this->keep($entry, $facts, self::decide($facts, $because), $because, $withCourses);
    }

    public static function decide(OccasionFacts $facts, DecisionCause $because): Consequences
    {
        return Consequences::of(
            $facts->batch->state(),
            $facts->assessment->judged,
            $facts->said,
            $facts->hasGoneOut,
            $because->isOwnRecord(),
            $facts->open,
        );
    }

    public function keep(
        Entry $entry,
        OccasionFacts $facts,
        Consequences $follows,
        DecisionCause $because,
        bool $withCourses = true,
    ): Decision {
        $assessment = $facts->assessment;
        $onCurve = $assessment->curvePoint();
        $decision = $entry->add(
            new Decision([
                'occasion_id' => $facts->occasion->id,
                'supersedes_id' => $facts->before?->id,
                'because' => $because,
                'results' => array_map(
                    static fn(Result $result, MeasuredPlace $place): array => ['place' => $place->place, ...self::result($result)],
                    $assessment->results,
                    $facts->places,
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
                    'batch_id' => $facts->batch->id,
                    ...DecisionLimit::facts($judged),
                    'is_open' => $assessment->occasion->isOpenFor($judged->limit),
                ]),
            );
        }
        foreach ($follows->deviations as $judged) {
            $limit = $judged->limit->limit;
            BatchMoves::open(
                $entry,
                $facts->batch,
                $limit->name,
                $limit->kind,
                $judged->late,
                Statement::judged($judged),
                $decision->id,
                isAfterRelease: !$facts->batch->state()->isLive(),
            );
        }
        if ($follows->holds !== null) {
            $facts->batch->setRelation(
                'newestEvent',
                BatchMoves::move($entry, $facts->batch, BatchState::Held, Statement::holds($follows->holds)),
            );
        }
        // What was read later, and judged late before this sample was entered, came after a deadline that was met.
        $late = array_map(static fn(string $limit): array => $facts->late[$limit] ?? [], $follows->metInTime);
        $anew = array_values(array_unique(array_merge(...$late, ...[[]])));
        if ($anew !== [] && $because !== DecisionCause::MetBefore) {
            (new JudgeAnew($this, new WorkOutCourses()))->late($entry, $anew, DecisionCause::MetBefore);
            $facts->batch->load('newestEvent');
        }
        if ($withCourses) {
            (new WorkOutCourses())($entry, $facts->batch);
        }

        return $decision;
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
