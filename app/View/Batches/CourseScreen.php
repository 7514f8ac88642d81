<?php

declare(strict_types=1);

namespace Rheacid\View\Batches;

use Illuminate\Database\Eloquent\Collection;
use Rheacid\Models\Batch;
use Rheacid\Models\Course;
use Rheacid\Models\CourseFinding;
use Rheacid\Models\LimitRow;
use Rheacid\Queries\Board\Lines;
use Rheacid\Queries\Board\ThermometerLine;
use Rheacid\View\Figures\CourseChart;

/** What the page of a batch's temperatures shows. */
final readonly class CourseScreen
{
    private const COURSES = 8;
    private const FINDINGS = 20;

    /**
     * @param Collection<int, Course> $courses
     * @param list<LimitRow> $limits that are judged on a record
     * @param list<CourseFinding> $findings that stand
     * @param list<ThermometerLine> $thermometers
     */
    private function __construct(
        public Batch $batch,
        public Collection $courses,
        public array $limits,
        public array $findings,
        public ?CourseChart $chart,
        public array $thermometers,
    ) {}

    /**
     * @param list<CourseFinding> $findings
     *
     * @return list<array{float, float}> hours from and to, each once
     */
    private static function gaps(array $findings): array
    {
        $gaps = [];
        foreach ($findings as $finding) {
            foreach (is_array($finding->answer['gaps'] ?? null) ? $finding->answer['gaps'] : [] as $gap) {
                if (is_array($gap) && is_numeric($gap[0] ?? null) && is_numeric($gap[1] ?? null)) {
                    $gaps["$gap[0] $gap[1]"] = [(float) $gap[0], (float) $gap[1]];
                }
            }
        }

        return array_values($gaps);
    }

    /** @return list<CourseFinding> the worst first */
    public static function findings(Batch $batch): array
    {
        $names = array_map(static fn(LimitRow $limit): string => (string) $limit->name, $batch->limits());
        $findings = CourseFinding::standing($batch->id)->whereIn('limit_name', $names)->limit(self::FINDINGS)->get()->all();
        usort(
            $findings,
            static fn(CourseFinding $a, CourseFinding $b): int => [$a->isDue() ? $a->verdict->rank() : 3] <=> [
                $b->isDue() ? $b->verdict->rank() : 3,
            ],
        );

        return $findings;
    }

    public static function of(Batch $batch): self
    {
        $batch->load(Batch::JUDGED);
        $courses = Course::query()
            ->with([
                'thermometer',
                'strikes',
                'parts' => static fn($query) => $query->select(['id', 'course_id', 'drawn', 'is_complete', 'expanded_u_c', 'at']),
            ])
            ->where('batch_id', $batch->id)
            ->orderByDesc('id')
            ->limit(self::COURSES)
            ->get();
        $lines = [];
        $start = $batch->started_at->getTimestamp();
        foreach ($courses as $course) {
            $points = [];
            foreach ($course->parts as $part) {
                array_push(
                    $points,
                    ...array_map(
                        static fn(array $point): array => [((int) $point[0] - $start) / 3600, (float) $point[1]],
                        array_values(array_filter((array) $part->drawn, is_array(...))),
                    ),
                );
            }
            $lines[] = ['name' => $course->point, 'points' => $points];
        }

        $findings = self::findings($batch);

        return new self(
            $batch,
            $courses,
            array_values(array_filter($batch->limits(), static fn(LimitRow $limit): bool => $limit->course !== null)),
            $findings,
            $lines === [] ? null : new CourseChart($lines, self::gaps($findings)),
            self::fitFirst(Lines::thermometers()),
        );
    }

    /**
     * What is not checked proves nothing, so it is not offered first.
     *
     * @param list<ThermometerLine> $thermometers
     *
     * @return list<ThermometerLine>
     */
    private static function fitFirst(array $thermometers): array
    {
        usort(
            $thermometers,
            static fn(ThermometerLine $a, ThermometerLine $b): int => $b->status()->state->isInForce() <=> $a->status()->state->isInForce(),
        );

        return $thermometers;
    }
}
