<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Batches\Consequences;
use Rheacid\Core\Batches\DispositionKind;
use Rheacid\Core\Batches\StepDoubt;
use Rheacid\Core\Courses\LeftOut;
use Rheacid\Core\Courses\MergedRecord;
use Rheacid\Core\Courses\Stretch;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\JudgedLimit;
use Rheacid\Core\Limits\JudgedOccasion;
use Rheacid\Core\Limits\JudgedReplicate;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\NotDue;
use Rheacid\Core\Limits\NotDueReason;
use Rheacid\Core\Limits\Occasion;
use Rheacid\Core\Limits\Overall;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\Result;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Limits\WorstFirst;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Release\FourEyes;
use Rheacid\Core\Sampling\Places;
use Rheacid\Core\Words\LimitWords;

/** What a verdict rests on besides its value: its hour, its places, what a lead decided, and in which order it is said. */
final class ProofTest extends TestCase
{
    public function test_what_a_lead_let_stand_or_gave_more_time_for_holds_no_longer(): void
    {
        $at = static fn(float $hours, array $disposed, float ...$ph): JudgedOccasion => JudgedOccasion::on(
            $ph === [] ? [] : [self::ph(...array_values($ph))],
            [self::week()],
            new Occasion(Stage::Underway, ['start' => $hours], disposed: $disposed),
        );

        self::assertSame([Overall::Hold, NotDueReason::Unread], [$at(190, [])->overall, $at(190, [])->notDue[0]->reason]);
        self::assertSame(
            [Overall::NothingJudged, NotDueReason::NoResult],
            [$at(190, ['week' => null])->overall, $at(190, ['week' => null])->notDue[0]->reason],
            'a salt reading holds nothing that was decided',
        );
        self::assertSame(
            [Conformity::Inside, true, Overall::Accept],
            [
                $at(190, ['week' => null], 4.3)->due[0]->conformity,
                $at(190, ['week' => null], 4.3)->due[0]->late,
                $at(190, ['week' => null], 4.3)->overall,
            ],
        );
        self::assertSame(Overall::Hold, $at(190, ['week' => null], 4.9)->overall, 'a value outside holds all the same');
        self::assertSame(NotDueReason::Time, $at(190, ['week' => 216.0], 4.9)->notDue[0]->reason, 'that is its deadline now');
        self::assertSame(
            [Overall::Hold, true],
            [$at(217, ['week' => 216.0], 4.3)->overall, $at(217, ['week' => 216.0], 4.3)->due[0]->late],
        );
        self::assertSame(
            NotDueReason::Time,
            JudgedOccasion::on([self::ph(4.0)], [self::week()], new Occasion(Stage::Underway, ['start' => -1.0]))->notDue[0]->reason,
            'drawn before its step',
        );
    }

    public function test_a_sample_that_lacks_a_place_holds_only_what_lies_outside(): void
    {
        $open = [['measurand' => 'ph', 'basis' => '']];

        self::assertSame(
            [Overall::Open, Conformity::Inconclusive],
            [self::ceiling(3.61, ['ceiling'], $open)->overall, self::ceiling(3.61, ['ceiling'], $open)->due[0]->conformity],
            'brine at 3.61, before its solids are read',
        );
        self::assertSame(Overall::Hold, self::ceiling(3.61, ['ceiling'], [])->overall);
        self::assertSame(Overall::Hold, self::ceiling(4.9, ['ceiling'], $open)->overall);
        self::assertSame(
            Overall::Open,
            JudgedOccasion::on([], [self::week()], new Occasion(Stage::Underway, ['start' => 190], open: $open))->overall,
            'never unread while it is open',
        );
        self::assertSame(
            [NotDueReason::NoResult, Overall::NothingJudged],
            [
                JudgedOccasion::on([], [self::week()], new Occasion(Stage::Underway, ['start' => 190], awaited: ['week']))->notDue[0]
                    ->reason,
                JudgedOccasion::on([], [self::week()], new Occasion(Stage::Underway, ['start' => 190], awaited: ['week']))->overall,
            ],
        );
    }

