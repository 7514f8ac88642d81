<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Electrode\Criteria;
use Rheacid\Core\Solutions\BottleFacts;
use Rheacid\Core\Solutions\BottlesNeeded;
use Rheacid\Core\Solutions\BottleStatus;
use Rheacid\Core\Solutions\BufferLot;
use Rheacid\Core\Solutions\BufferPlan;
use Rheacid\Core\Solutions\Stock;

final class BufferPlanTest extends TestCase
{
    private const TODAY = '2026-11-25';

    public function test_acid_food_takes_7_and_4(): void
    {
        $plan = self::plan([[4.1, 4.6]], self::shelf());

        self::assertSame(['4.01', '7.00'], self::buffers($plan));
        self::assertTrue($plan->brackets());
    }

    public function test_an_endpoint_of_8_2_beside_acid_samples_takes_three(): void
    {
        self::assertSame(['4.01', '7.00', '10.01'], self::buffers(self::plan([[4.1, 4.6], [8.2, 8.2]], self::shelf())));
    }

    public function test_the_middle_buffer_is_left_out_when_nothing_lies_above_it(): void
    {
        $plan = self::plan([[4.1, 6.9]], [self::lot('a', '4.01', 4.01), self::lot('b', '7.00', 7.0), self::lot('c', '10.01', 10.01)], 5.0);

        self::assertSame(['4.01', '10.01'], self::buffers($plan));
    }

    public function test_a_middle_buffer_half_a_ph_from_an_end_gives_no_slope_of_its_own(): void
    {
        $with = static fn(float $middle): array => self::buffers(
            self::plan([[4.1, 9.0]], [self::lot('a', 'low', 4.0), self::lot('b', 'middle', $middle), self::lot('c', 'high', 10.01)]),
        );

        self::assertSame(['low', 'high'], $with(4.49));
        self::assertSame(['low', 'middle', 'high'], $with(4.5));
    }

    public function test_samples_outside_every_pair_of_buffers_are_reported(): void
    {
        $plan = self::plan([[3.2, 3.6]], self::shelf());

        self::assertFalse($plan->brackets());
        self::assertEqualsWithDelta([0.81, 0.0], $plan->outsideByPh, 1e-9);
    }

    public function test_of_several_bottles_the_first_to_expire_is_used_up_first(): void
    {
        $plan = self::plan(
            [[4.1, 4.6]],
            [
                self::lot('late', '7.00', 7.0, '2027-06-01'),
                self::lot('soon', '7.00', 7.0, '2026-12-01'),
                self::lot('acid-b', '4.01', 4.01, '2027-01-01'),
                self::lot('acid-a', '4.01', 4.01, '2027-01-01'),
            ],
        );

        self::assertSame(['acid-a', 'soon'], array_column($plan->points, 'id'));
    }

    public function test_a_bottle_is_good_on_its_last_day_and_expired_the_day_after(): void
    {
        self::assertNull(self::lot('x', '7.00', 7.0, self::TODAY)->rejection(self::TODAY));
        self::assertSame('expired', self::lot('x', '7.00', 7.0, '2026-11-24')->rejection(self::TODAY));
    }

    public function test_expired_and_used_up_bottles_are_rejected_and_expired_is_said_first(): void
    {
        $plan = self::plan([[4, 5]], [self::lot('old', '7.00', 7.0, '2026-01-01', 0), self::lot('empty', '4.01', 4.01, '2027-01-01', 0)]);

        self::assertSame([['lot' => 'old', 'reason' => 'expired'], ['lot' => 'empty', 'reason' => 'used-up']], $plan->rejected);
        self::assertSame([], $plan->points);
        self::assertNull($plan->outsideByPh);
    }

    public function test_buffers_nearer_than_2_8_ph_make_no_pair(): void
    {
        self::assertSame([], self::plan([[4.3, 5]], [self::lot('a', '4.21', 4.21), self::lot('b', '7.00', 7.0)])->points);
        self::assertCount(2, self::plan([[4.3, 5]], [self::lot('a', '4.20', 4.2), self::lot('b', '7.00', 7.0)])->points);
    }

    /**
     * @param non-empty-list<array{float, float}> $expected
     * @param list<BufferLot> $lots
     */
    private static function plan(array $expected, array $lots, float $span = Criteria::LEAST_SPAN_PH): BufferPlan
    {
        return BufferPlan::for($expected, self::TODAY, $lots, $span);
    }

    /** @return list<BufferLot> */
    private static function shelf(): array
    {
        return [self::lot('Q-35', '10.01', 10.01), self::lot('Q-31', '4.01', 4.01), self::lot('Q-29', '7.00', 7.0)];
    }

    private static function lot(string $id, string $buffer, float $nominal, string $expires = '2027-01-01', int $uses = 5): BufferLot
    {
        return new BufferLot($id, $buffer, $nominal, $expires, $uses);
    }

    /** @return list<string> */
    private static function buffers(BufferPlan $plan): array
    {
        return array_column($plan->points, 'buffer');
    }

    public function test_each_run_takes_one_use_and_the_bottle_that_expires_first_goes_first(): void
    {
        $lots = [
            new BufferLot('late', 'technical-7.00', 7.0, '2027-01-01', 5),
            new BufferLot('soon', 'technical-7.00', 7.0, '2026-12-01', 2),
            new BufferLot('gone', 'technical-7.00', 7.0, '2026-11-01', 9),
        ];
        $needed = BottlesNeeded::of($lots, 3, '2026-11-25');

        self::assertSame(
            [['soon', 2], ['late', 1]],
            array_map(static fn(array $one): array => [$one['lot']->id, $one['uses']], $needed->taken),
        );
        self::assertSame([0, 1], [$needed->missing, BottlesNeeded::of($lots, 8, '2026-11-25')->missing]);
    }

    public function test_buffers_that_will_run_out_within_a_month_are_to_be_bought(): void
    {
        $bottle = static fn(string $expires, ?int $allowed = 10, int $taken = 0): BottleStatus => BottleStatus::on(
            '2026-11-25',
            new BottleFacts($expires, null, 90, $allowed, $taken, false, false),
        );

        self::assertSame(Stock::Gone, Stock::of([$bottle('2026-11-24'), $bottle('2027-06-01', 10, 10)], 0, '2026-11-25'));
        self::assertSame(Stock::Expires, Stock::of([$bottle('2026-12-25')], 0, '2026-11-25'));
        self::assertSame(Stock::Lasts, Stock::of([$bottle('2026-12-26')], 10, '2026-11-25'));
        self::assertSame(Stock::UsesRunOut, Stock::of([$bottle('2026-12-26')], 11, '2026-11-25'));
        self::assertSame(Stock::Lasts, Stock::of([$bottle('2027-06-01', null)], 99, '2026-11-25'), 'what is not counted');
    }

    public function test_the_middle_buffer_is_the_nearest_to_7_from_either_side(): void
    {
        $with = static fn(float $one, float $other): array => self::buffers(
            self::plan([[2.0, 10.0]], [
                self::lot('a', 'low', 1.68),
                self::lot('b', 'one', $one),
                self::lot('c', 'other', $other),
                self::lot('d', 'high', 10.01),
            ]),
        );

        self::assertSame(['low', 'other', 'high'], $with(4.01, 6.86));
        self::assertSame(['low', 'one', 'high'], $with(6.86, 9.18));
        self::assertSame(['low', 'one', 'high'], $with(6.0, 8.0), 'of two as near, the more acid one');
    }
}
