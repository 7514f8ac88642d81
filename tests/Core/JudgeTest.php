<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Contract\Contract;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\Deciding;
use Rheacid\Core\Limits\JudgedLimit;
use Rheacid\Core\Limits\JudgedOccasion;
use Rheacid\Core\Limits\JudgedReplicate;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\NameTwice;
use Rheacid\Core\Limits\NotDue;
use Rheacid\Core\Limits\NotDueReason;
use Rheacid\Core\Limits\Occasion;
use Rheacid\Core\Limits\Overall;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\Result;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Words\LimitWords;

final class JudgeTest extends TestCase
{
    public function test_each_portion_is_judged_with_its_own_uncertainty(): void
    {
        $limits = [new ProductLimit(Limit::edge('floor', LimitKind::Critical, Comparison::AtLeast, 2.87)), self::critical('ceiling', 4.6)];

        $judged = JudgedOccasion::on(
            [self::ph(new JudgedReplicate(4.1, 0.074), new JudgedReplicate(2.95, 0.098))],
            $limits,
            new Occasion(Stage::Underway),
        );

        self::assertSame(Overall::Hold, $judged->overall, 'the low portion, with its own 0.098, does not prove the floor');
        self::assertSame(['floor' => Conformity::Inconclusive, 'ceiling' => Conformity::Inside], self::conformities($judged));
        self::assertSame([1, 2.95], [$judged->due[0]->replicate, $judged->due[0]->decides->value]);
    }

    public function test_no_later_value_proves_that_a_deadline_was_met(): void
    {
        $week = self::critical('within a week', 4.6, Applies::WithinHours, 168);
        $at = static fn(float $hours, string ...$met): JudgedOccasion => JudgedOccasion::on(
            [self::ph(new JudgedReplicate(4.46, 0.08))],
            [$week],
            new Occasion(Stage::Underway, ['start' => $hours], metInTime: array_values($met)),
        );

        self::assertSame(
            [Conformity::Inconclusive, Conformity::Inside, true, Overall::Hold],
            [$at(190)->due[0]->conformity, $at(190)->due[0]->valueConformity, $at(190)->due[0]->late, $at(190)->overall],
        );
        self::assertSame('Critical limit not proven in time', LimitWords::head($at(190)->due[0]));
        self::assertSame(Overall::Accept, $at(190, 'within a week')->overall, 'it was met in time before');
        self::assertSame(Overall::Accept, $at(168)->overall, 'at its hour it is still in time');
    }

    public function test_a_deadline_binds_from_its_hour_on_or_as_soon_as_it_is_met(): void
    {
        $isDue = static fn(float $hours, float $ph): bool => JudgedOccasion::on(
            [self::ph(new JudgedReplicate($ph, 0.07))],
            [self::critical('week', 4.6, Applies::WithinHours, 168)],
            new Occasion(Stage::Underway, ['start' => $hours]),
        )->due !== [];

        self::assertFalse($isDue(167.9, 4.7));
        self::assertTrue($isDue(168.0, 4.7));
        self::assertTrue($isDue(100.0, 4.53));
        self::assertFalse($isDue(100.0, 4.54), 'met, but not proven: not due yet');
    }

    public function test_a_deadline_that_passed_unread_holds_and_one_whose_step_has_not_begun_waits(): void
    {
        $limits = [self::critical('chilled', 8.0, Applies::WithinHours, 6, 'packed', 'temperature', 'chamber')];
        $ph = [self::ph(new JudgedReplicate(4.2, 0.05))];

        $unread = JudgedOccasion::on($ph, $limits, new Occasion(Stage::Underway, ['start' => 40, 'packed' => 7]));
        $waits = JudgedOccasion::on($ph, $limits, new Occasion(Stage::Underway, ['start' => 40]));

        self::assertSame([NotDueReason::Unread, Overall::Hold], [$unread->notDue[0]->reason, $unread->overall]);
        self::assertSame([NotDueReason::Time, Overall::NothingJudged], [$waits->notDue[0]->reason, $waits->overall]);
    }

