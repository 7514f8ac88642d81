<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Acidity\Acid;
use Rheacid\Core\Acidity\Brine;
use Rheacid\Core\Acidity\Neutraliser;
use Rheacid\Core\Acidity\Standardisation;
use Rheacid\Core\Acidity\SteepestAtEnd;
use Rheacid\Core\Acidity\Titration;
use Rheacid\Core\Acidity\TitrationCurve;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Measuring\LateEntry;
use Rheacid\Core\Measuring\TitrationFoundation;
use Rheacid\Core\Simulation\AcidSolution;

/** The rules around acidity: when duplicates agree, what a strength is worth, what a titration rests on. */
final class AcidityTest extends TestCase
{
    public function test_duplicates_agree_within_a_percent_or_two_digits_of_the_burette(): void
    {
        self::assertFalse(Titration::agree([60.0], [6.0], 0.05), 'one alone agrees with nothing');
        self::assertTrue(Titration::agree([60.0, 60.6], [6.0, 6.06], 0.01));
        self::assertFalse(Titration::agree([60.0, 60.7], [6.0, 6.07], 0.01));
        self::assertTrue(Titration::agree([60.0, 61.0], [6.0, 6.1], 0.05), 'two digits of the burette');
        self::assertFalse(Titration::agree([60.0, 61.1], [6.0, 6.11], 0.05));
    }

    public function test_a_strength_is_the_mean_of_three_that_agree_and_never_better_than_half_a_percent(): void
    {
        self::assertTrue(Standardisation::agree([0.1, 0.1001, 0.1002]));
        self::assertFalse(Standardisation::agree([0.1, 0.1, 0.1004]));
        self::assertFalse(Standardisation::agree([0.1, 0.1]), 'two are too few');
        self::assertEqualsWithDelta([0.1, 0.0005], Standardisation::of([0.1, 0.1, 0.1]), 1e-12);
        self::assertEqualsWithDelta((2 * 0.001) / sqrt(3), Standardisation::of([0.099, 0.1, 0.101])[1], 1e-12);
    }

    public function test_each_source_of_a_titration_blocks_on_its_own(): void
    {
        $day = static fn(string $on): \DateTimeImmutable => new \DateTimeImmutable($on);
        $of = static fn(
            string $titrated = '2026-11-30',
            ?float $endpoint = 8.2,
            ?float $high = 10.01,
            bool $isCoarse = false,
            bool $isDuplicated = true,
        ): array => (new TitrationFoundation(
            $day('2026-10-31'),
            $day($titrated),
            $endpoint,
            $high,
            $isCoarse,
            $isDuplicated,
            [],
        ))->blocks();

        self::assertSame([], $of());
        self::assertSame([ReleaseBlock::TitrantStale], $of(titrated: '2026-12-01'));
        self::assertSame(
            [[], [ReleaseBlock::EndpointOutsideBracket], [ReleaseBlock::EndpointOutsideBracket]],
            [$of(high: 8.2), $of(high: 7.0), $of(high: null)],
        );
        self::assertSame([], $of(endpoint: null, high: null), 'by eye no electrode is asked');
        self::assertSame([ReleaseBlock::CurveCoarse, ReleaseBlock::NotDuplicated], $of(isCoarse: true, isDuplicated: false));
        foreach (
            [
                ReleaseBlock::TitrantStale,
                ReleaseBlock::EndpointOutsideBracket,
                ReleaseBlock::CurveCoarse,
                ReleaseBlock::NotDuplicated,
            ] as $block
        ) {
            self::assertTrue($block->isForBindingLimits());
        }
    }

    public function test_a_curve_without_its_turning_point_inside_is_refused(): void
    {
        self::assertEqualsWithDelta(
            3.0,
            TitrationCurve::through([[1, 3], [2, 4], [2.5, 5], [3.5, 9], [4, 10], [5, 11]])->steepest()->ml,
            1e-9,
            'alike on both sides: the middle',
        );
        $this->expectException(SteepestAtEnd::class);

        TitrationCurve::through([[0, 3], [1, 4], [2, 5], [3, 6], [4, 9]])->steepest();
    }

    public function test_brine_of_everything_and_of_the_brine_are_two_percentages(): void
    {
        self::assertEqualsWithDelta(2.5, (100 * ($salt = Brine::ofTotal(2.5, 8000, 2000))) / (10_000 + $salt), 1e-9);
        self::assertEqualsWithDelta(5.0, (100 * ($salt = Brine::ofBrine(5, 1900))) / (1900 + $salt), 1e-9);
    }

    public function test_the_same_equivalents_in_another_acid(): void
    {
        self::assertEqualsWithDelta(0.653, Acid::Tartaric->to(Acid::Sulfuric, 1.0), 0.0005, 'as tables of wine have it');
        self::assertEqualsWithDelta(1.334, Neutraliser::PotassiumBicarbonate->grams(1.0, Acid::Tartaric), 0.0005);
    }

    public function test_a_pure_acid_has_the_ph_of_the_textbook_and_half_neutralised_that_of_its_constant(): void
    {
        // Acetic acid 0.1 mol/L: √(Ka·c), pH 2.88.
        self::assertEqualsWithDelta(2.88, (new AcidSolution(['acetic' => 0.1]))->ph(), 0.005);
        self::assertEqualsWithDelta(4.76, (new AcidSolution(['acetic' => 0.1], 0.05))->ph(), 0.002);
        self::assertEqualsWithDelta(7.0, (new AcidSolution([]))->ph(), 1e-9);
    }

    public function test_a_reading_is_late_after_half_an_hour(): void
    {
        $at = static fn(string $time): \DateTimeImmutable => new \DateTimeImmutable("2026-11-24 $time");

        self::assertSame(
            [false, true],
            [LateEntry::isLate($at('10:00:00'), $at('10:30:00')), LateEntry::isLate($at('10:00:00'), $at('10:30:01'))],
        );
    }
}
