<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Carbon\CarbonImmutable;
use Rheacid\Core\Access\Right;
use Rheacid\Models\Course;
use Rheacid\Models\CoursePart;
use Rheacid\Models\CourseStrike;
use Rheacid\Models\Person;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** A lead excludes a stretch of temperatures that were not the food's: a door, a logger on the desk. It counts as a gap. */
final readonly class StrikeOut
{
    public function __construct(private WorkOutCourses $workOut) {}

    /** @throws Refused */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Course $course,
        CarbonImmutable $from,
        CarbonImmutable $to,
        ?string $reason,
    ): CourseStrike {
        return Recording::once(
            $by,
            $form,
            'strike out temperatures',
            CourseStrike::class,
            function (Entry $entry) use ($by, $course, $from, $to, $reason): CourseStrike {
                $batch = BatchMoves::locked($course->batch);
                if ($reason === null) {
                    throw Refused::because('Write why these temperatures are not those of the food.', 'reason');
                }
                if ($to <= $from) {
                    throw Refused::because('The end must be after the start.', 'to_at');
                }
                $isOnRecord = $course->parts->contains(
                    static fn(CoursePart $part): bool => array_filter(
                        $part->points,
                        static fn(mixed $point): bool => is_array($point)
                            && is_int($point[0] ?? null)
                            && $point[0] >= $from->getTimestamp()
                            && $point[0] <= $to->getTimestamp(),
                    ) !== [],
                );
                if (!$isOnRecord) {
                    throw Refused::because('No temperature of this record is in that time.', 'from_at');
                }
                $strike = $entry->add(
                    new CourseStrike([
                        'course_id' => $course->id,
                        'from_at' => $from,
                        'to_at' => $to,
                        'reason' => $reason,
                        'at' => $entry->at,
                        'person_id' => $by->id,
                    ]),
                );
                ($this->workOut)($entry, $batch, isOwnRecord: true);

                return $strike;
            },
            Right::Lead,
        );
    }
}
