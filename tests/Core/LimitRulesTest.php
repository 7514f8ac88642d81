<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Batches\Consequences;
use Rheacid\Core\Batches\Move;
use Rheacid\Core\Batches\MoveRefused;
use Rheacid\Core\Forecast\Forecast;
use Rheacid\Core\Forecast\ForecastVerdict;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\Deciding;
use Rheacid\Core\Limits\JudgedOccasion;
use Rheacid\Core\Limits\JudgedReplicate;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\Occasion;
use Rheacid\Core\Limits\Overall;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Limits\Result;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Urgency\Wall;

/** Small rules of limits, batches and forecasts, by hand. */
final class LimitRulesTest extends TestCase
{
    public function test_what_is_not_trusted_for_some_limits_names_just_those(): void
    {
        $limits = [
            new ProductLimit(Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6)),
            new ProductLimit(Limit::edge('Aim', LimitKind::Target, Comparison::AtMost, 4.2)),
            new ProductLimit(Limit::edge('Rest', LimitKind::Target, Comparison::AtMost, 4.2), Applies::Equilibrium),
        ];

        self::assertSame([], ReleaseBlock::provesNot([], $limits));
        self::assertSame(['Acid'], ReleaseBlock::provesNot([ReleaseBlock::ControlCheckMissing], $limits));
        self::assertSame(['Rest'], ReleaseBlock::provesNot([ReleaseBlock::EquilibriumNotProven], $limits));
        self::assertSame(
            ['Acid', 'Rest'],
            ReleaseBlock::provesNot([ReleaseBlock::EquilibriumNotProven, ReleaseBlock::StabilitySaid], $limits),
        );
        self::assertTrue(ReleaseBlock::leavesTrust([ReleaseBlock::StabilitySaid, ReleaseBlock::EquilibriumNotProven]));
        self::assertFalse(ReleaseBlock::leavesTrust([ReleaseBlock::StabilitySaid, ReleaseBlock::Simulated]));
    }

    public function test_while_places_are_missing_only_what_lies_outside_holds(): void
    {
        $limit = new ProductLimit(Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6));
        $judged = static fn(float $ph, bool $isOpen): JudgedOccasion => JudgedOccasion::on(
            [new Result('ph', '', [new JudgedReplicate($ph, 0.05, true)])],
            [$limit],
            new Occasion(Stage::Finished, open: $isOpen ? [['measurand' => 'ph', 'basis' => '']] : []),
        );
        $holds = static fn(float $ph, bool $isOpen): bool => Consequences::of(BatchState::Running, $judged($ph, $isOpen), [], false, false)
            ->holds !== null;

        self::assertSame([true, true, false], [$holds(4.8, true), $holds(4.8, false), $holds(4.5, false)]);
        self::assertSame([false, true], [$holds(4.6, true), $holds(4.6, false)], 'what is only not proven waits for the places');
    }

    public function test_a_deadline_that_was_met_in_time_is_told_and_an_open_deviation_is_not_opened_again(): void
    {
        $limit = new ProductLimit(Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6), Applies::WithinHours, 24.0);
        $follows = static fn(float $ph, float $hours, array $open = []): Consequences => Consequences::of(
            BatchState::Running,
            JudgedOccasion::on(
                [new Result('ph', '', [new JudgedReplicate($ph, 0.05, true)])],
                [$limit],
                new Occasion(Stage::Underway, [ProductLimit::START => $hours]),
            ),
            [],
            false,
            false,
            $open,
        );

        self::assertSame(['Acid'], $follows(4.2, 20.0)->metInTime);
        self::assertSame([], $follows(4.2, 30.0)->metInTime);
        self::assertSame([], $follows(4.8, 20.0)->metInTime);
        self::assertCount(1, $follows(4.2, 30.0)->deviations, 'met too late');
        self::assertCount(1, $follows(4.2, 30.0, ['Acid' => false])->deviations);
        self::assertCount(0, $follows(4.2, 30.0, ['Acid' => true])->deviations);
        self::assertNotNull($follows(4.2, 30.0, ['Acid' => true])->holds, 'held it is all the same');
    }

    public function test_where_nothing_is_due_the_replicate_nearest_to_the_next_limit_decides(): void
    {
        $limits = [
            new ProductLimit(
                Limit::edge('Cold', LimitKind::Critical, Comparison::AtMost, 5.0),
                Applies::Finished,
                measurand: 'temperature',
                basis: 'core',
            ),
            new ProductLimit(Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6), Applies::Finished),
        ];
        $results = [
            new Result('temperature', 'core', [new JudgedReplicate(3.0, 0.5, true)]),
            new Result('ph', '', [new JudgedReplicate(4.2, 0.05, true), new JudgedReplicate(4.4, 0.05, true)]),
        ];
        $deciding = Deciding::of(JudgedOccasion::on($results, $limits, new Occasion(Stage::Underway)), $results);

        self::assertSame([1, 1], [$deciding?->result, $deciding?->replicate]);

        $turned = [$results[0], new Result('ph', '', array_reverse($results[1]->replicates))];
        $deciding = Deciding::of(JudgedOccasion::on($turned, $limits, new Occasion(Stage::Underway)), $turned);
        self::assertSame([1, 0], [$deciding?->result, $deciding?->replicate]);
    }

    public function test_a_curve_that_levels_off_above_the_goal_gives_no_time(): void
    {
        $sigmoid = array_map(static fn(int $h): array => [(float) $h, 4.8 + 1.2 / (1 + exp(($h - 6) / 1.5))], range(0, 14));
        $forecast = Forecast::of($sigmoid, 4.6, 0.02, 24.0);

        self::assertNull($forecast->etaH);
        self::assertEqualsWithDelta(4.8, $forecast->levelsOffPh, 0.02);
        self::assertNotSame(ForecastVerdict::OnTrack, $forecast->verdict);
    }

    public function test_only_what_is_worse_than_before_is_news(): void
    {
        $limit = new ProductLimit(Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6));
        $said = static fn(Conformity $before, bool $wasOpen): bool => Consequences::of(
            BatchState::Running,
            JudgedOccasion::on([new Result('ph', '', [new JudgedReplicate(4.8, 0.05, true)])], [$limit], new Occasion(Stage::Finished)),
            ['Acid' => ['conformity' => $before, 'late' => false, 'open' => $wasOpen]],
            false,
            false,
        )->holds !== null;

        self::assertTrue($said(Conformity::Inside, false));
        self::assertTrue($said(Conformity::Inconclusive, false));
        self::assertFalse($said(Conformity::Outside, false));
        self::assertFalse($said(Conformity::Outside, true));
        self::assertTrue($said(Conformity::Inconclusive, true));
    }

    public function test_the_worst_of_what_is_due_and_of_what_passed_unread_stands_first(): void
    {
        $limits = [
            new ProductLimit(Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6)),
            new ProductLimit(
                Limit::edge('Cold', LimitKind::Critical, Comparison::AtMost, 5.0),
                Applies::WithinHours,
                4.0,
                measurand: 'temperature',
                basis: 'core',
            ),
        ];
        $occasion = new Occasion(Stage::Underway, [ProductLimit::START => 6.0]);
        $judged = static fn(float $ph, Occasion $occasion): JudgedOccasion => JudgedOccasion::on(
            [new Result('ph', '', [new JudgedReplicate($ph, 0.05, true)])],
            $limits,
            $occasion,
        );

        self::assertSame('Cold', $judged(4.2, $occasion)->worst()?->limit->limit->name);
        self::assertSame('Acid', $judged(4.8, $occasion)->worst()?->limit->limit->name);
        self::assertSame('Acid', $judged(4.2, $occasion->awaiting(['Cold']))->worst()?->limit->limit->name, 'another sample will tell');
        self::assertFalse(Stage::Finished->makesDue(Applies::WithinHours));
    }

    public function test_the_worst_limit_decides_with_its_replicate(): void
    {
        $limits = [
            new ProductLimit(Limit::edge('Cold', LimitKind::Critical, Comparison::AtMost, 5.0), measurand: 'temperature', basis: 'core'),
            new ProductLimit(Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6)),
        ];
        $results = [
            new Result('temperature', 'core', [new JudgedReplicate(3.0, 0.5, true)]),
            new Result('ph', '', [
                new JudgedReplicate(4.2, 0.05, true),
                new JudgedReplicate(4.5, 0.05, true),
                new JudgedReplicate(4.9, 0.05, true),
            ]),
        ];
        $deciding = Deciding::of(JudgedOccasion::on($results, $limits, new Occasion(Stage::Finished)), $results);

        self::assertSame([1, 2], [$deciding?->result, $deciding?->replicate]);
    }

    public function test_replicates_have_a_mean(): void
    {
        $replicates = array_map(static fn(float $ph): JudgedReplicate => new JudgedReplicate($ph, 0.05, true), [4.0, 4.2, 4.7]);

        self::assertEqualsWithDelta(4.3, (new Result('ph', '', $replicates))->mean(), 1e-12);
    }

    public function test_critical_and_legal_limits_bind(): void
    {
        self::assertEqualsCanonicalizing([LimitKind::Critical, LimitKind::Legal], LimitKind::binding());
    }

    public function test_a_line_goes_through_the_last_three_readings(): void
    {
        $forecast = Forecast::of([[0.0, 6.0], [1.0, 5.0], [2.0, 4.9], [3.0, 4.8]], 4.5);

        self::assertEqualsWithDelta(6.0, (float) $forecast->etaH, 1e-9);
    }

    public function test_only_a_hold_holds_and_only_what_can_be_held(): void
    {
        self::assertTrue(BatchState::Running->isHeldBy(Overall::Hold));
        self::assertFalse(BatchState::Running->isHeldBy(Overall::Review));
        self::assertFalse(BatchState::Discarded->isHeldBy(Overall::Hold));
    }

    public function test_a_deadline_is_met_in_time_only_when_no_place_is_missing(): void
    {
        $limit = new ProductLimit(Limit::edge('Acid', LimitKind::Critical, Comparison::AtMost, 4.6), Applies::WithinHours, 24.0);
        $met = static fn(bool $isOpen): array => Consequences::of(
            BatchState::Running,
            JudgedOccasion::on(
                [new Result('ph', '', [new JudgedReplicate(4.2, 0.05, true)])],
                [$limit],
                new Occasion(
                    Stage::Underway,
                    hoursSince: ['start' => 20.0],
                    open: $isOpen ? [['measurand' => 'ph', 'basis' => '']] : [],
                ),
            ),
            [],
            false,
            false,
        )->metInTime;

        self::assertSame([['Acid'], []], [$met(false), $met(true)]);
    }

    public function test_edges_the_wrong_way_round_are_told_as_they_were_given(): void
    {
        $this->expectExceptionMessageMatches('/\b5\b.*\b4\b/');
        Limit::between('pH', LimitKind::Target, 5.0, 4.0);
    }

    public function test_release_recall_and_disposition_are_no_moves_by_hand(): void
    {
        $refused = static fn(BatchState $from, BatchState $to): ?MoveRefused => (new Move($from, $to))->refused(false, false);

        self::assertSame(MoveRefused::HasItsOwnAct, $refused(BatchState::Running, BatchState::Released));
        self::assertSame(MoveRefused::HasItsOwnAct, $refused(BatchState::Closed, BatchState::Recalled));
        self::assertSame(MoveRefused::HasItsOwnAct, $refused(BatchState::Held, BatchState::Discarded));
        self::assertNull($refused(BatchState::Recalled, BatchState::Discarded), 'of one that is back a lead decides');
        self::assertNull($refused(BatchState::Running, BatchState::Held));
    }

    public function test_only_a_stage_closes_without_a_release_and_nothing_resumes_over_an_open_deviation(): void
    {
        $close = new Move(BatchState::Running, BatchState::Closed);
        self::assertSame(MoveRefused::NotReleased, $close->refused(false, false));
        self::assertNull($close->refused(true, false));
        self::assertNull((new Move(BatchState::Released, BatchState::Closed))->refused(false, false));

        $resume = new Move(BatchState::Held, BatchState::Running);
        self::assertSame(MoveRefused::DeviationOpen, $resume->refused(false, true));
        self::assertNull($resume->refused(false, false));
        self::assertNull((new Move(BatchState::Running, BatchState::Held))->refused(false, true));
    }

    public function test_who_moves_a_batch_and_whether_a_reason_is_given(): void
    {
        $asks = static fn(BatchState $from, BatchState $to): array => [
            (new Move($from, $to))->needsLead(),
            (new Move($from, $to))->needsReason(),
        ];

        self::assertSame([false, false], $asks(BatchState::Planned, BatchState::Running));
        self::assertSame([false, true], $asks(BatchState::Running, BatchState::Held));
        self::assertSame([true, true], $asks(BatchState::Held, BatchState::Running));
        self::assertSame([true, true], $asks(BatchState::Recalled, BatchState::Diverted));
        self::assertSame([true, false], $asks(BatchState::Released, BatchState::Closed));
    }

    public function test_a_small_drawing_shows_the_next_deadline_or_else_the_tightest_binding_limit(): void
    {
        $wall = static fn(string $name, LimitKind $kind, float $high): Wall => new Wall(
            Limit::edge($name, $kind, Comparison::AtMost, $high),
            0.0,
        );
        $walls = [
            $wall('Aim', LimitKind::Target, 3.9),
            $wall('Loose', LimitKind::Critical, 4.6),
            $wall('Tight', LimitKind::Legal, 4.2),
            new Wall(Limit::edge('Not too sour', LimitKind::Critical, Comparison::AtLeast, 3.0), 0.0),
        ];

        self::assertSame('Tight', Wall::toDraw($walls, null)?->limit->name);
        self::assertSame('Loose', Wall::toDraw($walls, 'Loose')?->limit->name);
        self::assertSame('Tight', Wall::toDraw($walls, 'Aim')?->limit->name, 'an aim is no wall');
        self::assertNull(Wall::toDraw([$walls[0]], 'Aim'));
    }

    public function test_a_sample_drawn_as_a_step_begins_is_on_its_clock(): void
    {
        $limit = new ProductLimit(
            Limit::edge('Acid in time', LimitKind::Critical, Comparison::AtMost, 4.6),
            Applies::WithinHours,
            24.0,
            'pitched',
        );
        $due = static fn(float $hours): array => JudgedOccasion::on(
            [new Result('ph', '', [new JudgedReplicate(4.2, 0.05, true)])],
            [$limit],
            new Occasion(Stage::Underway, ['pitched' => $hours]),
        )->due;

        self::assertCount(1, $due(0.0));
        self::assertCount(0, $due(-0.1));
    }
}
