<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measuring\Freshness;
use Rheacid\Core\Sampling\BlindDuplicates;
use Rheacid\Core\Sampling\RoundStart;
use Rheacid\Core\Sampling\Sampled;
use Rheacid\Core\Sampling\SamplingLine;
use Rheacid\Core\Sampling\SamplingState;
use Rheacid\Core\Uncertainty\SiteRepeatability;

/** What a round leads past, what is read twice, and what that says. */
final class RoundTest extends TestCase
{
    #[TestWith([0, 30, 3])]
    #[TestWith([0, 9, 0])]
    #[TestWith([0, 10, 1])]
    #[TestWith([3, 7, 1])]
    #[TestWith([3, 6, 0])]
    #[TestWith([9, 1, 1])]
    #[TestWith([10, 1, 1])]
    #[TestWith([10, 12, 2])]
    public function test_one_sample_in_ten_gets_a_second_cup_counted_from_the_last(int $since, int $samples, int $duplicates): void
    {
        for ($seed = 0; $seed < 200; $seed++) {
            $on = BlindDuplicates::on($since, $samples, $seed);
            self::assertCount($duplicates, $on);
            self::assertCount($duplicates, array_unique(array_column($on, 'code')), 'each code stands once');
            foreach ($on as $after => ['of' => $of]) {
                self::assertTrue($of >= 0 && $of <= $after && $after < $samples, 'the second cup is read after the first, on the round');
            }
        }
    }

    public function test_the_blind_duplicate_cannot_be_guessed_and_comes_some_samples_later_in_a_long_round(): void
    {
        $on = array_map(static fn(int $seed): array => BlindDuplicates::on(0, 20, $seed), range(1, 400));
        $firsts = array_map(static fn(array $one): int => $one[13]['of'], $on);
        $seen = array_unique($firsts);
        sort($seen);

        self::assertSame(range(0, 9), $seen, 'any of the ten');
        self::assertEqualsWithDelta(4.5, array_sum($firsts) / count($firsts), 0.5);
        self::assertSame(BlindDuplicates::on(0, 20, 7), BlindDuplicates::on(0, 20, 7));
    }

    #[TestWith([0, 30, 3])]
    #[TestWith([0, 9, 0])]
    #[TestWith([9, 1, 1])]
    #[TestWith([0, 109, 10])]
    public function test_under_codes_every_cup_has_one_and_the_order_hides_the_pair(int $since, int $samples, int $duplicates): void
    {
        for ($seed = 0; $seed < 50; $seed++) {
            $cups = BlindDuplicates::coded($since, $samples, $seed);
            self::assertCount($samples + $duplicates, $cups);
            self::assertCount($samples + $duplicates, array_unique(array_column($cups, 'code')), 'each code stands once');
            self::assertSame(
                [],
                preg_grep('/^[A-Z]\d\d$/', array_column($cups, 'code'), PREG_GREP_INVERT),
                'a second cup looks like any other',
            );
            self::assertCount($duplicates, array_filter($cups, static fn(array $cup): bool => $cup['second']));
            self::assertCount($samples, array_unique(array_column($cups, 'of')), 'none is left out');
        }
    }

    public function test_under_codes_the_second_cup_comes_first_as_often_as_last(): void
    {
        $before = 0;
        foreach (range(1, 400) as $seed) {
            $seconds = array_column(
                array_filter(BlindDuplicates::coded(0, 10, $seed), static fn(array $cup): bool => $cup['second']),
                'of',
            );
            $order = array_values(
                array_filter(BlindDuplicates::coded(0, 10, $seed), static fn(array $cup): bool => $cup['of'] === $seconds[0]),
            );
            $before += $order[0]['second'] ? 1 : 0;
        }

        self::assertEqualsWithDelta(200, $before, 50);
    }

    /** @return iterable<string, array{non-empty-list<float>, bool}> differences, the last of which is looked at */
    public static function pairs(): iterable
    {
        yield 'the first, at the limit' => [[0.05], false];
        yield 'the first, beyond it' => [[-0.051], true];
        yield 'beyond it at a site that always scatters' => [[0.2, -0.2, 0.2, -0.2, 0.2, -0.2, 0.2, -0.2, 0.1], true];
        yield 'within it, but far beyond what this site does' => [
            [0.005, -0.005, 0.004, -0.004, 0.005, -0.005, 0.004, -0.004, 0.005, -0.005, 0.004, -0.004, 0.045],
            true,
        ];
        yield 'an earlier one was beyond' => [[0.2, 0.0], false];
    }

    /** @param non-empty-list<float> $differences */
    #[\PHPUnit\Framework\Attributes\DataProvider('pairs')]
    public function test_a_pair_further_apart_than_one_sample_may_be_calls_for_action(array $differences, bool $needsAction): void
    {
        self::assertSame($needsAction, BlindDuplicates::needsAction($differences));
    }

