<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Batches\AfterAddition;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measuring\Matrix;
use Rheacid\Core\Measuring\StandardMethods;
use Rheacid\Core\Sampling\Sampled;
use Rheacid\Core\Sampling\SamplingLine;
use Rheacid\Core\Sampling\SamplingPlan;
use Rheacid\Core\Sampling\SamplingState;
use Rheacid\Core\Sampling\SamplingUnclear;
use Rheacid\Core\Words\SamplingWords;

/** What is read of a batch, when and where; what of it is missing; and the methods by which it is read. */
final class SamplingTest extends TestCase
{
    public function test_the_limits_ask_for_each_quantity_once_at_each_stage_and_often_enough_before_a_deadline(): void
    {
        $limits = [
            self::limit('always', Applies::Always),
            self::limit('within a week', Applies::WithinHours, 168),
            self::limit('at equilibrium', Applies::Equilibrium),
            self::limit('shelf', Applies::Equilibrium),
            self::limit('if acidified', Applies::WithinHours, 24, 'it is acidified'),
        ];

        $asked = array_map(
            static fn(SamplingLine $line): array => [$line->measurand, $line->basis, $line->stage, $line->everyHours],
            SamplingPlan::asked($limits, ['chamber'], ['it is acidified' => false], 1, '')->lines,
        );
        self::assertSame([['ph', '', Stage::Equilibrium, null], ['temperature', 'chamber', null, 1.0], ['ph', '', null, 21.0]], $asked);
        self::assertSame(3.0, SamplingPlan::asked($limits, [], [], 1, '')->lines[1]->everyHours, 'not answered yet: it may apply');
    }

    public function test_what_is_missing_stands_first_and_what_waits_for_its_stage_is_not_missing(): void
    {
        $plan = new SamplingPlan([
            new SamplingLine('ph', '', Stage::Finished, null, 1, ''),
            new SamplingLine('ph', '', Stage::Start, null, 3, ''),
            new SamplingLine('ph', '', null, 12.0, 1, ''),
            new SamplingLine('salt', 'of total', Stage::Start, null, 1, ''),
        ]);
        $words = static fn(float $hours, Stage $stage, Sampled ...$sampled): array => array_map(
            static fn(SamplingState $one): string => SamplingWords::what($one->line) . ': ' . SamplingWords::state($one),
            $plan->against(array_values($sampled), $hours, $stage),
        );

        self::assertSame(
            ['pH: 6 h late', 'pH: fewer than 3 places', 'salt, of the total weight: not read yet', 'pH: waits for its stage'],
            $words(20.0, Stage::Underway, new Sampled('ph', '', Stage::Start, 2.0, 2)),
        );
        self::assertSame(
            ['salt, of the total weight: not read yet', 'pH: next in 30 min', 'pH: read', 'pH: waits for its stage'],
            self::sorted(
                $words(20.0, Stage::Underway, new Sampled('ph', '', Stage::Start, 2.0, 3), new Sampled('ph', '', Stage::Underway, 8.5, 1)),
            ),
        );
        self::assertContains(
            'pH: not read yet',
            $words(20.0, Stage::Finished, new Sampled('ph', '', Stage::Start, 2.0, 3), new Sampled('ph', '', Stage::Underway, 19.0, 1)),
            'finished was declared',
        );
    }

    public function test_a_line_says_either_a_stage_or_how_often(): void
    {
        foreach ([[null, null, 1], [Stage::Start, 12.0, 1], [null, 0.0, 1], [Stage::Start, null, 0]] as [$stage, $every, $count]) {
            try {
                new SamplingLine('ph', '', $stage, $every, $count, '');
                self::fail('taken: ' . json_encode([$stage, $every, $count]));
            } catch (SamplingUnclear) {
                $this->addToAssertionCount(1);
            }
        }
    }

    public function test_a_reading_from_before_an_addition_counts_for_nothing_after_it(): void
    {
        $at = static fn(string $time): \DateTimeImmutable => new \DateTimeImmutable("2026-11-24 $time");

        self::assertFalse(AfterAddition::isReadingAwaited(null, null));
        self::assertTrue(AfterAddition::isReadingAwaited($at('10:00'), null));
        self::assertTrue(AfterAddition::isReadingAwaited($at('10:00'), $at('10:00')));
        self::assertFalse(AfterAddition::isReadingAwaited($at('10:00'), $at('10:01')));
    }

    public function test_there_is_a_standard_method_for_every_kind_of_sample(): void
    {
        self::assertSame(
            array_column(Matrix::cases(), 'value'),
            array_values(array_map(static fn(array $method): string => $method['matrix'], StandardMethods::all())),
        );
        foreach (StandardMethods::all() as $code => $method) {
            self::assertSame([], array_diff($method['needed_places'], $method['places']), $code);
            self::assertNotSame([], $method['cautions'], $code);
        }
        self::assertSame(
            [true, false, true],
            [
                Matrix::Insertion->suits(ElectrodeKind::Spear),
                Matrix::Insertion->suits(ElectrodeKind::Refillable),
                Matrix::Slurry->suits(ElectrodeKind::Refillable),
            ],
        );
        self::assertSame(
            [true, true, false],
            array_map(Matrix::Must->suits(...), [ElectrodeKind::Sleeve, ElectrodeKind::DoubleJunction, ElectrodeKind::SealedGel]),
        );
        self::assertSame([true, false], array_map(Matrix::Surface->suits(...), [ElectrodeKind::Flat, ElectrodeKind::Spear]));
        self::assertSame(
            [Matrix::Insertion],
            array_values(array_filter(Matrix::cases(), static fn(Matrix $matrix): bool => $matrix->needsPilotHole())),
        );
        self::assertSame(
            [0.02, 0.05],
            [StandardMethods::all()['sparkling']['agree_within_ph'], StandardMethods::all()['still-liquid']['agree_within_ph']],
            'two readings within 0.02 show that the gas is gone',
        );
    }

    /**
     * @param list<string> $words
     *
     * @return list<string> of those that are not missing the order does not matter
     */
    private static function sorted(array $words): array
    {
        $rest = array_slice($words, 1);
        sort($rest);

        return [$words[0], ...$rest];
    }

    private static function limit(string $name, Applies $applies, ?float $hours = null, ?string $condition = null): ProductLimit
    {
        return new ProductLimit(
            Limit::kept($name, LimitKind::Critical, Comparison::AtMost, null, 4.6),
            $applies,
            $hours,
            condition: $condition,
        );
    }
}
