<?php

declare(strict_types=1);

namespace Tests\Statistics;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Products\Library;

/**
 * Two thousand lives of batches, drawn with fixed seeds: no release on a binding limit that is neither met nor decided about, and
 * none that is good is ever held. What "met" means is computed here a second time, from the raw records and plain comparisons.
 */
final class DrawnBatchesTest extends TestCase
{
    public const U_C = 0.5;
    public const U_PH = 0.05;
    private const SEQUENCES = 250;
    /** h after the start at which each step happens when all goes well. */
    private const STEPS = [
        'cooked' => 0.1,
        'cold' => 5.5,
        'heating begun' => 0.1,
        'heating ended' => 0.9,
        'pitched' => 1.0,
        'chilled' => 60.0,
        'stuffed' => 0.5,
        'packed' => 50.0,
    ];
    private const END_H = 90.0;

    /** @return iterable<string, array{string, int}> */
    public static function products(): iterable
    {
        foreach (['acidified-rice', 'yogurt', 'fermented-sausage', 'beer-ale'] as $i => $code) {
            yield $code => [$code, 20261130 + $i];
        }
    }

    #[DataProvider('products')]
    public function test_a_good_batch_is_never_held_and_goes_out(string $code, int $seed): void
    {
        $random = new Randomizer(new Mt19937($seed));
        for ($n = 0; $n < self::SEQUENCES; $n++) {
            $batch = $this->begun($code, $random);
            foreach ($this->plan($batch, $random, isGood: true) as [$at, $happens]) {
                $batch->judge($at);
                $happens($batch);
                $batch->judge($at);
                self::assertSame(
                    BatchState::Running,
                    $batch->state,
                    "$code $n on \"$batch->route\" at $at h: " . json_encode($batch->deviations),
                );
            }
            $release = $batch->release(self::END_H);
            self::assertTrue($release->releasable, "$code $n on \"$batch->route\": " . json_encode($release->missing));
            self::assertSame([], $this->unproven($batch, self::END_H), "$code $n: the second judge agrees");
        }
    }

    #[DataProvider('products')]
    public function test_no_release_succeeds_on_a_binding_limit_that_is_neither_met_nor_decided_about(string $code, int $seed): void
    {
        $random = new Randomizer(new Mt19937(7 * $seed));
        [$released, $refused] = [0, 0];
        for ($n = 0; $n < self::SEQUENCES; $n++) {
            $batch = $this->begun($code, $random);
            foreach ($this->plan($batch, $random, isGood: false) as [$at, $happens]) {
                $batch->judge($at);
                $happens($batch);
                $batch->judge($at);
                if ($random->getInt(0, 3) === 0 || $at >= self::END_H) {
                    $release = $batch->release($at);
                    $release->releasable ? $released++ : $refused++;
                    if ($release->releasable) {
                        self::assertNotSame([], $release->met, "$code $n goes out on nothing");
                        self::assertSame(
                            [],
                            $this->unproven($batch, $at),
                            sprintf(
                                '%s %d on "%s" at %s h: %s',
                                $code,
                                $n,
                                $batch->route,
                                $at,
                                json_encode([$batch->steps, $batch->answers, $batch->occasions, $batch->deviations]),
                            ),
                        );
                    }
                }
            }
        }
        self::assertGreaterThan(10, $released, 'some of them go out');
        self::assertGreaterThan(10, $refused);
    }

    private function begun(string $code, Randomizer $random): DrawnBatch
    {
        $product = Library::all()[$code];
        $route = $product->safety->routes[$random->getInt(0, count($product->safety->routes) - 1)]['name'];

        return new DrawnBatch($product, $route, $product->method['needed_places']);
    }

