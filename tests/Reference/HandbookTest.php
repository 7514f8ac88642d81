<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Acidity\Acid;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Acidity\BottledAcid;
use Rheacid\Core\Acidity\Neutraliser;
use Rheacid\Core\Cells\Conductivity;
use Rheacid\Core\Courses\Lethality;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Electrode\BufferTables;
use Rheacid\Core\Electrode\Nernst;
use Rheacid\Core\Limits\Comparison;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Measurands\Hydrometer;
use Rheacid\Core\Thermometry\BoilingPoint;
use Rheacid\Core\Thermometry\Rtd;
use Rheacid\Core\Thermometry\ToleranceClass;

/** Values as handbooks print them. Delta: the last printed digit. */
final class HandbookTest extends TestCase
{
    /** @return iterable<string, array{float, float}> °C, mV/pH: (R·T·ln 10)/F as textbooks of electrochemistry tabulate it; from memory */
    public static function slopes(): iterable
    {
        yield 'melting ice' => [0.0, 54.2];
        yield 'a cellar' => [10.0, 56.18];
        yield 'a cool room' => [20.0, 58.17];
        yield 'the standard temperature' => [25.0, 59.16];
        yield 'body temperature' => [37.0, 61.54];
        yield 'a hot mash' => [60.0, 66.1];
        yield 'boiling water' => [100.0, 74.04];
    }

    /**
     * Acidity of dairy and wine. 1 °SH is 2.25 °D and 1 °Th 0.4 °SH, as dairy handbooks give them; 1 g/L as sulfuric acid is 1.53 g/L
     * as tartaric acid, and 1 meq/L 0.075 g/L of it, as in the OIV compendium of wine analysis; all from memory.
     *
     * @return iterable<string, array{float, string, string, float, float}> value, unit, wanted, printed, last digit
     */
    public static function acidities(): iterable
    {
        yield '°SH in °D' => [1.0, 'soxhlet_henkel', 'dornic', 2.25, 0.005];
        yield '°Th in °SH' => [1.0, 'thoerner', 'soxhlet_henkel', 0.4, 0.005];
        yield '°Th in °D' => [10.0, 'thoerner', 'dornic', 9.0, 0.05];
        yield '°D in % of lactic acid' => [16.0, 'dornic', 'lactic_g_per_100ml', 0.16, 0.0005];
        yield 'sulfuric as tartaric' => [1.0, 'sulfuric_g_per_l', 'tartaric_g_per_l', 1.53, 0.005];
        yield 'tartaric as sulfuric' => [1.0, 'tartaric_g_per_l', 'sulfuric_g_per_l', 0.653, 0.0006];
        yield 'meq/L in g/L of tartaric acid' => [1.0, 'meq_per_l', 'tartaric_g_per_l', 0.075, 0.0005];
        yield 'tartaric as malic, cider' => [10.0, 'tartaric_g_per_l', 'malic_g_per_l', 8.93, 0.006];
    }

    #[DataProvider('acidities')]
    public function test_units_of_acidity_are_those_of_the_trades(
        float $value,
        string $unit,
        string $wanted,
        float $printed,
        float $digit,
    ): void {
        [$given, $other] = [AcidityUnit::named($unit), AcidityUnit::named($wanted)];
        self::assertNotNull($given);
        self::assertNotNull($other);

        self::assertEqualsWithDelta($printed, $given->to($other, $value), $digit);
    }

    /**
     * Pasteurisation units for a minute at a temperature, as the brewing tables print them from 1.393^(T − 60) (Del Vecchio, Dayharsh
     * and Baselt, Proc. ASBC 1951; from memory): that is a z of 6.95 °C. And the lethal rates of canning tables for z 10 °C at 121.1 °C.
     *
     * @return iterable<string, array{float, float, float, float}> °C, base, z, printed units
     */
    public static function lethalRates(): iterable
    {
        foreach ([[60, 1.0], [62, 1.94], [64, 3.77], [65, 5.25], [66, 7.31], [68, 14.2], [70, 27.5], [72, 53.4]] as [$celsius, $units]) {
            yield "a minute at $celsius °C" => [(float) $celsius, 60.0, 6.946, $units];
        }
        foreach ([[111.1, 0.1], [115.0, 0.245], [118.0, 0.49], [121.1, 1.0], [124.0, 1.95]] as [$celsius, $units]) {
            yield "canning at $celsius °C" => [(float) $celsius, 121.1, 10.0, $units];
        }
    }

    #[DataProvider('lethalRates')]
    public function test_lethal_units_are_those_of_the_tables(float $celsius, float $base, float $z, float $printed): void
    {
        self::assertEqualsWithDelta(
            $printed,
            Lethality::of([[0.0, $celsius], [1.0, $celsius]], 0.0, $base, $z)->unitsMin,
            0.004 * $printed + 0.0005,
        );
    }

    #[DataProvider('slopes')]
    public function test_the_ideal_slope_is_the_tabulated_one(float $celsius, float $printed): void
    {
        self::assertEqualsWithDelta($printed, Nernst::mvPerPh($celsius), 0.006);
    }

