<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Rheacid\Models\Batch;
use Rheacid\Models\CourseFinding;
use Rheacid\Models\Site;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;

/** What comes of itself while nobody records anything: a span that is over, degree-hours that run on. */
final readonly class WatchCourses
{
    public function __construct(private WorkOutCourses $workOut) {}

    /** @return int of how many batches something was worked out */
    public function __invoke(): int
    {
        $site = Site::current()?->person;
        if ($site === null) {
            return 0;
        }
        $due = CourseFinding::come('next_at')->distinct()->pluck('course_findings.batch_id');
        foreach ($due as $id) {
            Recording::once($site, IdempotencyKey::own(), 'work out temperatures', CourseFinding::class, function (Entry $entry) use (
                $id,
            ): CourseFinding {
                $batch = BatchMoves::locked(Batch::query()->whereKey($id)->sole());
                ($this->workOut)($entry, $batch);

                return CourseFinding::standing($batch->id)->orderByDesc('id')->firstOrFail();
            });
        }

        return $due->count();
    }
}
