<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Courses\CourseVerdict;
use Rheacid\Core\Courses\HeatHold;
use Rheacid\Core\Courses\LeftOut;
use Rheacid\Core\Courses\MergedRecord;
use Rheacid\Core\Courses\Stretch;
use Rheacid\Core\Courses\Throughout;
use Rheacid\Core\Courses\TimeBeyond;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\LowNotBelowHigh;
use Rheacid\Core\TimesNotIncreasing;

/** What a record of temperatures says of a limit, with what a page needs to say it: by hand, on records of a few points. */
final class TemperatureRecordTest extends TestCase
{
    /**
     * Verdict, facts, when it is worked out again, from when its silence is warned of; hours of the span, now, taken to now.
     *
     * @return iterable<string, array{
     *     Conformity|null, array<string, mixed>, float|null, float|null, array{float|null, float, bool},
     * }>
     */
    public static function spans(): iterable
    {
        $facts = ['since_h' => 10.0, 'last_h' => 10.0, 'worst_c' => 4.0, 'covered_h' => 10.0, 'gap_count' => 0];
        yield 'without an end' => [
            null,
            [...$facts, 'span_h' => null, 'silence_h' => 12.0, 'verdict' => 'running'],
            null,
            22.0,
            [null, 10.0, false],
        ];
        yield 'without an end, taken to now' => [
            Conformity::Inside,
            [...$facts, 'span_h' => null, 'silence_h' => 2.5, 'verdict' => 'inside'],
            null,
            null,
            [null, 10.0, true],
        ];
        yield 'with an end ahead' => [
            null,
            [...$facts, 'span_h' => 20.0, 'silence_h' => 5.0, 'verdict' => 'running'],
            20.0,
            15.0,
            [20.0, 10.0, false],
        ];
        yield 'with an end that is over' => [
            Conformity::Inside,
            [...$facts, 'span_h' => 8.0, 'silence_h' => 2.0, 'covered_h' => 8.0, 'verdict' => 'inside'],
            null,
            null,
            [8.0, 10.0, false],
        ];
        yield 'a silence within the span' => [
            Conformity::Inconclusive,
            [...$facts, 'since_h' => 20.0, 'span_h' => 20.0, 'silence_h' => 5.0, 'gap_count' => 1, 'verdict' => 'inconclusive'],
            null,
            null,
            [20.0, 20.0, false],
        ];
    }

    /**
     * @param array<string, mixed> $facts
     * @param array{float|null, float, bool} $span
     */
    #[DataProvider('spans')]
    public function test_a_limit_throughout_says_how_far_it_has_come(
        ?Conformity $conformity,
        array $facts,
        ?float $nextH,
        ?float $silentFromH,
        array $span,
    ): void {
        [$hours, $now, $toNow] = $span;
        $limit = Limit::edge('Cold', LimitKind::Critical, Comparison::AtMost, 5.0);
        $said = CourseVerdict::throughout(self::steady(4.0, 10.0), 0.5, $limit, 0.0, $hours, 12.0, $now, $toNow);

        self::assertSame($conformity, $said->conformity);
        self::assertEquals($facts, array_intersect_key($said->facts, $facts));
        self::assertSame([$nextH, $silentFromH], [$said->nextH, $said->silentFromH()]);
    }

    public function test_of_two_edges_the_worse_is_said(): void
    {
        $between = Limit::between('Room', LimitKind::Critical, 2.0, 5.0);
        $of = static fn(float $celsius): CourseVerdict => CourseVerdict::throughout(
            self::steady($celsius, 10.0),
            0.5,
            $between,
            0.0,
            8.0,
            12.0,
            10.0,
        );

        self::assertSame([Conformity::Inside, '<='], [$of(3.5)->conformity, $of(3.5)->facts['op']]);
        self::assertSame([Conformity::Outside, '<='], [$of(6.0)->conformity, $of(6.0)->facts['op']]);
        self::assertSame([Conformity::Outside, '>='], [$of(1.0)->conformity, $of(1.0)->facts['op']]);
        self::assertSame([Conformity::Inconclusive, '>='], [$of(2.2)->conformity, $of(2.2)->facts['op']]);
    }

