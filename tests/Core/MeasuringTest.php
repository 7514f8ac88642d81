<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\Attributes\TestWith;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Acidity\Acid;
use Rheacid\Core\Acidity\AcidityBasisDiffers;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Limits\Applies;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\JudgedOccasion;
use Rheacid\Core\Limits\JudgedReplicate;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Limits\Occasion;
use Rheacid\Core\Limits\ProductLimit;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Limits\Result;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measurands\BasisUnknown;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Measurands\UnitUnknown;
use Rheacid\Core\Measurands\ValueImpossible;
use Rheacid\Core\Measuring\BufferValue;
use Rheacid\Core\Measuring\CalibrationDoubts;
use Rheacid\Core\Measuring\Equilibrium;
use Rheacid\Core\Measuring\Foundation;
use Rheacid\Core\Measuring\HardSample;
use Rheacid\Core\Measuring\MethodRules;
use Rheacid\Core\Measuring\PhReplicate;
use Rheacid\Core\Measuring\PhResult;
use Rheacid\Core\Measuring\Rinse;
use Rheacid\Core\Measuring\SampleDilution;
use Rheacid\Core\Measuring\StandardMethods;
use Rheacid\Core\Measuring\ThermometerFacts;
use Rheacid\Core\Products\Library;
use Rheacid\Core\Products\LibraryProduct;

/** What a pH is worth, and what keeps it from proving anything. */
final class MeasuringTest extends TestCase
{
    private const SLURRY = 0.04;
    private const CLEAR = 0.01;

    /**
     * @return iterable<string, array{float, float, float|null, float, Conformity}> pH, matrix bound, error of the control check,
     *     uncertainty to two decimals, against a critical pH ≤ 4.6
     */
    public static function worked(): iterable
    {
        yield 'a slurry without a control check' => [4.53, self::SLURRY, null, 0.08, Conformity::Inconclusive];
        yield 'a slurry after a check within 0.03' => [4.53, self::SLURRY, 0.025, 0.06, Conformity::Inside];
        yield 'a clear sample without a control check' => [4.55, self::CLEAR, null, 0.07, Conformity::Inconclusive];
        yield 'a clear sample after a check' => [4.55, self::CLEAR, 0.02, 0.04, Conformity::Inside];
    }

    #[DataProvider('worked')]
    public function test_a_control_check_makes_the_drift_as_good_as_it_was_found(
        float $ph,
        float $matrix,
        ?float $control,
        float $expandedU,
        Conformity $conformity,
    ): void {
        $result = self::read([self::portion($ph), self::portion($ph - 0.006)], self::rests(control: $control), $matrix)->result;

        self::assertSame($expandedU, round((float) $result->replicates[0]->expandedU, 2));
        self::assertSame($conformity, self::against46($result->replicates));
    }

    public function test_a_check_makes_it_no_better_than_0_02_nor_worse_than_the_policy(): void
    {
        self::assertSame(
            [0.05, 0.02, 0.03, 0.05],
            array_map(static fn(?float $error): float => self::rests(control: $error)->driftPh(), [null, 0.001, -0.03, 0.2]),
        );
    }

    public function test_portions_that_agree_share_their_repeatability_and_others_stand_alone(): void
    {
        $alone = self::read([self::portion(4.5)], self::rests())->result->replicates[0]->expandedU;
        $agree = self::read([self::portion(4.5), self::portion(4.45)], self::rests())->result->replicates[0]->expandedU;
        $differ = self::read([self::portion(4.5), self::portion(4.449)], self::rests())->result->replicates[0]->expandedU;

        self::assertLessThan((float) $alone, (float) $agree);
        self::assertEqualsWithDelta((float) $alone, (float) $differ, 1e-12);
    }

    /**
     * @return iterable<string, array{list<float>, list<bool>, int}> pH one after the other, of which the gas was gone, how many are needed
     */
    public static function degassed(): iterable
    {
        yield 'the first alone says nothing' => [[3.9], [false], 2];
        yield 'two in a row agree' => [[3.9, 3.92], [true, true], 2];
        yield 'two in a row do not quite agree' => [[3.9, 3.921], [false, false], 3];
        yield 'the gas goes' => [[3.9, 4.0], [false, false], 3];
        yield 'and is gone' => [[3.9, 4.0, 4.05, 4.06], [false, false, true, true], 4];
        yield 'never within five' => [[3.9, 4.0, 4.1, 4.2, 4.3], [false, false, false, false, false], 5];
    }

