<?php

declare(strict_types=1);

namespace Tests\Statistics;

use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Batches\Consequences;
use Rheacid\Core\Courses\CourseVerdict;
use Rheacid\Core\Courses\MergedRecord;
use Rheacid\Core\Courses\Stretch;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\JudgedOccasion;
use Rheacid\Core\Limits\JudgedReplicate;
use Rheacid\Core\Limits\Occasion;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\Result;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Products\LibraryProduct;
use Rheacid\Core\Release\JudgedBefore;
use Rheacid\Core\Release\Release;
use Rheacid\Core\Release\ReleaseLimit;
use Rheacid\Core\Sampling\Places;

/** A batch in memory, on the clock of its start: it keeps what is recorded, and lets the core judge all of it after each event. */
final class DrawnBatch
{
    public BatchState $state = BatchState::Running;

    /** @var array<string, float> */
    public array $steps = [ProductLimit::START => 0.0];
    /** @var array<string, bool> */
    public array $answers = [];
    /**
     * @var list<array{
     *     at: float, stage: Stage,
     *     results: list<array{measurand: string, basis: string, place: string, value: float, u: float, trusted: bool}>,
     * }>
     */
    public array $occasions = [];
    /** @var array<string, list<array{points: non-empty-list<array{float, float}>, trusted: bool}>> by point */
    public array $parts = [];
    /** @var list<array{limit: string, missed: bool, at: float, decided: bool, until: float|null}> */
    public array $deviations = [];

    /** @var array<string, ProductLimit> */
    public array $limits = [];
    /** @var array<string, array<string, mixed>> */
    public array $courses = [];
    /** @var array<int, array<string, array{conformity: Conformity, late: bool, open: bool}>> */
    private array $said = [];
    /** @var array<string, Conformity|null> */
    private array $found = [];
    /** @var array<int, JudgedOccasion> */
    private array $judged = [];

    /** @param list<string> $needed places */
    public function __construct(
        LibraryProduct $product,
        public readonly string $route,
        public readonly array $needed,
        public readonly bool $needsNone = false,
    ) {
        $judged = $product->judged();
        foreach ($product->limits as $limit) {
            if ($limit['routes'] !== null && !in_array($route, $limit['routes'], true)) {
                continue;
            }
            $this->limits[$limit['name']] = $judged[$limit['name']];
            if ($limit['course'] !== null) {
                $this->courses[$limit['name']] = $limit['course'];
            }
        }
    }

    /** Everything is judged again, and what follows is kept. */
    public function judge(float $now): void
    {
        $met = [];
        $order = array_keys($this->occasions);
        usort($order, fn(int $a, int $b): int => $this->occasions[$a]['at'] <=> $this->occasions[$b]['at']);
        foreach ($order as $i) {
            $judged = $this->judged[$i] = $this->judgeOccasion($i, $met);
            foreach ($judged->due as $one) {
                if (
                    $one->limit->applies === Applies::WithinHours
                    && $one->conformity === Conformity::Inside
                    && !$one->late
                    && !$judged->occasion->isOpenFor($one->limit)
                ) {
                    $met[] = $one->limit->limit->name;
                }
            }
            $follows = Consequences::of($this->state, $judged, $this->said[$i] ?? [], false, false);
            $this->said[$i] = [];
            foreach ($judged->due as $one) {
                $this->said[$i][$one->limit->limit->name] = [
                    'conformity' => $one->conformity,
                    'late' => $one->late,
                    'open' => $judged->occasion->isOpenFor($one->limit),
                ];
            }
            foreach ($follows->deviations as $one) {
                $this->deviate($one->limit->limit->name, $one->late, $now);
            }
            $this->state = $follows->holds === null ? $this->state : BatchState::Held;
        }
        $this->missDeadlines($now, $met);
        $this->judgeCourses($now);
    }

