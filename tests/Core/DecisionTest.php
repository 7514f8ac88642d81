<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Decision;
use Rheacid\Core\Limits\DecisionRule;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\LimitsOnSample;
use Rheacid\Core\Limits\Outcome;
use Rheacid\Core\Limits\Overall;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Limits\SampleFacts;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Limits\TimedLimit;
use Rheacid\Core\Words\LimitWords;

final class DecisionTest extends TestCase
{
    /** @return iterable<string, array{float, float, Outcome}> value, expanded uncertainty, outcome against a critical pH ≤ 4.6 */
    public static function against46(): iterable
    {
        yield 'the uncertainty just fits' => [4.5, 0.1, Outcome::Inside];
        yield 'a hair too much uncertainty' => [4.5, 0.1001, Outcome::Inconclusive];
        yield '4.58 ± 0.05 cannot be confirmed' => [4.58, 0.05, Outcome::Inconclusive];
        yield 'over, but not beyond the uncertainty' => [4.65, 0.05, Outcome::Inconclusive];
        yield 'broken beyond the uncertainty' => [4.66, 0.05, Outcome::Outside];
        yield '4.64 is never rounded to 4.6' => [4.64, 0.0, Outcome::Outside];
    }

    #[DataProvider('against46')]
    public function test_a_critical_limit_is_met_only_with_the_uncertainty_to_spare(float $value, float $u, Outcome $outcome): void
    {
        $decision = Decision::on($value, $u, [self::limit(4.6)]);

        self::assertSame($outcome, $decision->outcomes[0]->outcome);
        self::assertSame($outcome === Outcome::Inside ? Overall::Accept : Overall::Hold, $decision->overall);
    }

    public function test_below_a_strict_limit_means_below(): void
    {
        $below = Limit::edge('model code', LimitKind::Legal, Comparison::Below, 4.2);

        self::assertSame(Outcome::Outside, Decision::on(4.2, 0.0, [$below])->outcomes[0]->outcome);
        self::assertSame(Outcome::Inside, Decision::on(4.19, 0.0, [$below])->outcomes[0]->outcome);
        self::assertSame(Outcome::Inconclusive, Decision::on(4.1, 0.1, [$below])->outcomes[0]->outcome);
    }

    public function test_operating_limits_and_targets_ask_for_no_guard_and_hold_nothing(): void
    {
        $limits = [Limit::edge('shelf', LimitKind::Operating, Comparison::AtMost, 4.0), Limit::between('recipe', LimitKind::Target, 3.4, 3.8)];

        self::assertSame(Overall::Accept, Decision::on(3.8, 0.3, $limits)->overall);
        self::assertSame(Overall::Review, Decision::on(4.1, 0.0, $limits)->overall);
    }

    public function test_the_simple_rule_leaves_the_uncertainty_aside(): void
    {
        self::assertSame(Overall::Accept, Decision::on(4.6, 0.5, [self::limit(4.6)], DecisionRule::Simple)->overall);
    }

    public function test_of_several_portions_the_worst_counts_for_each_limit(): void
    {
        $decision = Decision::on([4.2, 4.62], 0.0, [self::limit(4.6), Limit::edge('floor', LimitKind::Legal, Comparison::AtLeast, 4.3)]);

        self::assertEqualsWithDelta([-0.02, -0.1], array_column($decision->outcomes, 'margin'), 1e-9);
    }

    public function test_a_healthy_ferment_on_its_second_day_is_not_held(): void
    {
        $limits = self::product();

        $young = LimitsOnSample::of($limits, new SampleFacts(Stage::Underway, 46.0), [5.2], 0.07);

        self::assertSame(['under way'], self::names($young->due));
        self::assertSame(['equilibrium', 'within a week', 'recipe'], self::names($young->notDue));
        self::assertSame(Overall::Accept, Decision::on([5.2], 0.07, $young->judging())->overall);
    }