    /**
     * @param non-empty-list<float> $values
     * @param list<bool> $gone
     */
    #[DataProvider('degassed')]
    public function test_a_sparkling_sample_proves_by_two_in_a_row_that_agree(array $values, array $gone, int $needed): void
    {
        $rules = new MethodRules(2, 0.05, 20, 25, self::CLEAR, degasses: true);
        $read = PhResult::of(array_map(self::portion(...), $values), self::rests(), $rules, [], [self::limit()]);

        self::assertSame($gone, array_map(static fn(JudgedReplicate $replicate): bool => $replicate->trusted, $read->result->replicates));
        self::assertSame($needed, $rules->needed($values));
        self::assertSame(count($values) >= $needed, $rules->areComplete($values));
        self::assertSame(
            in_array(true, $gone, true) ? Conformity::Inside : Conformity::Inconclusive,
            self::against46($read->result->replicates),
        );
    }

    public function test_what_was_read_with_gas_in_it_shares_no_repeatability_with_the_rest(): void
    {
        $read = PhResult::of(
            [self::portion(3.9), self::portion(4.05), self::portion(4.06)],
            self::rests(),
            new MethodRules(2, 0.02, 20, 25, self::CLEAR, degasses: true),
            [],
            [],
        );

        self::assertGreaterThan((float) $read->result->replicates[2]->expandedU, (float) $read->result->replicates[0]->expandedU);
    }

    /** @return iterable<string, array{Foundation, PhReplicate, ReleaseBlock, bool}> block, and whether the value is trusted all the same */
    public static function blocked(): iterable
    {
        self::assertSame([ReleaseBlock::BathUntold], (new ThermometerFacts(0.2, false, false, -5, 25, isBathTold: false))->blocks(21));
        $overdue = new ThermometerFacts(0.2, false, true, -5, 25);
        yield 'one point: no slope, no uncertainty' => [
            self::rests(hasSlope: false),
            self::portion(4.2),
            ReleaseBlock::OnePointCalibration,
            false,
        ];
        yield 'at 5 °C' => [self::rests(), self::portion(4.2, 5), ReleaseBlock::SampleTemperature, false];
        yield 'at 60 °C' => [self::rests(), self::portion(4.2, 60), ReleaseBlock::ThermometerNotCovering, false];
        yield 'at 72 °C' => [self::rests(), self::portion(4.2, 72), ReleaseBlock::SampleTemperature, false];
        yield 'a soaking pair' => [
            self::rests(blocks: [ReleaseBlock::ElectrodeSoaking]),
            self::portion(4.2),
            ReleaseBlock::ElectrodeSoaking,
            false,
        ];
        yield 'an overdue pair' => [
            self::rests(blocks: [ReleaseBlock::CalibrationOverdue]),
            self::portion(4.2),
            ReleaseBlock::CalibrationOverdue,
            false,
        ];
        yield 'an overdue thermometer' => [self::rests(thermometer: $overdue), self::portion(4.2), ReleaseBlock::ThermometerOverdue, false];
        yield 'before it stood still' => [self::rests(), self::portion(4.2, settled: false), ReleaseBlock::Unsettled, false];
        yield 'the simulated bench of a real site' => [self::rests(), self::portion(4.2, counts: false), ReleaseBlock::Simulated, false];
        yield 'far below the buffers' => [self::rests(), self::portion(3.0), ReleaseBlock::FarBelowBracket, false];
        yield 'no control check' => [
            self::rests(blocks: [ReleaseBlock::ControlCheckMissing]),
            self::portion(4.2),
            ReleaseBlock::ControlCheckMissing,
            true,
        ];
        yield 'a bottle that was dipped' => [
            self::rests(blocks: [ReleaseBlock::SolutionBarred]),
            self::portion(4.2),
            ReleaseBlock::SolutionBarred,
            true,
        ];
    }

    #[DataProvider('blocked')]
    public function test_doubtful_instruments_keep_a_reading_from_proving_a_critical_limit(
        Foundation $rests,
        PhReplicate $replicate,
        ReleaseBlock $block,
        bool $isTrusted,
    ): void {
        $read = self::read([$replicate], $rests);

        self::assertContains($block, $read->blocks[0]);
        self::assertSame($isTrusted, $read->result->replicates[0]->trusted);
        self::assertSame(Conformity::Inconclusive, self::against46($read->result->replicates), 'proves nothing, though 4.2 would meet it');
    }