    public function test_one_order_of_worst_says_the_reason(): void
    {
        $limit = static fn(
            string $name,
            LimitKind $kind,
            float $atMost,
            string $of = 'ph',
            Applies $applies = Applies::Always,
            ?float $hours = null,
        ): ProductLimit => new ProductLimit(Limit::edge($name, $kind, Comparison::AtMost, $atMost), $applies, $hours, measurand: $of);
        $judged = JudgedOccasion::on(
            [new Result('ph', '', [new JudgedReplicate(4.58, 0.05)]), new Result('salt', '', [new JudgedReplicate(2.0, 0.1)])],
            [
                $limit('salt', LimitKind::Operating, 3.0, 'salt'),
                $limit('target', LimitKind::Target, 4.0),
                $limit('legal', LimitKind::Legal, 4.6),
                $limit('critical', LimitKind::Critical, 4.62),
                $limit('outside', LimitKind::Legal, 4.5),
                $limit('late', LimitKind::Critical, 4.7, applies: Applies::WithinHours, hours: 24),
                $limit('unread', LimitKind::Critical, 8.0, 'temperature', Applies::WithinHours, 24),
                $limit('sugar', LimitKind::Target, 8.0, 'sugar'),
            ],
            new Occasion(Stage::Underway, ['start' => 30]),
        );

        self::assertSame(
            ['outside', 'unread', 'late', 'critical', 'legal', 'target', 'sugar', 'salt'],
            array_map(
                static fn(JudgedLimit|NotDue $one): string => $one->limit->limit->name,
                WorstFirst::ordered($judged->due, $judged->notDue),
            ),
        );
        $salt = JudgedOccasion::on(
            [new Result('salt', '', [new JudgedReplicate(2.0, 0.1)])],
            [
                $limit('salt', LimitKind::Operating, 3.0, 'salt'),
                $limit('unread', LimitKind::Critical, 4.6, applies: Applies::WithinHours, hours: 24),
            ],
            new Occasion(Stage::Underway, ['start' => 30]),
        );
        $holds = Consequences::of(BatchState::Running, $salt, [], false, false)->holds;
        self::assertInstanceOf(NotDue::class, $holds, 'an unread critical deadline is never sealed as a salt that was met');
        self::assertSame('Deadline missed, not measured: pH ≤ 4.6', LimitWords::reason($holds));
    }

    public function test_only_news_holds_a_batch_or_opens_a_deviation(): void
    {
        $outside = JudgedOccasion::on(
            [self::ph(4.9)],
            [new ProductLimit(Limit::edge('ceiling', LimitKind::Critical, Comparison::AtMost, 4.6))],
            new Occasion(Stage::Underway, ['start' => 10]),
        );
        $said = static fn(Conformity $conformity, bool $late = false, bool $open = false): array => [
            'ceiling' => ['conformity' => $conformity, 'late' => $late, 'open' => $open],
        ];
        $of = static fn(
            BatchState $state,
            array $before,
            bool $wentOut = false,
            bool $own = false,
            ?JudgedOccasion $judged = null,
        ): Consequences => Consequences::of($state, $judged ?? $outside, $before, $wentOut, $own);

        self::assertSame([true, 1], [$of(BatchState::Running, [])->holds !== null, count($of(BatchState::Running, [])->deviations)]);
        self::assertSame(
            [null, []],
            [$of(BatchState::Running, $said(Conformity::Outside))->holds, $of(BatchState::Running, $said(Conformity::Outside))->deviations],
            'judged again, it says nothing new',
        );
        self::assertNotNull($of(BatchState::Running, $said(Conformity::Inconclusive))->holds);
        self::assertSame(
            [null, 1],
            [$of(BatchState::Held, [])->holds, count($of(BatchState::Held, [])->deviations)],
            'a held batch is held already',
        );
        self::assertSame([], $of(BatchState::Diverted, [], true)->deviations);
        self::assertSame([], $of(BatchState::Released, [], false)->deviations, 'it never went out');

        self::assertCount(1, $of(BatchState::Released, $said(Conformity::Inside), true)->deviations);
        self::assertCount(1, $of(BatchState::Closed, $said(Conformity::Inside), true)->deviations, 'closed batches included');
        $doubtful = JudgedOccasion::on(
            [self::ph(4.58)],
            [new ProductLimit(Limit::edge('ceiling', LimitKind::Critical, Comparison::AtMost, 4.6))],
            new Occasion(Stage::Underway, ['start' => 10]),
        );
        self::assertCount(
            1,
            $of(BatchState::Released, $said(Conformity::Inside), true, true, $doubtful)->deviations,
            'no longer proven after a correction of its own record',
        );
        self::assertCount(
            0,
            $of(BatchState::Released, $said(Conformity::Inside), true, false, $doubtful)->deviations,
            'because an instrument failed: one line per cause instead',
        );
        self::assertNotNull(
            $of(BatchState::Running, $said(Conformity::Inconclusive, open: true), judged: $doubtful)->holds,
            'complete now, it counts',
        );

        $course = static fn(
            BatchState $state,
            ?Conformity $now,
            ?Conformity $before = null,
            bool $wentOut = false,
            bool $own = false,
            LimitKind $kind = LimitKind::Critical,
        ): array => array_values(Consequences::ofCourse($state, $kind, $now, $before, $wentOut, $own));
        self::assertSame(
            [[true, true], [true, false], [false, false], [false, false]],
            [
                $course(BatchState::Running, Conformity::Outside),
                $course(BatchState::Running, Conformity::Inconclusive),
                $course(BatchState::Running, null),
                $course(BatchState::Running, Conformity::Outside, Conformity::Outside),
            ],
        );
        self::assertSame(
            [[false, false], [false, true], [false, true], [false, false]],
            [
                $course(BatchState::Running, Conformity::Outside, kind: LimitKind::Operating),
                $course(BatchState::Closed, Conformity::Outside, Conformity::Inside, true),
                $course(BatchState::Released, Conformity::Inconclusive, Conformity::Inside, true, true),
                $course(BatchState::Released, Conformity::Inconclusive, Conformity::Inside, true),
            ],
        );
    }

