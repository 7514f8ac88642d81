<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Carbon\CarbonImmutable;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Batches\Consequences;
use Rheacid\Core\Courses\CourseVerdict;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Models\Batch;
use Rheacid\Models\CourseFinding;
use Rheacid\Models\LimitRow;
use Rheacid\Models\Statement;
use Rheacid\Models\StatementCode;
use Rheacid\Queries\Batches\BatchHistory;
use Rheacid\Queries\Batches\CourseJudgements;
use Rheacid\Queries\Batches\RecordedTemperatures;
use Rheacid\Records\Entry;

/**
 * Judges the limits that depend on records of temperature again: when such a record has grown, a pH was read, a step was taken, or a span
 * is over.
 */
final class WorkOutCourses
{
    /**
     * @param Batch $batch with all by which it is judged
     * @param bool $isOwnRecord whether a record of the batch itself was changed
     */
    public function __invoke(Entry $entry, Batch $batch, bool $isOwnRecord = false): void
    {
        foreach ($batch->limits() as $limit) {
            $worked = $limit->course === null ? null : CourseJudgements::work($batch, $limit, $entry->at);
            if ($worked !== null) {
                $this->keep($entry, $batch, $limit, $isOwnRecord, ...$worked);
            }
        }
    }

    private function keep(
        Entry $entry,
        Batch $batch,
        LimitRow $limit,
        bool $isOwnRecord,
        CourseVerdict $verdict,
        RecordedTemperatures $record,
    ): void {
        $before = CourseFinding::standing($batch->id)->where('limit_name', $limit->name)->first();
        $moment = static fn(?float $hours): ?int => $hours === null
            ? null
            : $batch->started_at->addSeconds((int) ceil(3600 * $hours))->getTimestamp();
        $entry->add(
            new CourseFinding([
                'course_id' => $record->first->id,
                'batch_id' => $batch->id,
                'limit_name' => $limit->name,
                'verdict' => $verdict->conformity ?? Conformity::Inconclusive,
                'answer' => [
                    ...$verdict->facts,
                    'is_due' => $verdict->conformity !== null,
                    'distrust' => $record->distrust,
                    'silent_at' => $moment($verdict->silentFromH()),
                    'next_at' => $moment($verdict->nextH),
                    'proven_until' => self::provenUntil($batch, $limit, $verdict, $entry->at, $moment),
                ],
                'as_of' => $record->asOf,
                'supersedes_id' => $before?->id,
                'at' => $entry->at,
                'person_id' => $entry->by->id,
            ]),
        );
        $follows = Consequences::ofCourse(
            $batch->state(),
            $limit->kind,
            $verdict->conformity,
            $before?->isDue() === true ? $before->verdict : null,
            BatchHistory::hasGoneOut($batch),
            $isOwnRecord,
        );
        $what = new Statement(StatementCode::CourseJudged, [
            ...$verdict->facts,
            'name' => $limit->name,
            'kind_of_limit' => $limit->kind->value,
            'verdict' => ($verdict->conformity ?? Conformity::Inconclusive)->value,
        ]);
        if ($follows['deviates']) {
            BatchMoves::deviate(
                $entry,
                $batch,
                $limit->name,
                $limit->kind,
                ($limit->course['kind'] ?? '') === 'degree-hours',
                $what,
                null,
                isAfterRelease: !$batch->state()->isLive(),
            );
        }
        if ($follows['holds']) {
            BatchMoves::move($entry, $batch, BatchState::Held, $what);
            $batch->load('newestEvent');
        }
    }

    /**
     * Of a span without an end: so long as nothing more is recorded, it counts as held until then.
     *
     * @param callable(?float): ?int $moment
     */
    private static function provenUntil(Batch $batch, LimitRow $limit, CourseVerdict $verdict, CarbonImmutable $now, callable $moment): ?int
    {
        if (($verdict->facts['kind'] ?? '') !== 'throughout' || ($verdict->facts['span_h'] ?? null) !== null) {
            return null;
        }
        $held = (CourseJudgements::work($batch, $limit, $now, toNow: true) ?? [null])[0];
        if ($held === null || $held->conformity !== Conformity::Inside) {
            return null;
        }
        [$last, $silence] = [$held->facts['last_h'], $held->facts['silence_h']];

        return is_float($last) && is_float($silence) ? $moment($last + $silence) : null;
    }
}