    public function test_a_deadline_binds_from_its_hour_on_or_as_soon_as_it_is_met(): void
    {
        $due = static fn(float $hours, float $ph): bool => in_array('within a week', self::names(LimitsOnSample::of(self::product(), new SampleFacts(Stage::Underway, $hours), [$ph], 0.07)->due), true);

        self::assertFalse($due(167.9, 4.7));
        self::assertTrue($due(168.0, 4.7));
        self::assertTrue($due(100.0, 4.53));
        self::assertFalse($due(100.0, 4.54), 'met, but not proven: not due yet');
    }

    public function test_a_finished_product_is_still_bound_by_the_limit_of_equilibrium(): void
    {
        $due = self::names(LimitsOnSample::of(self::product(), new SampleFacts(Stage::Finished, 24.0), [4.9], 0.07)->due);

        self::assertSame(['under way', 'equilibrium', 'recipe'], $due);
    }

    public function test_a_conditional_limit_concerns_only_who_answered_yes(): void
    {
        $limit = new TimedLimit(self::limit(4.6), Applies::Always, condition: 'acid was added');

        self::assertFalse($limit->concerns(new SampleFacts(Stage::Underway, 10.0)));
        self::assertTrue($limit->concerns(new SampleFacts(Stage::Underway, 10.0, ['acid was added'])));
    }

    public function test_a_reading_up_to_one_ph_below_the_bracket_may_release_and_anything_above_may_not(): void
    {
        self::assertSame([], ReleaseBlock::outside(3.0, 4.0, 7.0));
        self::assertSame([ReleaseBlock::FarBelowBracket], ReleaseBlock::outside(2.99, 4.0, 7.0));
        self::assertSame([ReleaseBlock::AboveBracket], ReleaseBlock::outside(7.01, 4.0, 7.0));
    }

    public function test_the_sentence_says_what_is_to_spare_and_never_that_food_is_safe(): void
    {
        $say = static function (float $value, float $u): string {
            $outcome = Decision::on($value, $u, [self::limit(4.6)])->outcomes[0];

            return LimitWords::head($outcome) . '. ' . LimitWords::tail($outcome);
        };

        self::assertSame('Critical limit met. pH ≤ 4.6, 0.02 to spare beyond the uncertainty.', $say(4.52, 0.06));
        self::assertSame('Critical limit not proven. pH ≤ 4.6, lacks 0.03 to be proven.', $say(4.56, 0.07));
        self::assertSame('Critical limit not met. pH ≤ 4.6, missed by 0.12.', $say(4.72, 0.07));
        self::assertStringContainsString('0.02 to spare', $say(4.511, 0.06), 'what is to spare is rounded down');
        self::assertStringContainsString('less than 0.01', $say(4.535, 0.06));
    }

    public function test_a_ph_at_the_edge_of_its_bracket_is_inside_and_up_to_1_0_below_it_is_marked_only(): void
    {
        self::assertSame([], ReleaseBlock::outside(7.0, 4.01, 7.0));
        self::assertSame([ReleaseBlock::AboveBracket], ReleaseBlock::outside(7.001, 4.01, 7.0));
        self::assertSame([], ReleaseBlock::outside(3.01, 4.01, 7.0));
        self::assertSame([ReleaseBlock::FarBelowBracket], ReleaseBlock::outside(3.009, 4.01, 7.0));
    }

    private static function limit(float $value): Limit
    {
        return Limit::edge('limit', LimitKind::Critical, Comparison::AtMost, $value);
    }

    /** @return list<TimedLimit> */
    private static function product(): array
    {
        $critical = static fn(string $name, float $value): Limit => Limit::edge($name, LimitKind::Critical, Comparison::AtMost, $value);

        return [
            new TimedLimit($critical('under way', 6.0), Applies::Always),
            new TimedLimit($critical('equilibrium', 4.6), Applies::Equilibrium),
            new TimedLimit($critical('within a week', 4.6), Applies::WithinHours, 168),
            new TimedLimit(Limit::between('recipe', LimitKind::Target, 3.4, 3.8), Applies::Finished),
        ];
    }

    /**
     * @param list<TimedLimit> $limits
     *
     * @return list<string>
     */
    private static function names(array $limits): array
    {
        return array_map(static fn(TimedLimit $timed): string => $timed->limit->name, $limits);
    }
}
