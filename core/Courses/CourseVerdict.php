<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Celsius;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\Limit;

/**
 * What a record of temperatures says of one limit that is judged on it, with what a sentence about it needs. Hours count from the start of
 * the batch.
 */
final readonly class CourseVerdict
{
    /** More gaps are told in no answer. */
    private const GAPS = 20;
    /** Silences shorter than this many hours end what they end before a warning could be read. Common practice, no source. */
    private const WARNED_H = 1.0;

    /**
     * @param Conformity|null $conformity null while it is not due
     * @param array<string, mixed> $facts for CourseWords
     * @param float|null $nextH when it has to be worked out again though nothing is recorded; null where nothing comes of itself
     */
    private function __construct(public ?Conformity $conformity, public array $facts, public ?float $nextH = null) {}

    /** While the step from which it counts is not on record, nothing is proven. */
    public static function awaitsStep(string $step): self
    {
        return new self(null, ['kind' => 'step', 'step' => $step]);
    }

    public static function nothingTrusted(): self
    {
        return new self(null, ['kind' => 'nothing']);
    }

    /**
     * @param list<array{float, float}> $ph [h, pH] of samples with all their places
     */
    public static function degreeHours(
        MergedRecord $record,
        float $expandedU,
        float $fromH,
        float $nowH,
        array $ph,
        float $phExpandedU,
        float $phLimit,
    ): self {
        $points = $record->points;
        if ($points === []) {
            return self::nothingTrusted();
        }
        [$lastH, $lastC] = $points[count($points) - 1];
        if ($fromH > $lastH) {
            return self::nothingTrusted();
        }
        $counted = DegreeHours::of(
            $points,
            true,
            DegreeHours::BASE_F,
            $expandedU,
            $ph,
            $phExpandedU,
            $phLimit,
            $fromH,
            max($nowH, $lastH, $ph === [] ? $nowH : $ph[count($ph) - 1][0]),
            $record->leftOut,
        );
        $excess = Celsius::fahrenheit($lastC + $expandedU) - DegreeHours::BASE_F;

        return new self(
            CourseJudgement::ofDegreeHours($counted, $lastH)->conformity,
            [
                'kind' => 'degree-hours',
                'degree_hours' => $counted->degreeHours,
                'allowed' => $counted->allowed,
                'remaining' => $counted->remaining,
                'gaps' => array_slice($counted->gaps, 0, self::GAPS),
                'gap_count' => count($counted->gaps),
                'silent_h' => $counted->silentHours,
                'hours_to_limit' => $counted->hoursToLimit,
            ],
            $counted->verdict === DegreeHoursVerdict::Running && $excess > 0 ? $nowH + $counted->remaining / $excess : null,
        );
    }

    /**
     * @param float|null $fromH and $toH steps between which it counts; where no step ends it, null
     * @param bool $isClosed nothing more will follow
     */
    public static function heatHold(
        MergedRecord $record,
        float $expandedU,
        float $minimumC,
        float $minutes,
        float $gapMinutes,
        ?float $fromH,
        ?float $toH,
        bool $isClosed,
    ): self {
        if ($record->points === []) {
            return self::nothingTrusted();
        }
        $inMinutes = self::inMinutes($record->points);
        $of = static fn(float $u): HeatHold => HeatHold::of(
            $inMinutes,
            $u,
            $minimumC,
            $minutes,
            $gapMinutes,
            self::minutes($fromH),
            self::minutes($toH),
            $record->leftOut->times(60.0),
        );
        $hold = $of($expandedU);

        return new self(CourseJudgement::ofHeatHold($hold, $of(0.0), $toH === null && !$isClosed)->conformity, [
            'kind' => 'heat-hold',
            'minimum_c' => $minimumC,
            'minutes' => $minutes,
            'longest_minutes' => $hold->longestMinutes,
            'running_minutes' => $hold->runningMinutes,
            'from_minute' => $hold->fromMinute,
            'to_minute' => $hold->toMinute,
            'last_h' => $record->points[count($record->points) - 1][0],
            'silence_h' => $gapMinutes / 60,
        ]);
    }

    /**
     * Lethal units at the slowest place, between the steps that are named.
     *
     * @param float|null $fromH and $toH steps between which it counts; where no step ends it, null
     * @param bool $isClosed nothing more will follow
     */
    public static function lethality(
        MergedRecord $record,
        float $expandedU,
        float $needed,
        float $baseC,
        float $zC,
        float $gapMinutes,
        ?float $fromH,
        ?float $toH,
        bool $isClosed,
    ): self {
        if ($record->points === []) {
            return self::nothingTrusted();
        }
        $inMinutes = self::inMinutes($record->points);
        $of = static fn(float $u): Lethality => Lethality::of(
            $inMinutes,
            $u,
            $baseC,
            $zC,
            $gapMinutes,
            $record->leftOut->times(60.0),
            self::minutes($fromH),
            self::minutes($toH),
        );
        [$units, $withoutU] = [$of($expandedU), $of(0.0)];

        return new self(CourseJudgement::ofLethality($units, $withoutU, $needed, $toH === null && !$isClosed)->conformity, [
            'kind' => 'lethality',
            'units' => $units->unitsMin,
            'needed' => $needed,
            'base_c' => $baseC,
            'z_c' => $zC,
            'gaps' => array_slice(array_map(static fn(array $gap): array => [$gap[0] / 60, $gap[1] / 60], $units->gaps), 0, self::GAPS),
            'gap_count' => count($units->gaps),
            'last_h' => $record->points[count($record->points) - 1][0],
            'silence_h' => $gapMinutes / 60,
        ]);
    }

    /**
     * Hours beyond a temperature, from a step on.
     *
     * @param float|null $toH the step that ends it; null where there is none yet
     * @param bool $isClosed nothing more will follow
     */
    public static function timeBeyond(
        MergedRecord $record,
        float $expandedU,
        float $limitC,
        float $allowedH,
        float $gapH,
        float $fromH,
        ?float $toH,
        bool $isClosed,
    ): self {
        if ($record->points === []) {
            return self::nothingTrusted();
        }
        $lastH = $record->points[count($record->points) - 1][0];
        // What follows the last temperature is awaited until a step says that it is over.
        $endH = $toH ?? max($lastH, $fromH);
        $of = static fn(float $u): TimeBeyond => TimeBeyond::of($record->points, $u, $limitC, $gapH, $record->leftOut, $fromH, $endH);
        [$most, $least] = [$of($expandedU), $of(-$expandedU)];

        return new self(CourseJudgement::ofTimeBeyond($most, $least, $allowedH, $toH === null && !$isClosed)->conformity, [
            'kind' => 'time-beyond',
            'hours' => $most->hours,
            'allowed_h' => $allowedH,
            'limit_c' => $limitC,
            'gaps' => array_slice($most->gaps, 0, self::GAPS),
            'gap_count' => count($most->gaps),
            'silent_h' => $most->hours - $most->recordedHours(),
            'last_h' => $lastH,
            'silence_h' => $gapH,
        ]);
    }

    /**
     * @param float|null $hours of the span; without an end if null
     * @param bool $toNow whether a span without an end is taken to now, as a release does
     */
    public static function throughout(
        MergedRecord $record,
        float $expandedU,
        Limit $limit,
        float $fromH,
        ?float $hours,
        float $gapH,
        float $nowH,
        bool $toNow = false,
    ): self {
        if ($record->points === []) {
            return self::nothingTrusted();
        }
        $now = max($nowH, $record->points[count($record->points) - 1][0]);
        $span = $hours ?? ($toNow && $now > $fromH ? $now - $fromH : null);
        $edges = array_values(
            array_filter([
                $limit->high === null ? null : [Comparison::AtMost, $limit->high],
                $limit->low === null ? null : [Comparison::AtLeast, $limit->low],
            ]),
        );
        $worst = null;
        foreach ($edges as [$comparison, $edge]) {
            $held = Throughout::of(
                $record->points,
                $expandedU,
                $comparison,
                $edge,
                min($fromH, $now),
                $span,
                $now,
                $gapH,
                $record->leftOut,
            );
            $isOver = $held->endH !== null && $now >= $held->endH - 1e-9;
            $one = new self(
                CourseJudgement::ofThroughout($held, $isOver)->conformity,
                [
                    'kind' => 'throughout',
                    'op' => $comparison->value,
                    'value_c' => $edge,
                    'verdict' => $held->verdict->value,
                    'worst_c' => $held->worstC,
                    'covered_h' => $held->coveredH,
                    'first_outside_h' => $held->firstOutsideH,
                    'gaps' => array_slice($held->gaps, 0, self::GAPS),
                    'gap_count' => count($held->gaps),
                    'since_h' => $now - $fromH,
                    'span_h' => $hours,
                    'last_h' => $record->points[count($record->points) - 1][0],
                    'silence_h' => $span === null ? $gapH : min($gapH, $span / 4),
                ],
                $hours !== null && !$isOver ? $fromH + $hours : null,
            );
            $worst = $worst === null || self::rank($one) < self::rank($worst) ? $one : $worst;
        }

        return $worst ?? throw new \LogicException('A limit has an edge.');
    }

    /**
     * After this many hours, with nothing more recorded, people are warned of the silence; null where none would be heard: what is judged,
     * and what runs for minutes.
     */
    public function silentFromH(): ?float
    {
        [$lastH, $silenceH] = [$this->facts['last_h'] ?? null, $this->facts['silence_h'] ?? null];

        return $this->conformity === null && is_float($lastH) && is_float($silenceH) && $silenceH >= self::WARNED_H
            ? $lastH + $silenceH
            : null;
    }

    /**
     * @param non-empty-list<array{float, float}> $points [h, °C]
     *
     * @return non-empty-list<array{float, float}> [min, °C]
     */
    private static function inMinutes(array $points): array
    {
        return array_map(static fn(array $point): array => [60 * $point[0], $point[1]], $points);
    }

    private static function minutes(?float $hours): ?float
    {
        return $hours === null ? null : 60 * $hours;
    }

    private static function rank(self $one): int
    {
        return $one->conformity?->rank() ?? ($one->facts['verdict'] === ThroughoutVerdict::Inconclusive->value ? 1 : 2);
    }
}