    public function test_a_ph_at_the_edge_of_its_bracket_is_inside_and_up_to_1_0_below_it_is_marked_only(): void
    {
        self::assertSame([], ReleaseBlock::outside(7.0, 4.01, 7.0));
        self::assertSame([ReleaseBlock::AboveBracket], ReleaseBlock::outside(7.001, 4.01, 7.0));
        self::assertSame([], ReleaseBlock::outside(3.01, 4.01, 7.0));
        self::assertSame([ReleaseBlock::FarBelowBracket], ReleaseBlock::outside(3.009, 4.01, 7.0));
    }

    public function test_equilibrium_is_proven_when_the_parts_agree_and_nothing_changed_for_a_day(): void
    {
        $yesterday = [['hours' => 20.0, 'ph' => 4.25]];
        $proven = self::proven(...);

        self::assertTrue($proven(['brine' => 4.2, 'solids' => 4.3], $yesterday));
        self::assertFalse($proven(['brine' => 4.2, 'solids' => 4.301], $yesterday), 'brine and pieces differ');
        self::assertFalse($proven(['brine' => 4.2], $yesterday), 'the pieces were not read');
        self::assertFalse($proven(['brine' => 4.2, 'solids' => 4.3], [['hours' => 19.9, 'ph' => 4.3]]), 'not a day yet');
        self::assertFalse($proven(['brine' => 4.2, 'solids' => 4.3], [['hours' => 24.0, 'ph' => 4.36]]), 'it moved');
        self::assertTrue($proven(['blend' => 4.3], $yesterday, []), 'where the whole is blended, time alone tells');
    }

    public function test_a_quantity_is_shown_in_its_own_units_on_its_own_basis(): void
    {
        self::assertEqualsWithDelta(7.2, Measurand::Sugar->on('')->value(7200, 'mg/L'), 1e-9);
        $acidity = Measurand::TitratableAcidity->on('8.2 per kg');
        self::assertSame(
            ['g/kg as tartaric', '7.50', '9.00'],
            [$acidity->unit(), $acidity->shown(7.5), $acidity->shown(7.5, AcidityUnit::grams(Acid::Lactic, true))],
            'per kilogram, in another acid',
        );
        self::assertEqualsWithDelta(7.5, $acidity->acidity(9.003, AcidityUnit::grams(Acid::Lactic, true)), 1e-3);
        self::assertEqualsWithDelta(63.0, Measurand::Temperature->on('core')->value(145.4, '°F'), 1e-9);
        foreach (
            [
                UnitUnknown::class => static fn(): float => Measurand::Ph->on('')->value(4.2, 'g/L'),
                BasisUnknown::class => static fn(): float => Measurand::Temperature->on('')->value(4.2, '°C'),
                AcidityBasisDiffers::class => static fn(): float => $acidity->acidity(24.0, AcidityUnit::named('dornic') ?? self::fail()),
                ValueImpossible::class => static fn(): float => Measurand::WaterActivity->on('')->value(1.01, ''),
            ] as $class => $read
        ) {
            try {
                $read();
                self::fail("$class was not told");
            } catch (AcidityBasisDiffers|BasisUnknown|UnitUnknown|ValueImpossible $failure) {
                self::assertInstanceOf($class, $failure);
            }
        }
    }

    /**
     * @param array<string, float> $now
     * @param list<array{hours: float, ph: float}> $before
     * @param list<string> $places
     */
    private static function proven(array $now, array $before, array $places = ['brine', 'solids']): bool
    {
        return Equilibrium::isProven($now, $places, $before);
    }

    /** @param non-empty-list<PhReplicate> $portions */
    private static function read(array $portions, Foundation $rests, float $matrix = self::SLURRY): PhResult
    {
        return PhResult::of($portions, $rests, new MethodRules(2, 0.05, 20, 25, $matrix), [], [self::limit()]);
    }

    /** @param non-empty-list<JudgedReplicate> $portions */
    private static function against46(array $portions): Conformity
    {
        return JudgedOccasion::on([new Result('ph', '', $portions)], [self::limit()], new Occasion(Stage::Underway))->due[0]->conformity;
    }

    /** @return iterable<string, array{float|null, float|null, float|null, float|null}> bound, parts used, parts and bound of the method */
    public static function dilutions(): iterable
    {
        yield 'none' => [0.0, null, null, null];
        yield 'none used where some may be' => [0.0, 0.0, 3.0, null];
        yield '20 mL to 100 g' => [0.02, 0.2, 1.0, null];
        yield '1 + 1' => [0.05, 1.0, 1.0, null];
        yield 'between two' => [0.075, 2.0, 1.0, null];
        yield '1 + 3' => [0.1, 3.0, 3.0, null];
        yield '1 + 9' => [0.2, 9.0, 9.0, null];
        yield 'more than anybody knows' => [null, 9.1, 9.0, null];
        yield 'as the trial of the site was' => [0.03, 1.0, 1.0, 0.03];
        yield 'more water than in the trial' => [0.1, 3.0, 1.0, 0.03];
    }

