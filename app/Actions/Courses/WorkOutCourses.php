<?php

declare(strict_types=1);

namespace Rheacid\Actions\Courses;

use Carbon\CarbonImmutable;
use Rheacid\Batches\Life;
use Rheacid\Batches\Series;
use Rheacid\Core\Celsius;
use Rheacid\Core\Courses\CourseJudgement;
use Rheacid\Core\Courses\DegreeHours;
use Rheacid\Core\Courses\HeatHold;
use Rheacid\Core\Limits\BatchState;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Numbers;
use Rheacid\Courses\Record;
use Rheacid\Models\Batch;
use Rheacid\Models\Course;
use Rheacid\Models\CourseFinding;
use Rheacid\Models\LimitRow;
use Rheacid\Records\Entry;

/** Judges the limits that hang on records of temperature anew, when such a record has grown or a pH was read. */
final class WorkOutCourses
{
    /** Where a limit is judged: at the warmest place of the room, or at the coldest of the food. */
    private const POINTS = ['degree-hours' => ['chamber', 'surface'], 'heat-hold' => ['coldest', 'core']];

    public function __invoke(Entry $entry, Batch $batch): void
    {
        foreach ($batch->product->limits as $limit) {
            $kind = $limit->course['kind'] ?? null;
            if (!is_string($kind)) {
                continue;
            }
            foreach (Course::query()->where('batch_id', $batch->id)->whereIn('point', self::POINTS[$kind] ?? [])->get() as $course) {
                $this->judge($entry, $batch, $limit, $course);
            }
        }
    }

    private function judge(Entry $entry, Batch $batch, LimitRow $limit, Course $course): void
    {
        $record = Record::of($course);
        if ($record === null) {
            return;
        }
        [$judgement, $answer] = ($limit->course['kind'] ?? '') === 'heat-hold' ? self::heatHold($limit, $record) : self::degreeHours($batch, $limit, $record);
        $before = $course->findings()->where('limit_name', $limit->name)->first();
        $finding = $entry->add(new CourseFinding([
            'course_id' => $course->id,
            'limit_name' => $limit->name,
            'verdict' => $judgement->conformity ?? Conformity::Inconclusive,
            'answer' => [...$answer, 'is_due' => $judgement->conformity !== null, 'distrust' => $record->distrust],
            'as_of' => CarbonImmutable::createFromTimestamp($record->points[count($record->points) - 1][0]),
            'supersedes_id' => $before?->id,
            'at' => $entry->at,
            'person_id' => $entry->by->id,
        ]));
        if ($judgement->conformity === Conformity::Outside && $limit->kind->binds() && $batch->state()->isLive()) {
            $what = sprintf('%s is not met: %s', $limit->name, $finding->answer['words']);
            Life::deviate($entry, $batch, $limit->name, $limit->kind, ($limit->course['kind'] ?? '') === 'degree-hours', $what, null);
            if ($batch->state()->mayBecome(BatchState::Held)) {
                Life::move($entry, $batch, BatchState::Held, $what);
                $batch->load('newestEvent');
            }
        }
    }

    /** @return array{CourseJudgement, array<string, mixed>} */
    private static function degreeHours(Batch $batch, LimitRow $limit, Record $record): array
    {
        $temperatures = $record->hours(CarbonImmutable::instance($batch->started_at));
        $first = $temperatures[0][0];
        $last = $temperatures[count($temperatures) - 1][0];
        $course = Series::course($batch);
        // What was read before the sausage was warm decides nothing, nor what was read long after its record ends.
        $ph = array_values(array_filter($course, static fn(array $reading): bool => $reading[0] >= $first - 1 && $reading[0] <= $last + 1));
        $isBehind = $course !== [] && $course[count($course) - 1][0] > $last + 1;
        $counted = DegreeHours::of($temperatures, isCelsius: true, expandedU: $record->expandedU, ph: $ph, phExpandedU: Series::newestU($batch) ?? 0.0, phLimit: (float) ($limit->course['ph_limit'] ?? DegreeHours::PH_LIMIT));
        $words = sprintf('%.0f °F·h of %.0f allowed%s%s%s', $counted->degreeHours, $counted->allowed, $counted->hoursToLimit === null ? ', and the pH has not come down' : '', $counted->gaps === [] ? '' : sprintf('; the record is silent for more than an hour %s', count($counted->gaps) === 1 ? 'once' : count($counted->gaps) . ' times'), $isBehind ? '; the pH was read more than an hour after the record ends: send what came after' : '');

        return [CourseJudgement::ofDegreeHours($counted, $record->distrust === null), ['words' => $words, 'degree_hours' => $counted->degreeHours, 'allowed' => $counted->allowed, 'remaining' => $counted->remaining, 'gaps' => array_slice($counted->gaps, 0, 20), 'hours_to_limit' => $counted->hoursToLimit]];
    }

    /** @return array{CourseJudgement, array<string, mixed>} */
    private static function heatHold(LimitRow $limit, Record $record): array
    {
        [$minimum, $minutes] = [(float) ($limit->course['minimum_c'] ?? 0), (float) ($limit->course['minutes'] ?? 0)];
        $hold = HeatHold::of($record->minutes(), $record->expandedU, $minimum, $minutes);
        $words = sprintf('%s min at %s or more, its uncertainty taken off; %s min are needed', Numbers::plain(round($hold->longestMinutes, 1)), Celsius::at($minimum), Numbers::plain($minutes));

        return [CourseJudgement::ofHeatHold($hold, HeatHold::of($record->minutes(), 0.0, $minimum, $minutes), !$record->isComplete, $record->distrust === null), ['words' => $words, 'longest_minutes' => $hold->longestMinutes, 'from_minute' => $hold->fromMinute, 'to_minute' => $hold->toMinute]];
    }
}