    public function test_degree_hours_that_run_on_say_when_they_will_be_used_up(): void
    {
        // 20 °C is 68 °F: 8 °F above the base. Of 1200 °F·h, 192 are gone after a day; the rest lasts for 126 h.
        $said = CourseVerdict::degreeHours(self::steady(20.0, 24.0), 0.0, 0.0, 24.0, [], 0.0, 5.3);

        self::assertNull($said->conformity);
        self::assertEqualsWithDelta(192.0, $said->facts['degree_hours'], 1e-9);
        self::assertEqualsWithDelta(150.0, $said->nextH, 1e-9);
        $reached = CourseVerdict::degreeHours(self::steady(20.0, 24.0), 0.0, 0.0, 24.0, [[12.0, 5.2]], 0.05, 5.3);
        self::assertSame([Conformity::Inside, null], [$reached->conformity, $reached->nextH]);
        self::assertEqualsWithDelta(96.0, $reached->facts['degree_hours'], 1e-9);
        self::assertNull(
            CourseVerdict::degreeHours(self::steady(15.0, 24.0), 0.0, 0.0, 24.0, [], 0.0, 5.3)->nextH,
            'too cold to use any up',
        );
        self::assertSame('nothing', CourseVerdict::degreeHours(self::steady(20.0, 24.0), 0.0, 25.0, 30.0, [], 0.0, 5.3)->facts['kind']);
    }

    public function test_a_record_without_anything_trusted_proves_nothing(): void
    {
        $none = MergedRecord::of([new Stretch([[0.0, 4.0], [1.0, 4.0]], false)], [], true);
        $limit = Limit::edge('Cold', LimitKind::Critical, Comparison::AtMost, 5.0);
        $said = [
            CourseVerdict::throughout($none, 0.5, $limit, 0.0, 1.0, 1.0, 1.0),
            CourseVerdict::degreeHours($none, 0.5, 0.0, 1.0, [], 0.0, 5.3),
            CourseVerdict::heatHold($none, 0.5, 63.0, 30.0, 5.0, null, null, true),
            CourseVerdict::lethality($none, 0.5, 15.0, 60.0, 7.0, 2.0, null, null, true),
            CourseVerdict::timeBeyond($none, 0.5, 5.0, 2.0, 1.0, 0.0, null, true),
        ];

        self::assertSame(
            array_fill(0, 5, [null, 'nothing']),
            array_map(static fn(CourseVerdict $one): array => [$one->conformity, $one->facts['kind']], $said),
        );
    }

    public function test_a_hold_that_only_the_uncertainty_keeps_from_being_met_is_not_proven(): void
    {
        $hold = static fn(float $celsius, bool $isClosed): ?Conformity => CourseVerdict::heatHold(
            self::steady($celsius, 1.0, 0.05),
            0.5,
            63.0,
            30.0,
            5.0,
            null,
            null,
            $isClosed,
        )->conformity;

        self::assertSame(Conformity::Inside, $hold(63.5, true));
        self::assertSame(Conformity::Inconclusive, $hold(63.4, true));
        self::assertNull($hold(63.4, false), 'while it is not over, nothing is decided');
        self::assertSame(Conformity::Outside, $hold(62.9, true));
    }

    public function test_a_hold_is_broken_by_a_silence_between_its_steps_only(): void
    {
        $points = [[0.0, 64.0], [4.0, 64.0], [8.0, 64.0], [20.0, 64.0], [24.0, 64.0]];
        $hold = static fn(?float $from, ?float $to): HeatHold => HeatHold::of($points, 0.0, 63.0, 8.0, 5.0, $from, $to);

        self::assertSame([8.0, false], [$hold(null, null)->longestMinutes, $hold(null, null)->isWhole]);
        self::assertSame([8.0, true], [$hold(0.0, 8.0)->longestMinutes, $hold(0.0, 8.0)->isWhole]);
        self::assertFalse($hold(-6.0, 8.0)->isWhole, 'nothing is on record at its begin');
        self::assertFalse($hold(20.0, 30.0)->isWhole, 'nor at its end');
        self::assertTrue($hold(20.0, 26.0)->isWhole);
        self::assertSame(4.0, $hold(4.0, 8.0)->longestMinutes, 'it counts from its step');
    }

    public function test_stretches_that_are_left_out_come_in_order_and_have_an_extent(): void
    {
        self::assertTrue(LeftOut::of([[1.0, 2.0], [3.0, 4.0]])->touches(2.0, 2.5));
        self::assertTrue(LeftOut::of([[1.0, 2.0], [3.0, 4.0]])->touches(0.0, 1.0));
        self::assertFalse(LeftOut::of([[1.0, 2.0], [3.0, 4.0]])->touches(2.1, 2.9));
        self::assertTrue(
            LeftOut::of([[1.0, 2.0]])
                ->times(60.0)
                ->touches(61.0, 61.0),
        );
        foreach ([[[2.0, 2.0]], [[3.0, 2.0]]] as $empty) {
            self::assertInstanceOf(LowNotBelowHigh::class, self::refusal(static fn() => LeftOut::of($empty)));
        }
        self::assertInstanceOf(TimesNotIncreasing::class, self::refusal(static fn() => LeftOut::of([[3.0, 4.0], [1.0, 2.0]])));
        self::assertInstanceOf(TimesNotIncreasing::class, self::refusal(static fn() => LeftOut::of([[1.0, 2.0], [1.0, 3.0]])));
    }