    #[DataProvider('dilutions')]
    public function test_water_in_the_sample_has_a_bound_or_proves_nothing(?float $bound, ?float $used, ?float $parts, ?float $tried): void
    {
        self::assertEqualsWithDelta($bound, SampleDilution::boundPh($used, $parts, $tried), 1e-9);
        $method = new MethodRules(2, 0.05, 20, 25, 0.04, dilutionParts: $parts, dilutionBoundPh: $tried);
        $diluted = new PhReplicate(
            4.2,
            21.0,
            new BufferValue(4.01, 0.02),
            new BufferValue(7.0, 0.02),
            0.0,
            true,
            true,
            dilutionParts: $used,
        );
        $result = PhResult::of([$diluted, $diluted], self::rests(), $method, [], [self::limit()]);

        self::assertSame($bound === null ? [ReleaseBlock::DilutionUnknown] : [], $result->blocks[0]);
        self::assertEqualsWithDelta($bound === null ? null : hypot(0.04, $bound) / sqrt(3), $result->inputs[0]?->matrixU, 1e-9);
    }

    /** @return iterable<string, array{float|null, HardSample}> */
    public static function hardSamples(): iterable
    {
        yield 'an ordinary one' => [0.0, new HardSample()];
        yield 'a brine of 10 %' => [0.0, new HardSample(saltPercent: 10.0)];
        yield 'a brine of 18 %' => [0.1, new HardSample(saltPercent: 18.0)];
        yield 'a brine beyond what anybody knows' => [null, new HardSample(saltPercent: 20.1)];
        yield 'a fortified wine' => [0.05, new HardSample(alcoholPercent: 18.0)];
        yield 'a spirit' => [0.15, new HardSample(alcoholPercent: 40.0)];
        yield 'a strong spirit' => [null, new HardSample(alcoholPercent: 40.5)];
        yield 'a dressing' => [0.05, new HardSample(fatPercent: 40.0)];
        yield 'a mayonnaise in a salty brine' => [sqrt(0.1 ** 2 + 0.1 ** 2), new HardSample(saltPercent: 12.0, fatPercent: 75.0)];
        yield 'an oil' => [null, new HardSample(fatPercent: 90.0)];
        yield 'a weak water that nobody tried' => [0.1, new HardSample(isWeak: true)];
        yield 'a weak water that hardly shifts' => [0.03, new HardSample(isWeak: true, shiftPh: 0.01)];
        yield 'a weak water whose junction does not work' => [null, new HardSample(isWeak: true, shiftPh: 0.101)];
    }

    #[DataProvider('hardSamples')]
    public function test_salt_alcohol_fat_and_few_ions_have_a_bound_or_prove_nothing(?float $bound, HardSample $sample): void
    {
        self::assertEqualsWithDelta($bound, $sample->boundPh(), 1e-9);
        $replicate = new PhReplicate(4.2, 21.0, new BufferValue(4.01, 0.02), new BufferValue(7.0, 0.02), 0.0, true, true);
        $result = PhResult::of(
            [$replicate, $replicate],
            self::rests(),
            new MethodRules(2, 0.05, 20, 25, 0.04, sample: $sample),
            [],
            [self::limit()],
        );

        self::assertSame($bound === null ? [ReleaseBlock::MatrixUnknown] : [], $result->blocks[0]);
        self::assertSame($bound !== null, $result->result->replicates[0]->trusted);
        self::assertEqualsWithDelta($bound === null ? null : hypot(0.04, $bound) / sqrt(3), $result->inputs[0]?->matrixU, 1e-9);
    }

    public function test_a_trial_with_potassium_chloride_counts_its_largest_shift(): void
    {
        self::assertNull(HardSample::shiftOf([[6.8, 6.81], [6.9, 6.95]]), 'two samples are too few');
        self::assertEqualsWithDelta(0.07, HardSample::shiftOf([[6.8, 6.81], [6.9, 6.83], [7.0, 7.0]]), 1e-9);
    }

    #[TestWith([null, false])]
    #[TestWith([7.0, false])]
    #[TestWith([8.99, false])]
    #[TestWith([9.18, true])]
    #[TestWith([10.01, true])]
    public function test_a_rinse_is_asked_for_after_an_alkaline_buffer(?float $lastPh, bool $isAsked): void
    {
        self::assertSame($isAsked, Rinse::isAsked($lastPh));
    }