    public function test_twenty_pairs_give_the_repeatability_of_a_portion(): void
    {
        $site = SiteRepeatability::unknown();
        $differences = [
            0.02,
            -0.02,
            0.04,
            -0.01,
            0.0,
            0.03,
            -0.03,
            0.01,
            0.02,
            -0.04,
            0.02,
            -0.02,
            0.04,
            -0.01,
            0.0,
            0.03,
            -0.03,
            0.01,
            0.02,
            -0.04,
        ];
        foreach ($differences as $i => $difference) {
            self::assertNull($site->sd(), "$i pairs");
            $site = $site->with($difference);
        }

        self::assertEqualsWithDelta(
            sqrt(array_sum(array_map(static fn(float $d): float => $d * $d, $differences)) / 40),
            $site->sd(),
            1e-12,
        );
        self::assertEqualsWithDelta(0.0179, $site->sd(), 0.0001, 'worked by hand: √(0.0128/40)');
    }

    /** Two portions of one sample differ by more than 2.8 s once in twenty: ISO 5725-6, from memory. */
    public function test_what_two_portions_may_differ_by_follows_from_the_pooled_spread(): void
    {
        self::assertEqualsWithDelta(SiteRepeatability::LIMIT_PH, 2.8 * 0.018, 0.001);
    }

    public function test_a_known_spread_is_estimated_correctly(): void
    {
        mt_srand(11);
        $draw = static fn(): float => 0.02
            * sqrt(-2 * log(mt_rand(1, 1_000_000) / 1_000_001))
            * cos((2 * M_PI * mt_rand()) / mt_getrandmax());
        $site = SiteRepeatability::unknown();
        for ($pair = 0; $pair < 5000; $pair++) {
            $site = $site->with($draw() - $draw());
        }

        self::assertEqualsWithDelta(0.02, $site->sd(), 0.001);
    }

    #[TestWith([30, false, false])]
    #[TestWith([31, false, true])]
    #[TestWith([31, true, false])]
    #[TestWith([600, true, false])]
    public function test_within_half_an_hour_or_chilled_a_sample_counts_from_when_it_was_drawn(
        int $minutes,
        bool $isChilled,
        bool $isStale,
    ): void {
        $drawn = new \DateTimeImmutable('2026-11-27T09:00:00Z');
        $read = $drawn->modify("+$minutes minutes");

        self::assertSame($isStale, Freshness::isStale($drawn, $read, $isChilled));
        self::assertEquals($isStale ? $read : $drawn, Freshness::countsFrom($drawn, $read, $isChilled));
    }

    /** @return iterable<string, array{SamplingState, bool}> */
    public static function states(): iterable
    {
        $often = new SamplingLine('ph', '', null, 24.0, 1, 'the middle');
        yield 'overdue' => [new SamplingState($often, true, 2.0, -3.0), true];
        yield 'due in two hours' => [new SamplingState($often, false, 2.0, 2.0), true];
        yield 'due later' => [new SamplingState($often, false, 2.0, 2.1), false];
        yield 'another quantity' => [
            new SamplingState(new SamplingLine('temperature', 'core', null, 1.0, 1, 'the middle'), true, 2.0, -3.0),
            false,
        ];
        yield 'at a stage that stands' => [
            new SamplingState(new SamplingLine('ph', '', Stage::Equilibrium, null, 1, 'the middle'), true, null, null),
            true,
        ];
        yield 'the start, long over' => [
            new SamplingState(new SamplingLine('ph', '', Stage::Start, null, 1, 'the middle'), true, null, null),
            false,
        ];
    }

    #[\PHPUnit\Framework\Attributes\DataProvider('states')]
    public function test_what_is_due_or_falls_due_on_the_way_is_on_it(SamplingState $state, bool $isDue): void
    {
        self::assertSame($isDue, RoundStart::isDue([$state]));
    }

    public function test_it_is_read_as_what_was_declared_last_and_at_each_place(): void
    {
        $read = static fn(Stage ...$stages): Stage => RoundStart::stage(
            array_values(array_map(static fn(Stage $stage): Sampled => new Sampled('ph', '', $stage, 1.0, 1), $stages)),
        );
        self::assertSame(
            [Stage::Underway, Stage::Underway, Stage::Equilibrium, Stage::Finished],
            [$read(), $read(Stage::Start), $read(Stage::Equilibrium, Stage::Start), $read(Stage::Finished, Stage::Equilibrium)],
        );

        $three = new SamplingState(new SamplingLine('ph', '', null, 24.0, 3, 'the thickest'), true, null, 0.0);
        self::assertSame(['brine', 'solids'], RoundStart::places(['brine', 'solids'], ['brine', 'solids', 'lid'], [$three]));
        self::assertSame(['piece 1', 'piece 2', 'piece 3'], RoundStart::places([], ['piece 1', 'piece 2', 'piece 3', 'piece 4'], [$three]));
        self::assertSame(['top'], RoundStart::places([], ['top', 'middle'], []));
    }
}