    /**
     * Primary pH standards at 25 °C, three decimals. Source: IUPAC Recommendations 2002 (Buck et al.), Pure Appl. Chem. 74,
     * 2169–2200, table 2; from memory with high certainty. Same solutions: NIST SP 260-53, DIN 19266.
     *
     * @return iterable<string, array{string, float}>
     */
    public static function primaryStandards(): iterable
    {
        yield 'saturated potassium hydrogen tartrate' => ['tartrate', 3.557];
        yield '0.05 m potassium dihydrogen citrate' => ['citrate', 3.776];
        yield '0.05 m potassium hydrogen phthalate' => ['phthalate', 4.005];
        yield '0.025 m phosphate each' => ['phosphate-6.86', 6.865];
        yield 'physiological phosphate' => ['phosphate-7.41', 7.413];
        yield '0.01 m borax' => ['borax-9.18', 9.18];
        yield '0.025 m carbonate each' => ['carbonate-10.01', 10.012];
    }

    #[DataProvider('primaryStandards')]
    public function test_a_primary_standard_has_its_published_value_at_25_degrees(string $buffer, float $printed): void
    {
        self::assertEqualsWithDelta($printed, Buffer::named($buffer)->phAt(25), 0.0005);
    }

    /**
     * No digit slip hides in a table: a cubic in the temperature passes every printed value of a primary set within
     * 0.001 pH (a quadratic for tartrate). The fit is numpy's.
     */
    public function test_the_primary_tables_are_smooth(): void
    {
        $primary = array_column(iterator_to_array(self::primaryStandards()), 0);
        $worst = Python::run('smooth.py', array_map(BufferTables::of(...), array_combine($primary, $primary)));

        foreach ($primary as $buffer) {
            self::assertLessThan(0.001, $worst[$buffer], $buffer);
        }
    }

    /** A technical 7.00 is 7.02 at 20 °C, a borax 9.18 is 9.23: what bottles print. Common practice, no source. */
    public function test_bottles_read_differently_at_20_degrees(): void
    {
        self::assertSame('7.02', sprintf('%.2f', Buffer::named('technical-7.00')->phAt(20)));
        self::assertEqualsWithDelta(9.23, Buffer::named('borax-9.18')->phAt(20), 0.006);
    }

    /**
     * 0.01 mol/L potassium chloride, the 1413 µS/cm standard. Source: ISO 7888 and Kohlrausch's tables, from memory. A straight
     * 2 % per °C is an approximation: within 1 % of the table from 18 to 30 °C.
     *
     * @return iterable<string, array{float, float}> °C, µS/cm
     */
    public static function potassiumChloride(): iterable
    {
        yield 'a cool room' => [18.0, 1225.0];
        yield 'a room' => [20.0, 1278.0];
        yield 'nearly the reference' => [23.0, 1359.0];
        yield 'the reference' => [25.0, 1413.0];
        yield 'a warm room' => [30.0, 1552.0];
    }

    #[DataProvider('potassiumChloride')]
    public function test_a_conductivity_standard_compensates_to_its_printed_value(float $celsius, float $printed): void
    {
        self::assertEqualsWithDelta(1413, Conductivity::compensated($printed, $celsius)->usPerCm25, 14.13);
    }

    /**
     * Normality of bottled acids as tables of concentrated reagents and brewers' tables print it, from memory: 85 % phosphoric acid
     * is 14.7 mol/L, 75 % 12.1 mol/L; 88 % lactic acid is 11.8 N, 80 % 10.6 N. Counted to pH 4.7, where phosphoric acid has given one
     * proton.
     *
     * @return iterable<string, array{BottledAcid, float}>
     */
    public static function bottles(): iterable
    {
        yield 'phosphoric 85 %' => [BottledAcid::Phosphoric85, 14.7];
        yield 'phosphoric 75 %' => [BottledAcid::Phosphoric75, 12.1];
        yield 'lactic 88 %' => [BottledAcid::Lactic88, 11.8];
        yield 'lactic 80 %' => [BottledAcid::Lactic80, 10.6];
    }

    #[DataProvider('bottles')]
    public function test_a_bottled_acid_is_as_strong_as_its_tables_say(BottledAcid $acid, float $printed): void
    {
        self::assertEqualsWithDelta($printed, (1000 * (float) $acid->density()) / $acid->gramsPerEquivalent(4.7), 0.06);
    }

    /**
     * Winemaking handbooks, from memory: 0.67 g/L of calcium carbonate or of potassium bicarbonate (cold-stabilised) lower the acidity by
     * 1 g/L as tartaric.
     */
    public function test_what_takes_a_gram_of_tartaric_acid_away_is_what_handbooks_print(): void
    {
        foreach (Neutraliser::cases() as $with) {
            self::assertEqualsWithDelta(0.67, $with->leastGrams(1.0, Acid::Tartaric), 0.005, $with->value);
        }
    }