    public function test_a_small_trial_gives_a_bound_and_steps_name_the_ratio_of_the_method(): void
    {
        self::assertNull(SampleDilution::ofTrial([[4.31, 4.36], [4.4, 4.44]]), 'two samples are too few');
        self::assertEqualsWithDelta(0.05, SampleDilution::ofTrial([[4.31, 4.36], [4.4, 4.44], [4.5, 4.47]]), 1e-9);
        self::assertSame(0.02, SampleDilution::ofTrial([[4.3, 4.3], [4.4, 4.4], [4.5, 4.5]]), 'three may be lucky');
        self::assertSame([1.0, 0.0], [SampleDilution::usual(1.0), SampleDilution::usual(0.2)]);
        self::assertSame(['1+3'], SampleDilution::contradicted(['Weigh 100 g.', 'Add water, 1+3, and blend.'], 1.0));
        self::assertSame([], SampleDilution::contradicted(['Add water, 1 + 3, and blend.'], 3.0));
        self::assertSame(['1 + 3'], SampleDilution::contradicted(['Add water, 1 + 3, and blend.'], null));
    }

    public function test_steps_and_fields_of_the_shipped_methods_say_the_same(): void
    {
        $methods = [...StandardMethods::all(), ...array_map(static fn(LibraryProduct $product): array => $product->method, Library::all())];
        foreach ($methods as $code => $method) {
            $text = implode("\n", $method['steps']);
            self::assertSame([], SampleDilution::contradicted($method['steps'], $method['dilution_parts']), (string) $code);
            self::assertSame($method['dilution_parts'] !== null, $method['dilution'] !== null, "$code: words and number of the dilution");
            self::assertSame(
                $method['dilution_parts'] !== null,
                preg_match(
                    '/(blend|thin|mash|add)[^.]*\\bwater\\b|as the dilution says/i',
                    (string) preg_replace('/without adding water|read the watery part/i', '', $text),
                ) === 1,
                "$code: steps that add water",
            );
            preg_match_all('/(\\d+)\\s?[–-]\\s?(\\d+) °C/u', $text, $ranges, PREG_SET_ORDER);
            $known = [[$method['low_c'], $method['high_c']], ...array_values($method['stage_temperatures'])];
            foreach ($ranges as [$range, $low, $high]) {
                self::assertNotSame(
                    [],
                    array_filter($known, static fn(array $one): bool => $one[0] <= (float) $low && $one[1] >= (float) $high),
                    "$code: $range",
                );
            }
        }
    }

    private static function limit(): ProductLimit
    {
        return new ProductLimit(Limit::edge('equilibrium', LimitKind::Critical, Comparison::AtMost, 4.6), Applies::Always);
    }

    private static function portion(float $ph, float $celsius = 21.0, bool $settled = true, bool $counts = true): PhReplicate
    {
        return new PhReplicate(
            $ph,
            $celsius,
            new BufferValue(4.01, 0.02),
            new BufferValue(7.0, 0.02),
            max(0.0, 4.01 - $ph),
            $settled,
            $counts,
        );
    }

    /** @param list<ReleaseBlock> $blocks */
    private static function rests(
        bool $hasSlope = true,
        ?float $control = 0.0,
        ?ThermometerFacts $thermometer = null,
        array $blocks = [],
    ): Foundation {
        return new Foundation(
            $hasSlope,
            4.01,
            7.0,
            0.0,
            21.0,
            0.01,
            0.018,
            0.05,
            $control,
            $thermometer ?? new ThermometerFacts(0.2, false, false, -5, 25),
            CalibrationDoubts::none(),
            $blocks,
        );
    }

    public function test_what_makes_a_sample_hard_is_named_with_how_much_of_it(): void
    {
        $parts = array_keys((new HardSample(saltPercent: 12.0, alcoholPercent: 14.5, fatPercent: 30.0))->parts());

        self::assertSame(['up to 12 % of salt', 'up to 14.5 % vol of alcohol', 'up to 30 % of fat'], $parts);
    }

    public function test_without_a_slope_no_uncertainty_is_told(): void
    {
        $measured = PhResult::of(
            [self::portion(4.4)],
            self::rests(hasSlope: false),
            new MethodRules(1, 0.05, 20, 25, self::CLEAR),
            [],
            [self::limit()],
        );

        self::assertNull($measured->result->replicates[0]->expandedU);
        self::assertSame([null], $measured->inputs);
    }
}
