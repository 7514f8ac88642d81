<?php

declare(strict_types=1);

namespace Rheacid\Actions\Batches;

use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Models\Batch;
use Rheacid\Models\Course;
use Rheacid\Models\CoursePart;
use Rheacid\Models\Person;
use Rheacid\Models\Thermometer;
use Rheacid\Queries\Ready\Thermometers;
use Rheacid\Records\Entry;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\Recording;
use Rheacid\Records\Refused;

/** Keeps a stretch of a batch's temperatures at one point, and judges what depends on them. */
final readonly class RecordCourse
{
    /** A figure has no place for more points. */
    private const DRAWN = 240;

    public function __construct(private WorkOutCourses $workOut) {}

    /**
     * @param non-empty-list<array{int, float}> $points [seconds of the epoch, °C as shown], times strictly increasing
     * @param string $point chamber, coldest, core or surface
     * @param bool $isComplete nothing more will follow
     *
     * @throws Refused
     */
    public function __invoke(
        Person $by,
        IdempotencyKey $form,
        Batch $batch,
        Thermometer $thermometer,
        string $point,
        array $points,
        Source $source,
        bool $isComplete,
    ): CoursePart {
        return Recording::once($by, $form, 'keep a course of temperatures', CoursePart::class, function (Entry $entry) use (
            $by,
            $batch,
            $thermometer,
            $point,
            $points,
            $source,
            $isComplete,
        ): CoursePart {
            $batch = BatchMoves::ensure($batch, null);
            $end = count($points) - 1;
            if ($points[$end][0] > $entry->at->getTimestamp() + 60) {
                throw Refused::because('The record reaches into the future. Look at the clock of the logger.', 'course');
            }
            $mean = array_sum(array_column($points, 1)) / count($points);
            $check
                = Thermometers::checkFor($thermometer, $mean)
                ?? throw Refused::because('This thermometer has never been checked. Check it first.', 'thermometer');
            $course
                = Course::query()
                    ->where(['batch_id' => $batch->id, 'thermometer_id' => $thermometer->id, 'point' => $point])
                    ->first()
                ?? $entry->add(
                    new Course([
                        'batch_id' => $batch->id,
                        'step' => '',
                        'point' => $point,
                        'thermometer_id' => $thermometer->id,
                        'at' => $entry->at,
                        'person_id' => $by->id,
                    ]),
                );
            $digest = hash('sha256', json_encode($points, JSON_THROW_ON_ERROR));
            self::ensureNew($digest);
            $outcome = $check->outcome;
            $isCorrected = $outcome?->outcome === Outcome::Correct;
            $part = $entry->add(
                new CoursePart([
                    'course_id' => $course->id,
                    'verification_id' => $check->id,
                    'gain' => $isCorrected ? $outcome->gain : 1.0,
                    'offset_c' => $isCorrected ? $outcome->offset_c : 0.0,
                    'expanded_u_c' => $check->toCore()->readingU(),
                    'source' => $source,
                    'points' => $points,
                    'drawn' => self::thinned($points),
                    'digest' => $digest,
                    'is_complete' => $isComplete,
                    'at' => $entry->at,
                    'person_id' => $by->id,
                ]),
            );
            ($this->workOut)($entry, $batch, isOwnRecord: true);

            return $part;
        });
    }

    /** @throws Refused where the same record was sent before, for this batch or another */
    private static function ensureNew(string $digest): void
    {
        $same = CoursePart::query()->where('digest', $digest)->first();
        if ($same !== null) {
            $of = Course::query()->with('batch')->findOrFail($same->course_id)->batch->code;
            throw Refused::because("This record already belongs to $of.", 'course');
        }
    }

    /**
     * Of each stretch its lowest and highest point, and both ends.
     *
     * @param non-empty-list<array{int, float}> $points
     *
     * @return non-empty-list<array{int, float}>
     */
    private static function thinned(array $points): array
    {
        if (count($points) <= self::DRAWN) {
            return $points;
        }
        $kept = [$points[0]];
        foreach (array_chunk($points, max(1, (int) ceil((2 * count($points)) / self::DRAWN))) as $chunk) {
            $values = array_column($chunk, 1);
            $ends = [(int) array_search(min($values), $values, true), (int) array_search(max($values), $values, true)];
            sort($ends);
            foreach (array_unique($ends) as $i) {
                if ($chunk[$i][0] > $kept[count($kept) - 1][0]) {
                    $kept[] = $chunk[$i];
                }
            }
        }
        $last = $points[count($points) - 1];

        return $kept[count($kept) - 1][0] < $last[0] ? [...$kept, $last] : $kept;
    }
}