    /** @param list<string> $waits when somebody said "not yet" */
    #[TestWith(['2026-11-27T13:00:00Z', [], '2026-11-27T13:00:00Z', StepDoubt::TooLate])]
    #[TestWith(['2026-11-27T11:00:00Z', [], '2026-11-27T11:00:00Z', null])]
    #[TestWith(['2026-11-27T13:00:00Z', ['2026-11-26T12:00:00Z'], '2026-11-27T13:00:00Z', null])]
    #[TestWith(['2026-11-29T13:00:00Z', ['2026-11-26T12:00:00Z'], '2026-11-29T13:00:00Z', StepDoubt::TooLate])]
    #[TestWith(['2026-11-26T11:00:00Z', ['2026-11-26T12:00:00Z'], '2026-11-26T13:00:00Z', StepDoubt::Contradicts])]
    public function test_a_step_that_nobody_recorded_in_time_is_stated_by_a_lead(
        string $happened,
        array $waits,
        string $now,
        ?StepDoubt $doubt,
    ): void {
        $at = static fn(string $time): \DateTimeImmutable => new \DateTimeImmutable($time);

        self::assertSame($doubt, StepDoubt::of(48.0, $at('2026-11-25T12:00:00Z'), array_map($at, $waits), $at($happened), $at($now)));
        self::assertNull(StepDoubt::of(null, $at('2026-11-25T12:00:00Z'), [], $at($happened), $at($now)), 'no limit counts from it');
    }

    public function test_a_step_that_had_not_happened_is_asked_for_again_after_half_of_its_time(): void
    {
        $said = new \DateTimeImmutable('2026-11-25T12:00:00Z');
        $isAsked = static fn(?float $hours, string $after): bool => StepDoubt::isAsked($hours, $said, $said->modify($after));

        self::assertTrue(StepDoubt::isAsked(8.0, null, $said), 'nobody has said anything yet');
        self::assertSame([false, true], [$isAsked(8.0, '+4 hours'), $isAsked(8.0, '+4 hours 1 second')]);
        self::assertSame([false, true], [$isAsked(168.0, '+12 hours'), $isAsked(168.0, '+12 hours 1 second')], 'twelve hours at most');
        self::assertTrue($isAsked(null, '+12 hours 1 second'));
    }

    public function test_who_had_a_hand_in_a_batch_does_not_release_it_by_four_eyes(): void
    {
        self::assertSame([], FourEyes::against(1, ['held' => [2], 'corrected' => [3]], [1, 2]));
        foreach (array_filter(FourEyes::cases(), static fn(FourEyes $hand): bool => $hand !== FourEyes::MeasuredAll) as $hand) {
            self::assertSame([$hand], FourEyes::against(1, [$hand->value => [2, 1]], [2]));
        }
        self::assertSame([FourEyes::Held, FourEyes::MeasuredAll], FourEyes::against(1, ['held' => [1]], [1, 1]));
        self::assertSame([], FourEyes::against(1, [], []), 'nothing was measured, so nobody measured it all');
    }

    public function test_places_are_counted_for_each_quantity_on_its_own(): void
    {
        $read = static fn(Measurand $of, string $basis, string ...$places): array => array_map(
            static fn(string $place): array => ['measurand' => $of, 'basis' => $basis, 'place' => $place],
            array_values($places),
        );
        $needed = ['piece 1', 'piece 2', 'piece 3'];

        self::assertSame(
            [],
            Places::lacking($needed, $read(Measurand::Temperature, 'core', 'piece 1', 'piece 2', 'piece 3')),
            'three temperatures lack no pH',
        );
        self::assertSame(
            [['measurand' => 'ph', 'basis' => '', 'places' => ['piece 3']]],
            Places::lacking($needed, [
                ...$read(Measurand::Ph, '', 'piece 1', 'piece 2'),
                ...$read(Measurand::Temperature, 'core', ...$needed),
            ]),
        );
        self::assertSame(
            [],
            Places::lacking($needed, [
                ...$read(Measurand::Salt, 'of total', 'piece 1'),
                ...$read(Measurand::Temperature, 'chamber', 'piece 1'),
            ]),
            'a mixed sample and a room have no places',
        );
        self::assertSame('2026-11-25T14:00:00+00:00', Places::until(new \DateTimeImmutable('2026-11-25T12:00:00Z'))->format('c'));
    }

