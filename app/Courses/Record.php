<?php

declare(strict_types=1);

namespace Rheacid\Courses;

use Carbon\CarbonImmutable;
use Rheacid\Core\Courses\StretchDoubt;
use Rheacid\Models\Course;
use Rheacid\Models\CoursePart;
use Rheacid\Models\Verification;

/** All the points of a course with what they rest on: read where it is judged, never by a page. */
final readonly class Record
{
    /**
     * @param non-empty-list<array{int, float}> $points [seconds of the epoch, °C, corrected]
     * @param float $expandedU the largest of its parts, °C
     * @param string|null $distrust why it proves nothing; null where it does
     */
    private function __construct(public array $points, public float $expandedU, public bool $isComplete, public ?string $distrust) {}

    /** Null where nothing is on record yet. */
    public static function of(Course $course): ?self
    {
        $points = [];
        $u = 0.0;
        $last = null;
        $distrust = null;
        foreach ($course->parts()->get() as $part) {
            $stretch = [];
            foreach ($part->points as $point) {
                if (is_array($point) && is_numeric($point[0] ?? null) && is_numeric($point[1] ?? null)) {
                    $stretch[] = [(int) $point[0], $part->gain * (float) $point[1] + $part->offset_c];
                }
            }
            if ($stretch === []) {
                continue;
            }
            array_push($points, ...$stretch);
            $u = max($u, $part->expanded_u_c);
            $last = $part;
            // One stretch that proves nothing leaves the whole unproven, whatever was checked since.
            $distrust ??= self::distrust($part, max(array_column($stretch, 1)));
        }

        return $last === null || $points === [] ? null : new self($points, $u, $last->is_complete === true, $distrust);
    }

    private static function distrust(CoursePart $part, float $highestC): ?string
    {
        $check = Verification::query()->with('outcome')->find($part->verification_id);

        return StretchDoubt::of($check?->toCore()->isFailed(), $check?->due_at, $part->at, $check?->covers($highestC) === true)?->words($highestC);
    }

    /** @return non-empty-list<array{float, float}> on the clock of a batch, in hours */
    public function hours(CarbonImmutable $since): array
    {
        return array_map(static fn(array $point): array => [($point[0] - $since->getTimestamp()) / 3600, $point[1]], $this->points);
    }

    /** @return non-empty-list<array{float, float}> in minutes since its first point */
    public function minutes(): array
    {
        $first = $this->points[0][0];

        return array_map(static fn(array $point): array => [($point[0] - $first) / 60, $point[1]], $this->points);
    }
}
