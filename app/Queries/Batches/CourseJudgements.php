<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Carbon\CarbonImmutable;
use Rheacid\Core\Courses\CourseVerdict;
use Rheacid\Core\Courses\DegreeHours;
use Rheacid\Core\Courses\HeatHold;
use Rheacid\Core\Courses\Lethality;
use Rheacid\Core\Courses\Throughout;
use Rheacid\Core\Courses\TimeBeyond;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Release\JudgedBefore;
use Rheacid\Models\Batch;
use Rheacid\Models\CourseFinding;
use Rheacid\Models\LimitRow;

/** Limits that are judged on records of temperature: gathered for the core, and what stands of them. */
final class CourseJudgements
{
    /** Where a limit without a point of its own is judged: at the warmest place of the room, or at the coldest of the food. */
    private const POINTS = [
        'degree-hours' => ['chamber', 'surface'],
        'heat-hold' => ['coldest', 'core'],
        'lethality' => ['coldest', 'core'],
    ];

    /**
     * @param bool $toNow whether a span without an end is taken to now, as a release does
     *
     * @return array{CourseVerdict, RecordedTemperatures}|null the worst of its points; null where nothing is on record
     */
    public static function work(Batch $batch, LimitRow $limit, CarbonImmutable $now, bool $toNow = false): ?array
    {
        $worst = null;
        foreach (self::POINTS[$limit->course['kind'] ?? ''] ?? [$limit->basis] as $point) {
            $record = RecordedTemperatures::of($batch, $point);
            if ($record === null) {
                continue;
            }
            $verdict = self::judge($batch, $limit, $record, $now, $toNow);
            $rank = static fn(CourseVerdict $one): int => $one->conformity?->rank() ?? 3;
            if ($worst === null || $rank($verdict) < $rank($worst[0])) {
                $worst = [$verdict, $record];
            }
        }

        return $worst;
    }

    /**
     * What a release asks of them.
     *
     * @param bool $isExact whether spans without an end are judged to this moment
     *
     * @return list<JudgedBefore>
     */
    public static function judged(Batch $batch, bool $isExact): array
    {
        $judged = [];
        $now = CarbonImmutable::now();
        $limits = array_values(array_filter($batch->limits(), static fn(LimitRow $limit): bool => $limit->course !== null));
        $findings = $limits === [] ? null : CourseFinding::standing($batch->id)->get()->keyBy('limit_name');
        foreach ($limits as $limit) {
            $finding = $findings?->get($limit->name);
            $isOpenEnded = ($limit->course['kind'] ?? '') === 'throughout' && self::spanH($batch, $limit) === null;
            $conformity = match (true) {
                $isExact && $isOpenEnded => (self::work($batch, $limit, $now, toNow: true) ?? [null])[0]?->conformity,
                $finding === null => null,
                $isOpenEnded => self::upToNow($finding, $now),
                default => $finding->isDue() ? $finding->verdict : null,
            };
            if ($conformity !== null) {
                $judged[] = new JudgedBefore($limit->name, $conformity, false, $conformity);
            }
        }

        return $judged;
    }

    private static function upToNow(CourseFinding $finding, CarbonImmutable $now): Conformity
    {
        if ($finding->isDue() && $finding->verdict === Conformity::Outside) {
            return Conformity::Outside;
        }
        $until = $finding->answer['proven_until'] ?? null;

        return is_int($until) && $now->getTimestamp() <= $until ? Conformity::Inside : Conformity::Inconclusive;
    }

    /** Hours between the steps of a span, or those that the limit names; null where it has no end yet. */
    private static function spanH(Batch $batch, LimitRow $limit): ?float
    {
        $course = $limit->course ?? [];
        if (is_numeric($course['hours'] ?? null)) {
            return (float) $course['hours'];
        }
        $to = is_string($course['to'] ?? null) ? $batch->begun($course['to']) : null;
        $from = $batch->begun(self::from($course));

        return $to === null || $from === null || $to <= $from ? null : $from->diffInSeconds($to) / 3600;
    }

    /** @param array<string, mixed> $course */
    private static function from(array $course): string
    {
        return is_string($course['from'] ?? null) ? $course['from'] : ProductLimit::START;
    }

    private static function judge(
        Batch $batch,
        LimitRow $limit,
        RecordedTemperatures $record,
        CarbonImmutable $now,
        bool $toNow,
    ): CourseVerdict {
        $course = $limit->course ?? [];
        $number = static fn(string $key, float $default): float => is_numeric($course[$key] ?? null) ? (float) $course[$key] : $default;
        $hours = static fn(?CarbonImmutable $at): ?float => $at === null ? null : $batch->started_at->diffInSeconds($at) / 3600;
        $fromH = $hours($batch->begun(self::from($course)));
        if ($fromH === null) {
            return CourseVerdict::awaitsStep(self::from($course));
        }
        $nowH = (float) $hours($now);

        return match ($course['kind'] ?? '') {
            'degree-hours' => self::degreeHours($batch, $record, $fromH, $nowH, $number('ph_limit', DegreeHours::PH_LIMIT)),
            'heat-hold' => CourseVerdict::heatHold(
                $record->merged(isWorstHigh: false),
                $record->expandedU,
                $number('minimum_c', 0.0),
                $number('minutes', 1.0),
                $number('gap_minutes', HeatHold::GAP_MIN),
                is_string($course['from'] ?? null) ? $fromH : null,
                is_string($course['to'] ?? null) ? $hours($batch->begun($course['to'])) : null,
                $record->isComplete && !is_string($course['to'] ?? null),
            ),
            'lethality' => CourseVerdict::lethality(
                $record->merged(isWorstHigh: false),
                $record->expandedU,
                $number('units', 1.0),
                (float) $limit->low,
                $number('z_c', Lethality::BEER_Z_C),
                $number('gap_minutes', Lethality::GAP_MIN),
                is_string($course['from'] ?? null) ? $fromH : null,
                is_string($course['to'] ?? null) ? $hours($batch->begun($course['to'])) : null,
                $record->isComplete && !is_string($course['to'] ?? null),
            ),
            'time-beyond' => CourseVerdict::timeBeyond(
                $record->merged(isWorstHigh: true),
                $record->expandedU,
                (float) $limit->high,
                $number('hours', 1.0),
                $number('gap_h', TimeBeyond::SILENCE_H),
                $fromH,
                is_string($course['to'] ?? null) ? $hours($batch->begun($course['to'])) : null,
                $record->isComplete && !is_string($course['to'] ?? null),
            ),
            default => CourseVerdict::throughout(
                $record->merged(isWorstHigh: $limit->high !== null),
                $limit->kind->binds() ? $record->expandedU : 0.0,
                $limit->toCore()->limit,
                $fromH,
                self::spanH($batch, $limit),
                $number('gap_h', Throughout::GAP_H),
                $nowH,
                $toNow,
            ),
        };
    }

    private static function degreeHours(
        Batch $batch,
        RecordedTemperatures $record,
        float $fromH,
        float $nowH,
        float $phLimit,
    ): CourseVerdict {
        $ph = Series::slowest($batch, $phLimit);

        return CourseVerdict::degreeHours(
            $record->merged(isWorstHigh: true),
            $record->expandedU,
            $fromH,
            $nowH,
            array_map(static fn(array $one): array => [$one['hours'], $one['ph']], $ph),
            max([0.0, ...array_column($ph, 'u')]),
            $phLimit,
        );
    }
}
