<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Carbon\CarbonImmutable;
use Rheacid\Core\Courses\MergedRecord;
use Rheacid\Core\Courses\Stretch;
use Rheacid\Core\Courses\StretchDoubt;
use Rheacid\Models\Batch;
use Rheacid\Models\Course;
use Rheacid\Models\CoursePart;
use Rheacid\Models\CourseStrike;
use Rheacid\Models\Verification;

/** All that was recorded of a batch's temperatures at one point, by however many loggers: read where it is judged, never by a page. */
final readonly class RecordedTemperatures
{
    /**
     * @param Course $first under which what is worked out is kept
     * @param list<Stretch> $stretches in hours since the batch began, °C corrected
     * @param list<array{float, float}> $struck hours from and to that a lead struck out
     * @param float $expandedU the largest of the parts that are trusted, °C
     * @param string|null $distrust why a part proves nothing; null where all do
     */
    private function __construct(
        public Course $first,
        private array $stretches,
        private array $struck,
        public float $expandedU,
        public bool $isComplete,
        public ?string $distrust,
        public CarbonImmutable $asOf,
    ) {}

    /** Null where nothing is on record yet. */
    public static function of(Batch $batch, string $point): ?self
    {
        $courses = Course::query()
            ->with(['parts', 'strikes'])
            ->where('batch_id', $batch->id)
            ->where('point', $point)
            ->orderBy('id')
            ->get();
        // Asked of the models once: a record has a hundred thousand points.
        $start = $batch->started_at->getTimestamp();
        $hours = static fn(int $second): float => ($second - $start) / 3600;
        [$stretches, $struck, $u, $isComplete, $distrust, $last] = [[], [], 0.0, false, null, null];
        foreach ($courses as $course) {
            $strikes = array_values(
                $course->strikes
                    ->map(
                        static fn(CourseStrike $one): array => [$hours($one->from_at->getTimestamp()), $hours($one->to_at->getTimestamp())],
                    )
                    ->all(),
            );
            foreach ($course->parts as $part) {
                $points = self::points($part);
                if ($points === []) {
                    continue;
                }
                $why = self::distrust($part, max(array_column($points, 1)));
                $distrust ??= $why;
                $u = $why === null ? max($u, $part->expanded_u_c) : $u;
                $stretch = new Stretch(array_map(static fn(array $point): array => [$hours($point[0]), $point[1]], $points), $why === null);
                [$left, $out] = $stretch->without($strikes);
                $stretches = [...$stretches, ...$left];
                $struck = [...$struck, ...$out];
                $isComplete = $part->is_complete === true;
                $last = max($last ?? 0, $points[count($points) - 1][0]);
            }
        }
        $first = $courses->first();

        return $first === null || $last === null
            ? null
            : new self($first, $stretches, $struck, $u, $isComplete, $distrust, CarbonImmutable::createFromTimestamp($last));
    }

    /** @param bool $isWorstHigh whether the higher temperature is the worse one */
    public function merged(bool $isWorstHigh): MergedRecord
    {
        return MergedRecord::of($this->stretches, $this->struck, $isWorstHigh);
    }

    /** @return list<array{int, float}> seconds of the epoch, °C corrected */
    private static function points(CoursePart $part): array
    {
        [$points, $gain, $offset] = [[], $part->gain, $part->offset_c];
        foreach ($part->points as $point) {
            if (is_array($point) && is_numeric($point[0] ?? null) && is_numeric($point[1] ?? null)) {
                $points[] = [(int) $point[0], $gain * (float) $point[1] + $offset];
            }
        }

        return $points;
    }

    private static function distrust(CoursePart $part, float $highestC): ?string
    {
        $check = Verification::query()->with('outcome')->find($part->verification_id);

        return StretchDoubt::of($check?->toCore()->isFailed(), $check?->due_at, $part->at, $check?->covers($highestC) === true)?->words(
            $highestC,
        );
    }
}