    /** @return list<array{float, \Closure(DrawnBatch): void}> in the order of time */
    private function plan(DrawnBatch $batch, Randomizer $random, bool $isGood): array
    {
        $chance = static fn(int $of): bool => !$isGood && $random->getInt(1, $of) === 1;
        $between = static fn(float $low, float $high): float => $low + (($high - $low) * $random->getInt(0, 1000)) / 1000;
        $events = [];
        foreach (array_filter($batch->limits, static fn(ProductLimit $limit): bool => $limit->condition !== null) as $limit) {
            $answer = $random->getInt(0, 1) === 1;
            if (!$chance(12)) {
                $events[] = [
                    0.01,
                    static function (DrawnBatch $batch) use ($limit, $answer): void {
                        $batch->answers[(string) $limit->condition] ??= $answer;
                    },
                ];
            }
        }
        foreach ($this->steps($batch) as $step) {
            $at = self::STEPS[$step];
            if (!$chance(15)) {
                $said = $chance(10) ? $at + $between(1, 30) : $at;
                $events[] = [
                    $said,
                    static function (DrawnBatch $batch) use ($step, $at): void {
                        $batch->steps[$step] = $at;
                    },
                ];
            }
        }
        foreach ($this->readings($batch) as [$at, $stage, $quantities]) {
            $at = max(0.02, $chance(6) ? $at + $between(-2, 10) : $at);
            $events[] = [
                $at,
                function (DrawnBatch $batch) use ($at, $stage, $quantities, $chance, $between): void {
                    $results = [];
                    foreach ($quantities as [$measurand, $basis]) {
                        $places
                            = $measurand === 'ph' || ($measurand === 'temperature' && $basis !== 'chamber')
                                ? ($batch->needed ?: ['one'])
                                : ['one'];
                        foreach ($places as $place) {
                            $isMissing = $chance(15) && count($places) > 1;
                            $good = $this->inside($batch, $measurand, $basis);
                            $u = $measurand === 'ph' ? self::U_PH : ($measurand === 'temperature' ? self::U_C : 0.02);
                            $results = $isMissing
                                ? $results
                                : [
                                    ...$results,
                                    [
                                        'measurand' => $measurand,
                                        'basis' => $basis,
                                        'place' => $place,
                                        'value' => $chance(12) ? $good + $between(-8, 8) * $u : $good,
                                        'u' => $u,
                                        'trusted' => !$chance(15),
                                    ],
                                ];
                        }
                    }
                    if ($results !== []) {
                        $batch->occasions[] = ['at' => $at, 'stage' => $stage, 'results' => $results];
                    }
                },
            ];
        }
        foreach ($this->records($batch) as [$point, $points]) {
            if ($chance(12)) {
                $points = [...array_slice($points, 0, intdiv(count($points), 3)), ...array_slice($points, intdiv(2 * count($points), 3))];
            }
            if ($chance(12)) {
                $hit = $random->getInt(0, count($points) - 1);
                [$at, $c] = $points[$hit];
                $points[$hit] = [$at, max(-4.0, $c + $between(-15, 15))];
            }
            $trusted = !$chance(15);
            // Logged as it goes: each part a little later.
            foreach (array_chunk($points, max(2, (int) ceil(count($points) / 4))) as $part) {
                $events[] = [
                    $part[count($part) - 1][0],
                    static function (DrawnBatch $batch) use ($point, $part, $trusted): void {
                        $batch->parts[$point][] = ['points' => $part, 'trusted' => $trusted];
                    },
                ];
            }
        }
        if (!$isGood) {
            for ($i = $random->getInt(0, 3); $i > 0; $i--) {
                $events[] = [$between(1, self::END_H), fn(DrawnBatch $batch) => $this->decides($batch, $random)];
                $events[] = [
                    $between(1, self::END_H),
                    static function (DrawnBatch $batch) use ($random, $between): void {
                        $corrected = $batch->occasions === [] ? null : $random->getInt(0, count($batch->occasions) - 1);
                        if ($corrected !== null) {
                            $batch->occasions[$corrected]['results'][0]['value'] += $between(-0.4, 0.4);
                        }
                    },
                ];
            }
        }
        $events[] = [self::END_H, static fn(DrawnBatch $batch) => null];
        usort($events, static fn(array $a, array $b): int => $a[0] <=> $b[0]);

        return $events;
    }