    /** @return iterable<string, array{float, float}> kPa, °C: steam tables after IAPWS-IF97, from memory */
    public static function steamTable(): iterable
    {
        yield 'a high mountain' => [50.0, 81.32];
        yield 'a mountain town' => [70.0, 89.93];
        yield 'one bar' => [100.0, 99.606];
        yield 'standard atmosphere, not 100 °C' => [101.325, 99.974];
    }

    #[DataProvider('steamTable')]
    public function test_water_boils_where_the_steam_table_says(float $kpa, float $printed): void
    {
        self::assertEqualsWithDelta($printed, BoilingPoint::celsius($kpa), 0.006);
    }

    public function test_conversions_agree_with_gnu_units(): void
    {
        self::assertEqualsWithDelta(99.974, BoilingPoint::celsius(self::units('atm', 'kPa')), 0.0005, 'its standard atmosphere');
        self::assertEqualsWithDelta(
            0.5,
            self::units('tempF(32.9)', 'tempC'),
            1e-6,
            'a probe that settles at 32.9 °F in ice reads half a degree high (common practice)',
        );
        self::assertEqualsWithDelta((32.9 - 32) / 1.8, self::units('tempF(32.9)', 'tempC'), 1e-6);
    }

    /** @return iterable<string, array{float, float}> °C, Ω of a Pt100: table of IEC 60751, from memory with high certainty */
    public static function platinum(): iterable
    {
        yield 'the cold end' => [-200.0, 18.52];
        yield 'dry ice and colder' => [-100.0, 60.26];
        yield 'the ice point' => [0.0, 100.0];
        yield 'a hot limit' => [100.0, 138.51];
        yield 'an oven' => [200.0, 175.86];
        yield 'a furnace' => [400.0, 247.09];
        yield 'the hot end' => [850.0, 390.48];
    }

    #[DataProvider('platinum')]
    public function test_a_platinum_resistance_is_the_printed_one(float $celsius, float $printed): void
    {
        self::assertEqualsWithDelta($printed, Rtd::ohm($celsius), 0.0051);
        self::assertEqualsWithDelta($celsius, Rtd::celsius(Rtd::ohm($celsius)), 1e-9, 'and back');
    }

    /** @return iterable<string, array{string, string, float, float}> IEC 60751:2008 and ASTM E1137, tables of tolerances, from memory */
    public static function tolerances(): iterable
    {
        yield 'AA at the ice point' => ['IEC 60751', 'AA', 0.0, 0.1];
        yield 'A at 100 °C' => ['IEC 60751', 'A', 100.0, 0.35];
        yield 'B at 100 °C' => ['IEC 60751', 'B', 100.0, 0.8];
        yield 'B below zero' => ['IEC 60751', 'B', -50.0, 0.55];
        yield 'C at 200 °C' => ['IEC 60751', 'C', 200.0, 2.6];
        yield 'grade A at the ice point' => ['ASTM E1137', 'A', 0.0, 0.13];
    }

    #[DataProvider('tolerances')]
    public function test_a_tolerance_class_is_the_printed_one(string $standard, string $class, float $celsius, float $printed): void
    {
        self::assertEqualsWithDelta($printed, ToleranceClass::named($standard, $class)->at($celsius), 1e-9);
    }

    private static function units(string $from, string $to): float
    {
        return (float) shell_exec('/usr/bin/units --terse --output-format "%.10g" ' . escapeshellarg($from) . ' ' . escapeshellarg($to));
    }

    /**
     * A guard band as wide as U (k = 2) accepts at most 2.3 % of what lies at the limit. Source: JCGM 106:2012, clause 8.3, and the
     * laboratories' guideline ILAC-G8:2019, table 1; from memory.
     */
    public function test_a_guard_band_of_u_accepts_at_most_2_3_percent_of_what_lies_at_the_limit(): void
    {
        $limit = Limit::edge('acid', LimitKind::Critical, Comparison::AtMost, 4.6);
        mt_srand(4);
        [$inside, $outside, $draws, $u] = [0, 0, 200_000, 0.04];
        for ($i = 0; $i < $draws; $i++) {
            $normal = sqrt(-2 * log((1 + mt_rand()) / (1 + mt_getrandmax()))) * cos((2 * M_PI * mt_rand()) / mt_getrandmax());
            $conformity = $limit->conformity(4.6 + $u * $normal, 2 * $u);
            $inside += (int) ($conformity === Conformity::Inside);
            $outside += (int) ($conformity === Conformity::Outside);
        }

        self::assertEqualsWithDelta(0.0228, $inside / $draws, 0.001);
        self::assertEqualsWithDelta(0.0228, $outside / $draws, 0.001);
    }

    public function test_water_is_as_dense_as_by_iapws(): void
    {
        $celsius = range(10, 30, 2.5);

        foreach (Python::run('water.py', $celsius) as $i => $density) {
            self::assertEqualsWithDelta($density, Hydrometer::waterDensity($celsius[$i]), 0.005, "{$celsius[$i]} °C");
        }
    }
}