    public function test_parts_of_a_record_fill_gaps_and_where_they_overlap_the_worse_stands(): void
    {
        $merged = MergedRecord::of(
            [self::stretch(true, [4.0, 8.0], [6.0, 8.0]), self::stretch(true, [0.0, 4.0], [2.0, 4.0], [5.0, 4.0])],
            [],
            true,
        );
        self::assertSame(
            [[0.0, 4.0], [2.0, 4.0], [4.0, 8.0], [5.0, 8.0], [6.0, 8.0]],
            $merged->points,
            'out of order, and each read at all times of both',
        );
        self::assertSame(
            4.0,
            MergedRecord::of([self::stretch(true, [4.0, 8.0], [6.0, 8.0]), self::stretch(true, [0.0, 4.0], [5.0, 4.0])], [], false)
                ->points[1][1],
        );

        $doubted = MergedRecord::of(
            [self::stretch(true, [0.0, 4.0], [1.0, 4.0]), self::stretch(false, [1.5, 4.0], [2.5, 4.0]), self::stretch(true, [3.0, 4.0])],
            [],
            true,
        );
        self::assertFalse($doubted->isWhole);
        self::assertTrue($doubted->leftOut->touches(1.0, 3.0));
        self::assertFalse($doubted->leftOut->touches(0.0, 1.0));
        self::assertTrue(
            MergedRecord::of([self::stretch(false, [1.0, 4.0], [2.0, 4.0]), self::stretch(true, [0.5, 4.0], [2.5, 4.0])], [], true)
                ->isWhole,
            'another logger covers it',
        );

        [$left, $struck] = self::stretch(true, [0.0, 4.0], [1.0, 20.0], [2.0, 4.0])->without([[0.9, 1.1], [5.0, 6.0]]);
        self::assertSame([[[0.0, 4.0]], [[2.0, 4.0]], [[0.9, 1.1]]], [$left[0]->points, $left[1]->points, $struck]);
        self::assertTrue(MergedRecord::of($left, $struck, true)->leftOut->touches(0.0, 2.0));
        self::assertFalse(LeftOut::of([[1.0, 2.0]])->touches(2.1, 3.0));
    }

    public function test_possible_decisions_depend_on_whether_the_batch_was_released(): void
    {
        self::assertSame([DispositionKind::Recall, DispositionKind::LetStand], DispositionKind::about(isAfterRelease: true));
        self::assertSame(
            [DispositionKind::GoOn, DispositionKind::Divert, DispositionKind::Discard],
            DispositionKind::about(isAfterRelease: false),
        );
        self::assertSame([BatchState::Recalled, null], [DispositionKind::Recall->leadsTo(), DispositionKind::LetStand->leadsTo()]);
        self::assertTrue(BatchState::Recalled->mayBecome(BatchState::Released));
        self::assertTrue(BatchState::Recalled->isMeasured());
        self::assertFalse(BatchState::Recalled->isLive());
    }

    /**
     * @param array{float, float} $first
     * @param array{float, float} ...$points
     */
    private static function stretch(bool $trusted, array $first, array ...$points): Stretch
    {
        return new Stretch([$first, ...array_values($points)], $trusted);
    }

    /**
     * @param list<string> $provesNot
     * @param list<array{measurand: string, basis: string}> $open
     */
    private static function ceiling(float $ph, array $provesNot, array $open): JudgedOccasion
    {
        return JudgedOccasion::on(
            [new Result('ph', '', [new JudgedReplicate($ph, 0.05, true, $provesNot)])],
            [new ProductLimit(Limit::edge('ceiling', LimitKind::Critical, Comparison::AtMost, 4.6))],
            new Occasion(Stage::Underway, ['start' => 10], open: $open),
        );
    }

    private static function week(): ProductLimit
    {
        return new ProductLimit(Limit::edge('week', LimitKind::Critical, Comparison::AtMost, 4.6), Applies::WithinHours, 168.0);
    }

    private static function ph(float ...$values): Result
    {
        $portions = array_map(static fn(float $ph): JudgedReplicate => new JudgedReplicate($ph, 0.05), array_values($values));
        assert($portions !== []);

        return new Result('ph', '', $portions);
    }
}