    private function decides(DrawnBatch $batch, Randomizer $random): void
    {
        foreach (array_keys($batch->deviations) as $i) {
            if (!$batch->deviations[$i]['decided'] && $random->getInt(0, 2) > 0) {
                $batch->deviations[$i]['decided'] = true;
                $batch->deviations[$i]['until']
                    = $batch->deviations[$i]['missed'] && $random->getInt(0, 1) === 1
                        ? $batch->deviations[$i]['at'] + $random->getInt(5, 40)
                        : null;
            }
        }
        if ($batch->undecided() === [] && $batch->state === BatchState::Held) {
            $batch->state = BatchState::Running;
        }
    }

    /** @return list<string> */
    private function steps(DrawnBatch $batch): array
    {
        $named = array_map(static fn(ProductLimit $limit): string => $limit->since, array_values($batch->limits));
        foreach ($batch->courses as $course) {
            $named = [...$named, ...array_values(array_filter([$course['from'] ?? null, $course['to'] ?? null], is_string(...)))];
        }

        return array_values(array_diff(array_unique($named), [ProductLimit::START]));
    }

    /** @return list<array{float, Stage, list<array{string, string}>}> when, at which stage, of what */
    private function readings(DrawnBatch $batch): array
    {
        $readings = [];
        foreach (array_diff_key($batch->limits, $batch->courses) as $limit) {
            if (!$limit->limit->kind->binds()) {
                continue;
            }
            [$at, $stage] = match ($limit->applies) {
                Applies::Start => [0.05, Stage::Start],
                Applies::WithinHours => [(self::STEPS[$limit->since] ?? 0.0) + 0.6 * (float) $limit->hours, Stage::Underway],
                default => [self::END_H - 1, Stage::Finished],
            };
            $readings["$at {$stage->value}"] ??= [$at, $stage, []];
            $readings["$at {$stage->value}"][2]["$limit->measurand|$limit->basis"] = [$limit->measurand, $limit->basis];
        }

        if (in_array('degree-hours', array_column($batch->courses, 'kind'), true)) {
            $readings[] = [30.0, Stage::Underway, [['ph', '']]];
        }

        return array_values(array_map(static fn(array $one): array => [$one[0], $one[1], array_values($one[2])], $readings));
    }

    /** A value inside all binding limits of its quantity, by more than its uncertainty. */
    private function inside(DrawnBatch $batch, string $measurand, string $basis): float
    {
        $own = array_filter(
            array_diff_key($batch->limits, $batch->courses),
            static fn(ProductLimit $limit): bool => $limit->limit->kind->binds()
                && $limit->measurand === $measurand
                && $limit->basis === $basis,
        );
        $high = min([
            INF,
            ...array_values(
                array_filter(
                    array_map(static fn(ProductLimit $limit): ?float => $limit->limit->high, $own),
                    static fn(?float $edge): bool => $edge !== null,
                ),
            ),
        ]);
        $low = max([
            -INF,
            ...array_values(
                array_filter(
                    array_map(static fn(ProductLimit $limit): ?float => $limit->limit->low, $own),
                    static fn(?float $edge): bool => $edge !== null,
                ),
            ),
        ]);
        $u = $measurand === 'ph' ? self::U_PH : ($measurand === 'temperature' ? self::U_C : 0.02);

        return $high < INF ? $high - 2 * $u : $low + 2 * $u;
    }

