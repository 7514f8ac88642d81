<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\DecisionRule;
use Rheacid\Core\Limits\JudgedValue;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\Overall;

final class DecisionTest extends TestCase
{
    /** @return iterable<string, array{float, float, Conformity}> value, expanded uncertainty, outcome against a critical pH ≤ 4.6 */
    public static function against46(): iterable
    {
        yield 'the uncertainty just fits' => [4.5, 0.1, Conformity::Inside];
        yield 'a hair too much uncertainty' => [4.5, 0.1001, Conformity::Inconclusive];
        yield '4.58 ± 0.05 cannot be confirmed' => [4.58, 0.05, Conformity::Inconclusive];
        yield 'over, but not beyond the uncertainty' => [4.65, 0.05, Conformity::Inconclusive];
        yield 'broken beyond the uncertainty' => [4.66, 0.05, Conformity::Outside];
        yield '4.64 is never rounded to 4.6' => [4.64, 0.0, Conformity::Outside];
    }

    #[DataProvider('against46')]
    public function test_a_critical_limit_is_met_only_with_the_uncertainty_to_spare(float $value, float $u, Conformity $outcome): void
    {
        $decision = JudgedValue::on($value, $u, [self::limit(4.6)]);

        self::assertSame($outcome, $decision->outcomes[0]->conformity);
        self::assertSame($outcome === Conformity::Inside ? Overall::Accept : Overall::Hold, $decision->overall);
    }

    public function test_below_a_strict_limit_means_below(): void
    {
        $below = Limit::edge('model code', LimitKind::Legal, Comparison::Below, 4.2);

        self::assertSame(Conformity::Outside, JudgedValue::on(4.2, 0.0, [$below])->outcomes[0]->conformity);
        self::assertSame(Conformity::Inside, JudgedValue::on(4.19, 0.0, [$below])->outcomes[0]->conformity);
        self::assertSame(Conformity::Inconclusive, JudgedValue::on(4.1, 0.1, [$below])->outcomes[0]->conformity);
    }

    public function test_operating_limits_and_targets_ask_for_no_guard_and_hold_nothing(): void
    {
        $limits = [
            Limit::edge('shelf', LimitKind::Operating, Comparison::AtMost, 4.0),
            Limit::between('recipe', LimitKind::Target, 3.4, 3.8),
        ];

        self::assertSame(Overall::Accept, JudgedValue::on(3.8, 0.3, $limits)->overall);
        self::assertSame(Overall::Review, JudgedValue::on(4.1, 0.0, $limits)->overall);
    }

    public function test_the_simple_rule_leaves_the_uncertainty_aside(): void
    {
        self::assertSame(Overall::Accept, JudgedValue::on(4.6, 0.5, [self::limit(4.6)], DecisionRule::Simple)->overall);
    }

    private static function limit(float $value): Limit
    {
        return Limit::edge('limit', LimitKind::Critical, Comparison::AtMost, $value);
    }
}
