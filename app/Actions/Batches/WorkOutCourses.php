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
        $limits = array_filter($batch->limits(), static fn(LimitRow $limit): bool => $limit->course !== null);
        if ($limits === []) {
            return;
        }
        $before = CourseFinding::standing($batch->id)->get()->keyBy('limit_name');
        $hasGoneOut = BatchHistory::hasGoneOut($batch);
        $open = BatchHistory::openByLimit($batch->id);
        $worked = [];
        foreach ($limits as $limit) {
            $found = CourseJudgements::work($batch, $limit, $entry->at);
            if ($found !== null) {
                $worked[] = [$limit, ...$found, self::provenUntil($batch, $limit, $found[0], $entry->at)];
            }
        }
        foreach ($worked as [$limit, $verdict, $record, $provenUntil]) {
            $earlier = $before->get($limit->name);
            $follows = Consequences::ofCourse(
                $batch->state(),
                $limit->kind,
                $verdict->conformity,
                $earlier?->isDue() === true ? $earlier->verdict : null,
                $hasGoneOut,
                $isOwnRecord,
            );
            $isMissed = ($limit->course['kind'] ?? '') === 'degree-hours';
            $follows['deviates'] = $follows['deviates'] && !Consequences::isSaid($open[$limit->name] ?? null, $isMissed);
            $this->keep($entry, $batch, $limit, $verdict, $record, $provenUntil, $earlier, $follows);
        }
    }

    /**
     * @param int|null $provenUntil as provenUntil says
     * @param array{holds: bool, deviates: bool} $follows
     */
    private function keep(
        Entry $entry,
        Batch $batch,
        LimitRow $limit,
        CourseVerdict $verdict,
        RecordedTemperatures $record,
        ?int $provenUntil,
        ?CourseFinding $before,
        array $follows,
    ): void {
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
                    'silent_at' => self::moment($batch, $verdict->silentFromH()),
                    'next_at' => self::moment($batch, $verdict->nextH),
                    'proven_until' => $provenUntil,
                ],
                'as_of' => $record->asOf,
                'supersedes_id' => $before?->id,
                'at' => $entry->at,
                'person_id' => $entry->by->id,
            ]),
        );
        $what = new Statement(StatementCode::CourseJudged, [
            ...$verdict->facts,
            'name' => $limit->name,
            'kind_of_limit' => $limit->kind->value,
            'verdict' => ($verdict->conformity ?? Conformity::Inconclusive)->value,
        ]);
        if ($follows['deviates']) {
            BatchMoves::open(
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
            $batch->setRelation('newestEvent', BatchMoves::move($entry, $batch, BatchState::Held, $what));
        }
    }

    /** Of a span without an end: so long as nothing more is recorded, it counts as held until then; seconds since 1970. */
    private static function provenUntil(Batch $batch, LimitRow $limit, CourseVerdict $verdict, CarbonImmutable $now): ?int
    {
        if (($verdict->facts['kind'] ?? '') !== 'throughout' || ($verdict->facts['span_h'] ?? null) !== null) {
            return null;
        }
        $held = (CourseJudgements::work($batch, $limit, $now, toNow: true) ?? [null])[0];
        if ($held === null || $held->conformity !== Conformity::Inside) {
            return null;
        }
        [$last, $silence] = [$held->facts['last_h'], $held->facts['silence_h']];

        return is_float($last) && is_float($silence) ? self::moment($batch, $last + $silence) : null;
    }

    private static function moment(Batch $batch, ?float $hours): ?int
    {
        return $hours === null ? null : $batch->started_at->addSeconds((int) ceil(3600 * $hours))->getTimestamp();
    }
}