    /** @return list<array{string, non-empty-list<array{float, float}>}> point, and temperatures from before its step to the end */
    private function records(DrawnBatch $batch): array
    {
        $records = [];
        foreach ($batch->courses as $name => $course) {
            $limit = $batch->limits[$name]->limit;
            if (!$limit->kind->binds()) {
                continue;
            }
            $from = self::STEPS[$course['from'] ?? ''] ?? 0.0;
            [$point, $c, $until, $every] = match ($course['kind']) {
                'degree-hours' => ['chamber', 22.0, 59.5, 0.5],
                'heat-hold' => [$batch->limits[$name]->basis, (float) $course['minimum_c'] + 2, $from + 0.8, 0.05],
                default => [
                    $batch->limits[$name]->basis,
                    $limit->high === null ? (float) $limit->low + 2 : (float) $limit->high - 2,
                    self::STEPS[$course['to'] ?? ''] ?? self::END_H,
                    isset($course['to']) ? 0.04 : 0.75,
                ],
            };
            $points = [[$from, $c]];
            for ($at = $from + $every; $at <= $until + 1e-9; $at += $every) {
                $points[] = [round($at, 4), $c];
            }
            $records[] = [$point, [...$points, ...$points[count($points) - 1][0] < $until ? [[$until, $c]] : []]];
        }

        return $records;
    }

    /** @return list<string> binding limits that a second judge, from the raw records, finds neither met nor decided about */
    private function unproven(DrawnBatch $batch, float $now): array
    {
        $unproven = [];
        foreach ($batch->limits as $name => $limit) {
            if (!$limit->limit->kind->binds() || ($limit->condition !== null && ($batch->answers[$limit->condition] ?? null) === false)) {
                continue;
            }
            $isMet
                = ($limit->condition === null || ($batch->answers[$limit->condition] ?? null) === true)
                && (isset($batch->courses[$name])
                    ? $this->isCourseMet($batch, $name, $now)
                    : $this->isValueMet($batch, $limit, in_array($name, $batch->disposedForGood(), true)));
            $unproven = $isMet ? $unproven : [...$unproven, $name];
        }

        return $unproven;
    }

    private function isValueMet(DrawnBatch $batch, ProductLimit $limit, bool $isDecided): bool
    {
        $bound = $limit->limit;
        $clears = static fn(array $one): bool => $one['trusted']
            && ($bound->high === null
                || ($bound->comparison->isStrict()
                    ? $one['value'] + $one['u'] < $bound->high
                    : $one['value'] + $one['u'] <= $bound->high + 1e-9))
            && ($bound->low === null || $one['value'] - $one['u'] >= $bound->low - 1e-9);
        $breaks = static fn(array $one): bool => ($bound->high !== null && $one['value'] - $one['u'] > $bound->high + 1e-6)
            || ($bound->low !== null && $one['value'] + $one['u'] < $bound->low - 1e-6);
        $begun = $batch->steps[$limit->since] ?? null;
        $inTime = false;
        $newest = null;
        $occasions = $batch->occasions;
        uasort($occasions, static fn(array $a, array $b): int => $a['at'] <=> $b['at']);
        foreach ($occasions as $i => $drawn) {
            $own = array_filter(
                $drawn['results'],
                static fn(array $one): bool => $one['measurand'] === $limit->measurand && $one['basis'] === $limit->basis,
            );
            $isComplete = !in_array(
                "$limit->measurand|$limit->basis",
                array_map(static fn(array $one): string => "{$one['measurand']}|{$one['basis']}", $batch->lacking($i)),
                true,
            );
            $isAsked = match ($limit->applies) {
                Applies::Start => $drawn['stage'] === Stage::Start,
                Applies::WithinHours => $begun !== null && $drawn['at'] >= $begun,
                Applies::Always => true,
                default => $drawn['stage'] === Stage::Finished,
            };
            if ($own === [] || !$isAsked || (!$isComplete && array_filter($own, $breaks) === [])) {
                continue;
            }
            $isClear = $isComplete && array_filter($own, $clears) === $own;
            $inTime = $inTime || ($isClear && $drawn['at'] <= $batch->deadline($limit) + 1e-9);
            // Before its deadline a value that does not meet it says nothing yet.
            $isDue = $limit->applies !== Applies::WithinHours || $isClear || $drawn['at'] >= $batch->deadline($limit) - 1e-9;
            $newest = $isDue ? $isClear : $newest;
        }

        return $newest === true && ($limit->applies !== Applies::WithinHours || $inTime || $isDecided);
    }