    public function release(float $now): Release
    {
        $history = [];
        foreach ($this->judged as $i => $judged) {
            $history[$i] = [];
            foreach ($judged->due as $one) {
                if (!$judged->occasion->isOpenFor($one->limit) || $one->conformity === Conformity::Outside) {
                    $history[$i][] = new JudgedBefore($one->limit->limit->name, $one->conformity, $one->late, $one->valueConformity);
                }
            }
        }
        uksort($history, fn(int $a, int $b): int => $this->occasions[$a]['at'] <=> $this->occasions[$b]['at']);
        $courses = [];
        foreach (array_keys($this->courses) as $name) {
            $conformity = $this->courseVerdict($name, $now, toNow: true)?->conformity;
            $courses = $conformity === null ? $courses : [...$courses, new JudgedBefore($name, $conformity, false, $conformity)];
        }
        $open = array_filter(array_keys($this->occasions), fn(int $i): bool => $this->waits($i, $now));

        return Release::of(
            array_values(
                array_map(
                    static fn(ProductLimit $limit): ReleaseLimit => new ReleaseLimit(
                        $limit->limit->name,
                        $limit->limit->kind,
                        $limit->condition,
                    ),
                    $this->limits,
                ),
            ),
            [...array_values($history), $courses],
            $this->answers,
            $this->disposedForGood(),
            $this->undecided() !== [] || $open !== [],
            $this->needsNone,
        );
    }

    /** @return list<string> limits of which every deviation was decided about */
    public function disposedForGood(): array
    {
        return array_values(
            array_diff(
                array_column(array_filter($this->deviations, static fn(array $one): bool => $one['decided']), 'limit'),
                $this->undecided(),
            ),
        );
    }

    /** @return list<string> */
    public function undecided(): array
    {
        return array_column(array_filter($this->deviations, static fn(array $one): bool => !$one['decided']), 'limit');
    }

    /** @return list<array{measurand: string, basis: string, places: list<string>}> */
    public function lacking(int $i): array
    {
        return Places::lacking(
            $this->needed,
            array_map(
                static fn(array $one): array => [
                    'measurand' => Measurand::from($one['measurand']),
                    'basis' => $one['basis'],
                    'place' => $one['place'],
                ],
                $this->occasions[$i]['results'],
            ),
        );
    }

    public function deadline(ProductLimit $limit): ?float
    {
        $begun = $this->steps[$limit->since] ?? null;

        return $begun === null || $limit->hours === null ? null : $begun + ($this->disposed()[$limit->limit->name] ?? $limit->hours);
    }

    private function waits(int $i, float $now): bool
    {
        return $this->lacking($i) !== [] && $now <= $this->occasions[$i]['at'] + Places::HOURS;
    }

    /** @param list<string> $met */
    private function judgeOccasion(int $i, array $met): JudgedOccasion
    {
        $drawn = $this->occasions[$i];
        $open = array_map(static fn(array $one): array => ['measurand' => $one['measurand'], 'basis' => $one['basis']], $this->lacking($i));
        $binding = array_keys(array_filter($this->limits, static fn(ProductLimit $limit): bool => $limit->limit->kind->binds()));
        $results = array_map(
            static fn(array $one): Result => new Result($one['measurand'], $one['basis'], [
                new JudgedReplicate(
                    $one['value'],
                    $one['u'],
                    $one['trusted'],
                    in_array(['measurand' => $one['measurand'], 'basis' => $one['basis']], $open, true) ? $binding : [],
                ),
            ]),
            $drawn['results'],
        );

        return JudgedOccasion::on(
            $results,
            array_values(array_diff_key($this->limits, $this->courses)),
            new Occasion(
                $drawn['stage'],
                array_map(static fn(float $at): float => $drawn['at'] - $at, $this->steps),
                $this->answers,
                array_values(array_unique($met)),
                $this->disposed(),
                $open,
            ),
        );
    }

    /** @return array<string, float|null> */
    private function disposed(): array
    {
        $disposed = [];
        foreach ($this->deviations as $one) {
            $limit = $this->limits[$one['limit']];
            if ($one['decided'] && $one['missed'] && isset($this->steps[$limit->since])) {
                $disposed[$one['limit']] = $one['until'] === null ? null : $one['until'] - $this->steps[$limit->since];
            }
        }

        return $disposed;
    }

    /** @param list<string> $met */
    private function missDeadlines(float $now, array $met): void
    {
        $disposed = $this->disposed();
        foreach ($this->limits as $name => $limit) {
            $deadline = $this->deadline($limit);
            $isLetStand = array_key_exists($name, $disposed) && $disposed[$name] === null;
            if (
                $limit->applies !== Applies::WithinHours
                || !$limit->limit->kind->binds()
                || $deadline === null
                || $now <= $deadline
                || in_array($name, $met, true)
                || $isLetStand
                || ($limit->condition !== null && ($this->answers[$limit->condition] ?? false) === false)
            ) {
                continue;
            }
            $awaited = array_filter(
                array_keys($this->occasions),
                fn(int $i): bool => $this->waits($i, $now)
                    && $this->occasions[$i]['at'] <= $deadline
                    && in_array($limit->measurand, array_column($this->lacking($i), 'measurand'), true),
            );
            $isKnown
                = array_filter(
                    $this->deviations,
                    static fn(array $one): bool => $one['limit'] === $name && $one['missed'] && $one['at'] >= $deadline,
                ) !== [];
            if ($awaited === [] && !$isKnown) {
                $this->deviations[] = ['limit' => $name, 'missed' => true, 'at' => $now, 'decided' => false, 'until' => null];
                $this->state = BatchState::Held;
            }
        }
    }