    public function test_what_is_left_out_counts_only_where_no_trusted_part_covers_it(): void
    {
        $part = static fn(float $from, float $to, bool $isTrusted): Stretch => new Stretch([[$from, 4.0], [$to, 4.0]], $isTrusted);
        $isOut = static fn(MergedRecord $record, float $at): bool => $record->leftOut->touches($at, $at);
        $merged = MergedRecord::of([$part(0.0, 2.0, true), $part(1.0, 4.0, false), $part(3.0, 6.0, true)], [], true);

        self::assertSame([false, true, false], [$isOut($merged, 1.5), $isOut($merged, 2.5), $isOut($merged, 3.5)]);
        self::assertFalse($merged->isWhole);
        self::assertTrue(MergedRecord::of([$part(0.0, 4.0, true), $part(1.0, 3.0, false)], [], true)->isWhole);
        $two = MergedRecord::of([$part(0.0, 1.0, true), $part(2.0, 5.0, false), $part(3.0, 4.0, false), $part(6.0, 7.0, true)], [], true);
        self::assertSame([true, true, false], [$isOut($two, 3.5), $isOut($two, 4.5), $isOut($two, 5.5)]);
        $twice = MergedRecord::of([$part(0.0, 1.0, true), $part(1.5, 2.0, false), $part(2.5, 4.0, true), $part(4.5, 5.0, false)], [], true);
        self::assertSame([true, false, true], [$isOut($twice, 1.7), $isOut($twice, 3.0), $isOut($twice, 4.7)]);
        $alone = MergedRecord::of([$part(0.0, 1.0, true), new Stretch([[2.0, 4.0]], false), $part(3.0, 4.0, true)], [], true);
        self::assertSame([true, false], [$isOut($alone, 2.0), $alone->isWhole]);
    }

    public function test_hours_above_a_limit_are_cut_where_the_line_crosses_it(): void
    {
        /** @param non-empty-list<array{float, float}> $points */
        $beyond = static fn(array $points, ?float $from = null, ?float $to = null): float => TimeBeyond::of(
            $points,
            0.0,
            5.0,
            2.0,
            LeftOut::nothing(),
            $from,
            $to,
        )->hours;

        self::assertEqualsWithDelta(0.5, $beyond([[0.0, 4.0], [1.0, 6.0]]), 1e-9);
        self::assertEqualsWithDelta(0.25, $beyond([[0.0, 6.0], [1.0, 2.0]]), 1e-9);
        self::assertEqualsWithDelta(1.0, $beyond([[0.0, 6.0], [1.0, 7.0]]), 1e-9);
        self::assertEqualsWithDelta(0.0, $beyond([[0.0, 4.0], [1.0, 5.0]]), 1e-9, 'the limit itself is not above it');
        self::assertEqualsWithDelta(0.5, $beyond([[0.0, 6.0], [1.0, 7.0]], 0.5, 1.0), 1e-9);
        self::assertEqualsWithDelta(3.0, $beyond([[0.0, 4.0], [3.0, 4.0]]), 1e-9, 'what nobody recorded counts as above');
    }

    public function test_a_limit_throughout_is_left_at_the_moment_at_which_the_line_crosses_it(): void
    {
        $held = static fn(float $from, ?float $span): Throughout => Throughout::of(
            array_map(static fn(int $i): array => [$i / 2, 6.0 - min(2.0, abs($i / 2 - 2.0))], range(0, 10)),
            0.0,
            Comparison::AtMost,
            5.0,
            $from,
            $span,
            5.0,
            3.0,
        );

        self::assertEqualsWithDelta(1.0, $held(0.0, 4.0)->firstOutsideH, 1e-6);
        self::assertEqualsWithDelta(6.0, $held(0.0, 4.0)->worstC, 1e-9);
        self::assertEqualsWithDelta(5.0, $held(3.0, 2.0)->worstC, 1e-9, 'only what lies in the span counts');
        self::assertNull($held(3.0, 2.0)->firstOutsideH);
        self::assertEqualsWithDelta(1.75, $held(1.75, 2.0)->firstOutsideH, 1e-6);
    }

    /** @param callable(): mixed $act */
    private static function refusal(callable $act): ?\Throwable
    {
        try {
            $act();

            return null;
        } catch (\Throwable $refusal) {
            return $refusal;
        }
    }

    private static function steady(float $celsius, float $untilH, float $everyH = 1.0): MergedRecord
    {
        $points = [[0.0, $celsius]];
        for ($i = 1; $i * $everyH <= $untilH + 1e-9; $i++) {
            $points[] = [$i * $everyH, $celsius];
        }

        return MergedRecord::of([new Stretch($points, true)], [], true);
    }
}