    private function isCourseMet(DrawnBatch $batch, string $name, float $now): bool
    {
        $course = $batch->courses[$name];
        $bound = $batch->limits[$name]->limit;
        $point = $course['kind'] === 'degree-hours' ? 'chamber' : $batch->limits[$name]->basis;
        $points = array_merge(
            ...array_map(static fn(array $part): array => $part['trusted'] ? $part['points'] : [], $batch->parts[$point] ?? []),
            ...[[]],
        );
        usort($points, static fn(array $a, array $b): int => $a[0] <=> $b[0]);
        $from = $batch->steps[$course['from'] ?? ProductLimit::START] ?? null;
        if ($from === null || $points === []) {
            return false;
        }
        $times = array_column($points, 0);
        $silence = static fn(float $until): float => max(
            array_map(
                static fn(float $a, float $b): float => min($b, $until) - max($a, $from),
                [$from, ...array_filter($times, static fn(float $t): bool => $t > $from && $t < $until)],
                [...array_filter($times, static fn(float $t): bool => $t > $from && $t < $until), $until],
            ),
        );
        if ($course['kind'] === 'throughout') {
            $to = isset($course['to']) ? $batch->steps[$course['to']] ?? $now : $now;
            $within = array_filter($points, static fn(array $one): bool => $one[0] >= $from && $one[0] <= $to);

            return $within !== []
                && $silence($to) <= min($course['gap_h'] ?? 24.0, ($to - $from) / 4) + 1e-6
                && array_filter(
                    $within,
                    static fn(array $one): bool => ($bound->high !== null && $one[1] + self::U_C > $bound->high + 1e-9)
                        || ($bound->low !== null && $one[1] - self::U_C < $bound->low - 1e-9),
                ) === [];
        }
        if ($course['kind'] === 'heat-hold') {
            $hot = $best = 0.0;
            for ($i = 1; $i < count($points); $i++) {
                $isHeld
                    = min($points[$i - 1][1], $points[$i][1]) - self::U_C >= $course['minimum_c'] - 1e-9
                    && $points[$i][0] - $points[$i - 1][0] <= min($course['gap_minutes'] ?? 5.0, $course['minutes']) / 60 + 1e-9;
                $hot = $isHeld ? $hot + $points[$i][0] - $points[$i - 1][0] : 0.0;
                $best = max($best, $hot);
            }

            // A line may reach the temperature between two points.
            return $best + 2 * 0.05 >= $course['minutes'] / 60;
        }
        $down = null;
        $ph = $batch->occasions;
        uasort($ph, static fn(array $a, array $b): int => $a['at'] <=> $b['at']);
        foreach ($ph as $i => $drawn) {
            $own = array_filter($drawn['results'], static fn(array $one): bool => $one['measurand'] === 'ph' && $one['trusted']);
            $isComplete = !in_array('ph', array_column($batch->lacking($i), 'measurand'), true);
            $worst = $own === [] ? null : max(array_column($own, 'value'));
            $down
                = $worst === null || $drawn['at'] < $from - 1
                    ? $down
                    : ($worst > 5.3 + 1e-9
                        ? null
                        : $down ?? ($isComplete && $worst + self::U_PH <= 5.3 + 1e-9 ? $drawn['at'] : null));
        }
        $warmest = max(array_column($points, 1));

        // At 24 °C and below, 100 h are far from what is allowed; warmer ones were drawn for an instant alone.
        return $down !== null && ($down <= $from || $silence($down) <= 1.0 + 1e-6) && $warmest < 60;
    }
}