    private function deviate(string $limit, bool $missed, float $now): void
    {
        $open = array_filter(
            $this->deviations,
            static fn(array $one): bool => $one['limit'] === $limit && !$one['decided'] && (!$missed || $one['missed']),
        );
        if ($open === []) {
            $this->deviations[] = ['limit' => $limit, 'missed' => $missed, 'at' => $now, 'decided' => false, 'until' => null];
        }
    }

    private function judgeCourses(float $now): void
    {
        foreach (array_keys($this->courses) as $name) {
            $conformity = $this->courseVerdict($name, $now)?->conformity;
            $follows = Consequences::ofCourse(
                $this->state,
                $this->limits[$name]->limit->kind,
                $conformity,
                $this->found[$name] ?? null,
                false,
                false,
            );
            $this->found[$name] = $conformity;
            if ($follows['deviates']) {
                $this->deviate($name, ($this->courses[$name]['kind'] ?? '') === 'degree-hours', $now);
            }
            $this->state = $follows['holds'] ? BatchState::Held : $this->state;
        }
    }

    private function courseVerdict(string $name, float $now, bool $toNow = false): ?CourseVerdict
    {
        $course = $this->courses[$name];
        $limit = $this->limits[$name];
        $number = static fn(string $key, float $default): float => is_numeric($course[$key] ?? null) ? (float) $course[$key] : $default;
        $step = static fn(string $key): ?string => is_string($course[$key] ?? null) ? $course[$key] : null;
        $point = $course['kind'] === 'degree-hours' ? 'chamber' : $limit->basis;
        $from = $this->steps[$step('from') ?? ProductLimit::START] ?? null;
        if ($from === null || !isset($this->parts[$point])) {
            return null;
        }
        $to = $step('to') === null ? null : $this->steps[$step('to')] ?? null;
        $merged = MergedRecord::of(
            array_map(static fn(array $part): Stretch => new Stretch($part['points'], $part['trusted']), $this->parts[$point]),
            [],
            $course['kind'] !== 'heat-hold' && $limit->limit->high !== null,
        );

        return match ($course['kind']) {
            'degree-hours' => CourseVerdict::degreeHours(
                $merged,
                DrawnBatchesTest::U_C,
                $from,
                $now,
                $this->slowest(),
                DrawnBatchesTest::U_PH,
                $number('ph_limit', 5.3),
            ),
            'heat-hold' => CourseVerdict::heatHold(
                $merged,
                DrawnBatchesTest::U_C,
                $number('minimum_c', 0),
                $number('minutes', 1),
                $number('gap_minutes', 5),
                $step('from') === null ? null : $from,
                $to,
                false,
            ),
            default => CourseVerdict::throughout(
                $merged,
                $limit->limit->kind->binds() ? DrawnBatchesTest::U_C : 0.0,
                $limit->limit,
                $from,
                $to === null || $to <= $from ? null : $to - $from,
                $number('gap_h', 24),
                $now,
                $toNow,
            ),
        };
    }

    /** @return list<array{float, float}> the worst trusted pH of samples with all their places; of others what lies above */
    private function slowest(): array
    {
        $worst = [];
        foreach ($this->occasions as $i => $drawn) {
            $ph = array_column(
                array_filter($drawn['results'], static fn(array $one): bool => $one['measurand'] === 'ph' && $one['trusted']),
                'value',
            );
            $isOpen = in_array('ph', array_column($this->lacking($i), 'measurand'), true);
            if ($ph !== [] && (!$isOpen || max($ph) > 5.3)) {
                $worst[(string) $drawn['at']] = max($worst[(string) $drawn['at']] ?? -INF, max($ph));
            }
        }
        ksort($worst, SORT_NUMERIC);

        return array_map(static fn(int|string $at, float $ph): array => [(float) $at, $ph], array_keys($worst), $worst);
    }
}