    public function test_what_is_not_trusted_proves_nothing_but_may_break_a_limit(): void
    {
        $limits = [self::critical('equilibrium', 4.6), new ProductLimit(Limit::between('recipe', LimitKind::Target, 3.4, 4.3))];
        $judge = static fn(JudgedReplicate $replicate, JudgedReplicate ...$others): array => self::conformities(
            JudgedOccasion::on([self::ph($replicate, ...$others)], $limits, new Occasion(Stage::Underway)),
        );

        self::assertSame(
            ['equilibrium' => Conformity::Inconclusive, 'recipe' => Conformity::Inconclusive],
            $judge(new JudgedReplicate(4.2, 0.05, false)),
        );
        self::assertSame(
            ['equilibrium' => Conformity::Outside, 'recipe' => Conformity::Outside],
            $judge(new JudgedReplicate(4.9, 0.05, false)),
        );
        self::assertSame(
            ['equilibrium' => Conformity::Inconclusive, 'recipe' => Conformity::Inside],
            $judge(new JudgedReplicate(4.2, null)),
            'without an uncertainty nothing binding is proven',
        );
        self::assertSame(
            ['equilibrium' => Conformity::Inconclusive, 'recipe' => Conformity::Inside],
            $judge(new JudgedReplicate(4.2, 0.05, true, ['equilibrium'])),
        );
        self::assertSame(
            ['equilibrium' => Conformity::Inside, 'recipe' => Conformity::Inside],
            $judge(new JudgedReplicate(4.2, 0.05, false), new JudgedReplicate(4.2, 0.05)),
            'beside one that proves it, it does not count',
        );
        self::assertSame(
            Conformity::Outside,
            $judge(new JudgedReplicate(4.2, 0.05), new JudgedReplicate(4.9, 0.05, false))['equilibrium'],
            'but where it breaks the limit it does',
        );
    }

    public function test_each_place_proves_for_itself(): void
    {
        $judged = JudgedOccasion::on(
            [self::ph(new JudgedReplicate(4.2, 0.05)), self::ph(new JudgedReplicate(4.2, 0.05, false))],
            [self::critical('ceiling', 4.6)],
            new Occasion(Stage::Underway),
        );

        self::assertSame(
            [Conformity::Inconclusive, 1],
            [$judged->due[0]->conformity, $judged->due[0]->result],
            'what is trusted in the brine says nothing of the pieces',
        );
    }

    public function test_stage_condition_measurand_and_basis_say_what_is_asked(): void
    {
        $limits = [
            self::critical('under way', 6.0),
            self::critical('equilibrium', 4.6, Applies::Equilibrium),
            new ProductLimit(Limit::edge('shelf', LimitKind::Operating, Comparison::AtMost, 4.0), Applies::Finished),
            new ProductLimit(Limit::edge('acidified', LimitKind::Critical, Comparison::AtMost, 4.2), condition: 'acid was added'),
            self::critical('core', 72.0, measurand: 'temperature', basis: 'core'),
        ];
        $on = static fn(Stage $stage, array $answers): JudgedOccasion => JudgedOccasion::on(
            [self::ph(new JudgedReplicate(4.1, 0.07)), new Result('temperature', 'chamber', [new JudgedReplicate(4.0, 0.3)])],
            $limits,
            new Occasion($stage, [], $answers),
        );
        $waits = static fn(JudgedOccasion $judge): array => array_column(
            array_map(static fn(NotDue $one): array => [$one->limit->limit->name, $one->reason->value], $judge->notDue),
            1,
            0,
        );

        self::assertSame(
            ['equilibrium' => 'stage', 'shelf' => 'stage', 'acidified' => 'unanswered', 'core' => 'no-result'],
            $waits($on(Stage::Underway, [])),
        );
        self::assertSame(['shelf' => 'stage', 'core' => 'no-result'], $waits($on(Stage::Equilibrium, ['acid was added' => false])));
        $finished = $on(Stage::Finished, ['acid was added' => true]);
        self::assertSame(
            ['under way', 'equilibrium', 'shelf', 'acidified'],
            array_keys(self::conformities($finished)),
            'a finished product is still bound by what binds at equilibrium',
        );
        self::assertSame(Overall::Accept, $on(Stage::Equilibrium, ['acid was added' => false])->overall);
        self::assertSame(
            Overall::Review,
            JudgedOccasion::on([self::ph(new JudgedReplicate(4.1, 0.07))], [$limits[2]], new Occasion(Stage::Finished))->overall,
        );
    }

    public function test_the_portion_nearest_to_the_next_limit_decides_where_nothing_is_due(): void
    {
        $results = [self::ph(new JudgedReplicate(4.4, 0.05), new JudgedReplicate(4.36, 0.3))];
        $judged = JudgedOccasion::on($results, [self::critical('equilibrium', 4.6, Applies::Equilibrium)], new Occasion(Stage::Underway));

        self::assertSame(1, Deciding::of($judged, $results)?->replicate, 'least margin beyond its uncertainty');
        self::assertNull(Deciding::of(JudgedOccasion::on($results, [], new Occasion(Stage::Underway)), $results));
    }

    public function test_two_limits_of_one_name_are_refused(): void
    {
        $this->expectException(NameTwice::class);

        JudgedOccasion::on([], [self::critical('one', 4.6), self::critical('one', 4.2)], new Occasion(Stage::Underway));
    }

    public function test_a_deadline_without_its_hours_is_refused_by_bin_compute(): void
    {
        [$answer] = Contract::answer(
            'judge',
            '{"results":[],"limits":[{"name":"a","kind":"critical","op":"<=","value":4.6,"applies":"within_hours"}],"hours_since":{}}',
        );

        self::assertStringContainsString('limits[0].hours', $answer);
        [$answer] = Contract::answer(
            'judge',
            '{"results":[],"limits":[{"name":"a","kind":"critical","op":"<=","value":4.6,"hours":6}],"hours_since":{}}',
        );
        self::assertStringContainsString('"inconsistent"', $answer);
    }

    public function test_the_sentence_says_what_is_to_spare_and_never_that_food_is_safe(): void
    {
        $say = static function (float $value, ?float $u, bool $trusted = true): string {
            $judged = JudgedOccasion::on(
                [self::ph(new JudgedReplicate($value, $u, $trusted))],
                [self::critical('limit', 4.6)],
                new Occasion(Stage::Underway),
            )->due[0];

            return LimitWords::head($judged) . '. ' . LimitWords::tail($judged);
        };

        self::assertSame('Critical limit met. pH ≤ 4.6, 0.02 to spare beyond the uncertainty.', $say(4.52, 0.06));
        self::assertSame('Critical limit not proven. pH ≤ 4.6, lacks 0.03 to be proven.', $say(4.56, 0.07));
        self::assertSame('Critical limit not met. pH ≤ 4.6, missed by 0.12.', $say(4.72, 0.07));
        self::assertSame('Critical limit not proven. pH ≤ 4.6: the uncertainty is unknown, so nothing is proven.', $say(4.2, null));
        self::assertSame('Critical limit not proven. pH ≤ 4.6: the value would meet it, but it is not trusted.', $say(4.2, 0.05, false));
        self::assertStringContainsString('0.02 to spare', $say(4.511, 0.06), 'what is to spare is rounded down');
        self::assertStringContainsString('less than 0.01', $say(4.535, 0.06));
    }

    private static function critical(
        string $name,
        float $atMost,
        Applies $applies = Applies::Always,
        ?float $hours = null,
        string $since = ProductLimit::START,
        string $measurand = 'ph',
        string $basis = '',
    ): ProductLimit {
        return new ProductLimit(
            Limit::edge($name, LimitKind::Critical, Comparison::AtMost, $atMost),
            $applies,
            $hours,
            $since,
            null,
            $measurand,
            $basis,
        );
    }

    private static function ph(JudgedReplicate $replicate, JudgedReplicate ...$others): Result
    {
        return new Result('ph', '', [$replicate, ...array_values($others)]);
    }

    /** @return array<string, Conformity> */
    private static function conformities(JudgedOccasion $judged): array
    {
        return array_column(
            array_map(static fn(JudgedLimit $one): array => [$one->limit->limit->name, $one->conformity], $judged->due),
            1,
            0,
        );
    }
}
