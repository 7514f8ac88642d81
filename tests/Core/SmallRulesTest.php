<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Access\Right;
use Rheacid\Core\Access\Role;
use Rheacid\Core\Access\Secrets;
use Rheacid\Core\Acidity\Acid;
use Rheacid\Core\Acidity\AcidityUnit;
use Rheacid\Core\Acidity\BottledAcid;
use Rheacid\Core\Acidity\Dilution;
use Rheacid\Core\Acidity\So2Method;
use Rheacid\Core\Acidity\TitrationUncertainty;
use Rheacid\Core\Celsius;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Core\Logs\CourseFile;
use Rheacid\Core\Logs\LogCell;
use Rheacid\Core\Logs\LogColumns;
use Rheacid\Core\Logs\LogRefused;
use Rheacid\Core\Logs\LogTable;
use Rheacid\Core\Maths\CurveBand;
use Rheacid\Core\Maths\OutsideTable;
use Rheacid\Core\Maths\Pchip;
use Rheacid\Core\Maths\TooFewPoints;
use Rheacid\Core\Measurands\Basis;
use Rheacid\Core\Measurands\BasisUnknown;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Measurands\UnitUnknown;
use Rheacid\Core\Measuring\MethodRules;
use Rheacid\Core\Measuring\SampleDilution;
use Rheacid\Core\Numbers;
use Rheacid\Core\Records\LedgerLine;
use Rheacid\Core\Sampling\BlindDuplicates;
use Rheacid\Core\Settling\NoSamples;
use Rheacid\Core\Settling\Settling;
use Rheacid\Core\Settling\Trace;
use Rheacid\Core\Settling\TraceProgress;
use Rheacid\Core\Style;
use Rheacid\Core\Thermometry\ThermometerKind;
use Rheacid\Core\TimesNotIncreasing;
use Rheacid\Core\Uncertainty\Gain;
use Rheacid\Core\Uncertainty\PhUncertainty;
use Rheacid\Core\Uncertainty\Repeatability;
use Rheacid\Core\Uncertainty\UncertaintyInputs;
use Rheacid\Core\Words\SamplingWords;
use Rheacid\Core\Words\StateWords;
use Rheacid\Core\Words\TypedCurve;

/** Rules of a line or two, by hand. */
final class SmallRulesTest extends TestCase
{
    public function test_a_record_of_temperatures_is_read_line_by_line(): void
    {
        $base = new \DateTimeImmutable('2026-11-25 08:00 UTC');
        $read = static fn(string $text, bool $isFahrenheit = false): array => CourseFile::read(
            $text,
            $base,
            new \DateTimeZone('UTC'),
            $isFahrenheit,
        );
        $start = $base->getTimestamp();

        self::assertSame([[$start, 4.0], [$start + 600, 4.5]], $read("2026-11-25 08:00; 4.0\n2026-11-25 08:10; 4,5"));
        self::assertSame([[$start + 1, 0.0], [$start + 61, 100.0]], $read("1; 32\n61; 212", true));
        foreach (
            [
                "2026-11-25 08:00; 4.0\n2026-11-25 08:00; 4.1" => 'Line 2: time does not increase ("2026-11-25 08:00").',
                "2026-11-25 08:00; 4.0\n2026-11-25 07:59; 4.1" => 'Line 2: time does not increase',
                "1; 4\n2; 200" => 'Line 2: 200 °C is not plausible for food or a room.',
                "1; 4\n2; -41" => 'Line 2: −41 °C is not plausible',
                "2026-02-30 08:00; 4\n2026-03-01 08:00; 4" => 'Line 1: "2026-02-30 08:00" is no time.',
            ] as $text => $why
        ) {
            self::assertStringContainsString($why, self::refused(static fn() => $read($text)));
        }
    }

    public function test_times_of_a_log_are_read_in_three_ways(): void
    {
        self::assertSame(12.5, LogCell::seconds('12,5', 1));
        self::assertSame(3723.5, LogCell::seconds('1:02:03.5', 1));
        self::assertSame(1764057600.0, LogCell::seconds('2025-11-25T08:00:00Z', 1));
        self::assertStringContainsString('"1:62:03" is not a time.', self::refused(static fn() => LogCell::seconds('1:62:03', 1)));
        self::assertStringContainsString(
            '"2026-13-25 08:00:00" is not a time',
            self::refused(static fn() => LogCell::seconds('2026-13-25 08:00:00', 1)),
        );
        self::assertStringContainsString('-5 °C is outside 0 to 10', self::refused(static fn() => LogCell::number('-5', 1, '°C', 0, 10)));
        self::assertSame([0.0, 10.0], [LogCell::number('0', 1, '°C', 0, 10), LogCell::number('10', 1, '°C', 0, 10)]);
    }

    public function test_columns_of_a_log_are_found_by_their_names(): void
    {
        $guess = static function (string $header): array {
            $columns = LogColumns::guess(LogTable::read("$header\n1; 2; 3\n2; 3; 4\n"));

            return [$columns->time, $columns->mv, $columns->celsius];
        };

        self::assertSame([0, 1, 2], $guess('time; mV; °C'));
        self::assertSame([2, 1, 0], $guess('Temp °C; potential; seconds'));
        self::assertSame([1, 2, 0], $guess('celsius; t; E'));
        self::assertSame([0, 1, 2], $guess('a; b; d'), 'unknown names are taken as they stand');
        $wide = LogColumns::guess(LogTable::read("n; o; p; q; r\n1; 2; 3; 4; 5\n2; 3; 4; 5; 6\n"));
        self::assertSame([0, 1, 2], [$wide->time, $wide->mv, $wide->celsius]);
        self::assertStringContainsString('The file is not text.', self::refused(static fn() => LogTable::read("a;b;c\n1;2;\x07\n")));
    }

    public function test_a_band_is_laid_through_three_curves_or_more(): void
    {
        $curves = [[[0.0, 6.0], [2.0, 4.0]], [[0.0, 6.4], [2.0, 4.4]], [[0.0, 6.8], [2.0, 4.8]]];
        $band = CurveBand::of($curves, 0.0, 2.0, 3);

        self::assertCount(3, $band);
        self::assertEqualsWithDelta(['at' => 1.0, 'low' => 5.2, 'median' => 5.4, 'high' => 5.6], $band[1], 1e-9);
        self::assertSame([], CurveBand::of(array_slice($curves, 0, 2), 0.0, 2.0, 3));
        self::assertCount(1, CurveBand::of([[[1.0, 5.0]], ...$curves], 2.0, 4.0, 3), 'beyond their ends curves say nothing');
    }

    public function test_between_two_points_a_table_is_a_line_and_outside_it_says_nothing(): void
    {
        $line = Pchip::through([[0.0, 1.0], [10.0, 2.0]]);

        self::assertSame([1.0, 1.5, 2.0], [$line->at(0.0), $line->at(5.0), $line->at(10.0)]);
        $table = Pchip::through([[0.0, 1.0], [10.0, 2.0], [20.0, 4.0], [30.0, 4.5]]);
        self::assertSame([2.0, 4.0, 4.5], [$table->at(10.0), $table->at(20.0), $table->at(30.0)]);
        foreach ([-0.1, 30.1] as $outside) {
            try {
                $table->at($outside);
                self::fail("$outside was told.");
            } catch (OutsideTable $refused) {
                self::assertStringContainsString('0', $refused->getMessage());
            }
        }
        $this->expectException(TooFewPoints::class);
        Pchip::through([[0.0, 1.0]]);
    }

    public function test_an_acidity_is_shown_in_the_unit_that_was_chosen(): void
    {
        $volatile = Measurand::VolatileAcidity->on('8.2 per L');
        self::assertSame('acetic_g_per_l', $volatile->acidityUnits()[0]->code);
        $basis = Measurand::TitratableAcidity->on('8.2 per L');
        self::assertSame('tartaric_g_per_l', $basis->acidityUnits()[0]->code);
        self::assertSame([], Measurand::Ph->on('')->acidityUnits());
        // 1 °SH is 2.5 meq/L, which is 0.1876 g/L as tartaric.
        self::assertSame('0.5', $basis->shownBy(0.0938, AcidityUnit::named('soxhlet_henkel'), 1));
        self::assertSame('0.50', $basis->shownBy(0.0938, AcidityUnit::named('soxhlet_henkel'), 2));
        self::assertSame(
            ['°Dornic', '°Soxhlet–Henkel', '°Thörner', 'meq/L', 'g/L as lactic acid', '% (g/100 mL) as lactic acid'],
            array_map(static fn(string $code): string => (string) AcidityUnit::named($code)?->words(), [
                'dornic',
                'soxhlet_henkel',
                'thoerner',
                'meq_per_l',
                'lactic_g_per_l',
                'lactic_g_per_100ml',
            ]),
        );
        self::assertNull(AcidityUnit::named('lactic_g_per_gallon'));
        self::assertSame(
            [true, true, false],
            array_map(static fn(Measurand $one): bool => $one->isSo2(), [Measurand::FreeSo2, Measurand::TotalSo2, Measurand::Ph]),
        );
    }

    public function test_what_a_line_seals_cannot_change_and_time_does_not_go_back(): void
    {
        $rows = ['notes' => [1 => ['text' => 'a']]];
        $first = LedgerLine::after(null, '2026-11-30T10:00:00.000Z', 1, 'note', 'notes', 1, $rows);
        $second = LedgerLine::after($first, '2026-11-30T09:00:00.000Z', 1, 'note', 'notes', 2, $rows);
        $changed = static fn(string $payload, string $at): LedgerLine => LedgerLine::kept(
            $second->version,
            $second->seq,
            $at,
            $second->personId,
            $second->action,
            $second->table,
            $second->rowId,
            $payload,
            $second->payloadSha256,
            $second->prev,
            $second->hash,
        );

        self::assertSame($first->at, $second->at, 'it is moved up to the line before');
        self::assertSame([1, 2], [$first->seq, $second->seq]);
        self::assertNull($second->breakAfter($first));
        self::assertSame('what ledger line 2 seals was altered', $changed('{}', $second->at)->breakAfter($first));
        self::assertSame('ledger line 2 was altered', $changed($second->payload, '2026-11-30T09:00:00.000Z')->breakAfter($first));
        self::assertSame('ledger line 1 is missing', $second->breakAfter(null));
        $earlier = LedgerLine::after(null, '2026-11-30T11:00:00.000Z', 1, 'note', 'notes', 1, $rows);
        $back = LedgerLine::after(
            LedgerLine::kept(1, 1, '2026-11-30T08:00:00.000Z', 1, 'note', 'notes', 1, '{}', '', LedgerLine::ORIGIN, $earlier->hash),
            '2026-11-30T09:00:00.000Z',
            1,
            'note',
            'notes',
            2,
            $rows,
        );
        self::assertSame('ledger line 2 is earlier than the line before it', $back->breakAfter($earlier));
        self::assertSame($rows, $back->rows());
    }

    public function test_a_trace_without_samples_or_with_a_gap_has_not_settled(): void
    {
        $points = static fn(int $from, int $to, int $without = PHP_INT_MAX - 3): array => array_values(
            array_map(
                static fn(int $s): array => [(float) $s, 100.0, 25.0],
                array_filter(range($from, $to), static fn(int $s): bool => $s < $without || $s >= $without + 3),
            ),
        );
        self::assertTrue(self::progress($points(0, 40))->settled);
        self::assertFalse(self::progress($points(0, 40, 20))->settled, 'a gap of four seconds');
        self::assertTrue(self::progress($points(0, 40, 5))->settled, 'a gap before the window');
        self::assertSame([10.0, 0.0], [self::progress($points(0, 20))->waitS, self::progress($points(0, 30))->waitS]);
        $this->expectException(NoSamples::class);
        Settling::of([]);
    }

    public function test_words_that_everybody_uses_make_no_passphrase(): void
    {
        self::assertStringContainsString('very common', (string) Secrets::passphraseProblem('password123456'));
        self::assertStringContainsString('very common', (string) Secrets::passphraseProblem('welcome sunshine'));
        self::assertNull(Secrets::passphraseProblem('welcome turnip ladder'));
        self::assertStringContainsString('Your name', (string) Secrets::passphraseProblem('perrin1 vole22', 'Perrin Vole'));
        self::assertNull(Secrets::pinProblem('482915'));
        self::assertNotNull(Secrets::pinProblem('234567'));
    }

    public function test_any_style_finds_the_one_in_which_something_was_written(): void
    {
        $seen = [];
        self::assertFalse(
            Style::inAny(static function () use (&$seen): bool {
                $seen[] = [Style::hasDecimalComma(), Style::isFahrenheitFirst()];

                return false;
            }),
        );
        self::assertSame([[false, false], [true, false], [false, true], [true, true]], $seen);
        self::assertTrue(Style::inAny(static fn(): bool => Style::hasDecimalComma() && Style::isFahrenheitFirst()));
        self::assertSame([false, false], [Style::hasDecimalComma(), Style::isFahrenheitFirst()], 'the style in force stays');
    }

    public function test_bound_sulphite_is_what_total_has_more_than_free(): void
    {
        self::assertEqualsWithDelta([60.0, 5.0], So2Method::bound(80.0, 4.0, 20.0, 3.0), 1e-9);
        self::assertSame([0.0, null], So2Method::bound(20.0, null, 20.0, 3.0));
        self::assertNull(So2Method::bound(19.0, 4.0, 20.0, 3.0));
    }

    public function test_a_curve_is_typed_line_by_line(): void
    {
        self::assertSame([[0.0, 3.1], [6.2, 7.95]], TypedCurve::points("0; 3,1\n\n6.2   7.95"));
        self::assertSame([25.0, 25.0], TypedCurve::temperatures('25', ' '));
        self::assertSame([8.0, 25.0], TypedCurve::temperatures('8', '25'));
        foreach (
            [
                '' => 'Type one point per line, mL and pH, like 6.2; 7.95.',
                "0; 3\n5" => 'Line 2: type mL and pH, like 6.2; 7.95.',
                '-1; 3' => 'Line 1:',
                '1; 17' => 'Line 1:',
                '1; -3' => 'Line 1:',
                'a; 3' => 'Line 1:',
                '3; b' => 'Line 1:',
                '1; 2; 3' => 'Line 1:',
                str_repeat("1; 3\n", 501) => 'Use at most 500 lines.',
            ] as $text => $why
        ) {
            self::assertStringStartsWith($why, (string) self::thrown(static fn() => TypedCurve::points((string) $text))?->getMessage());
        }
    }

    public function test_text_that_was_typed_takes_the_sites_decimal_sign(): void
    {
        self::assertSame('2.0–2.5 %', Numbers::asTyped('2.0–2.5 %'));
        Style::use(true, false);
        try {
            self::assertSame(['2,0–2,5 %', 'pH. 3'], [Numbers::asTyped('2.0–2.5 %'), Numbers::asTyped('pH. 3')]);
        } finally {
            Style::use(false, false);
        }
    }

    public function test_examples_are_in_the_other_unit(): void
    {
        self::assertSame('°C, or with a unit, like 70.5 F', Celsius::example());
    }

    public function test_one_acidity_is_said_in_grams_of_each_acid(): void
    {
        $grams = AcidityUnit::inEachAcid(100.0);

        self::assertEqualsWithDelta(7.504, $grams['tartaric'], 0.001);
        self::assertEqualsWithDelta(6.005, $grams['acetic'], 0.001);
        self::assertSame(array_column(Acid::cases(), 'value'), array_keys($grams));
    }

    public function test_roles_may_what_they_may(): void
    {
        $may = static fn(Role $role): array => [$role->has(Right::Record), $role->has(Right::Lead)];

        self::assertSame([[true, false], [true, true], [false, false]], array_map($may, Role::cases()));
    }

    public function test_two_cups_that_lie_apart_say_by_how_much_and_what_to_do(): void
    {
        self::assertStringStartsWith(
            'Two cups of CS-0417 differ by 0.12 pH, more than two cups of one sample should.',
            SamplingWords::apart('CS-0417', -0.12),
        );
    }

    public function test_a_reading_far_below_its_bracket_says_so(): void
    {
        self::assertStringStartsWith('More than 1.0 pH below the lowest buffer.', StateWords::block(ReleaseBlock::FarBelowBracket));
    }

    public function test_water_in_a_sample_is_nothing_where_there_is_none(): void
    {
        self::assertSame(0.0, SampleDilution::boundPh(null, 2.0, 0.03));
        self::assertSame(0.0, SampleDilution::boundPh(0.0, 2.0, 0.03));
        self::assertSame(0.03, SampleDilution::boundPh(2.0, 2.0, 0.03));
    }

    public function test_an_acid_is_named_by_the_strength_on_its_bottle(): void
    {
        self::assertSame('lactic acid, 80 %', BottledAcid::Lactic80->words());
        self::assertSame('phosphoric acid, 85 %', BottledAcid::Phosphoric85->words());
        self::assertSame('citric acid', BottledAcid::Citric->words());
    }

    public function test_replicates_that_do_not_agree_need_one_more(): void
    {
        $rules = new MethodRules(2, 0.05, 20.0, 25.0, 0.0);

        self::assertSame([2, 2, 3], [$rules->needed([4.0]), $rules->needed([4.0, 4.05]), $rules->needed([4.0, 4.06])]);
    }

    public function test_a_band_begins_where_it_is_asked_for(): void
    {
        $curves = [[[0.0, 6.0], [2.0, 4.0]], [[0.0, 6.4], [2.0, 4.4]], [[0.0, 6.8], [2.0, 4.8]]];

        self::assertSame([1.0, 2.0], array_column(CurveBand::of($curves, 1.0, 2.0, 2), 'at'));
    }

    public function test_only_a_temperature_is_read_in_fahrenheit(): void
    {
        $refused = static function (Measurand $measurand, string $code, string $unit): bool {
            try {
                (new Basis($measurand, $code))->value(20.0, $unit);
            } catch (UnitUnknown) {
                return true;
            }

            return false;
        };

        self::assertFalse($refused(Measurand::Temperature, 'core', '°F'));
        self::assertTrue($refused(Measurand::Temperature, 'core', 'K'));
        self::assertTrue($refused(Measurand::RelativeDensity, '20/20', '°F'));
    }

    public function test_a_better_buffer_than_a_certified_one_is_not_made_worse(): void
    {
        $with = static fn(float $acid, float $alkaline): UncertaintyInputs => new UncertaintyInputs(
            4.2,
            21.0,
            [['ph' => 4.0, 'expanded_u' => $acid], ['ph' => 7.0, 'expanded_u' => $alkaline]],
            new Repeatability(0.0, 2),
            0.0,
            0.0,
            0.0,
        );
        $ways = array_values(
            array_filter(Gain::ways($with(0.002, 0.4), null), static fn(array $one): bool => $one['gain'] === Gain::CertifiedBuffers),
        );

        self::assertCount(1, $ways);
        self::assertEqualsWithDelta(PhUncertainty::of($with(0.002, 0.01))->expanded(), $ways[0]['expanded_u'], 1e-12);
    }

    /** @param array<array{float, float, float}> $points of a buffer of pH 7 */
    private static function progress(array $points): TraceProgress
    {
        $values = [];
        foreach ($points as [$at]) {
            $values[] = [$at, 7.0];
        }
        assert($values !== []);

        return TraceProgress::of(Trace::of(array_values($points)), $values, 30.0);
    }

    /** @param callable(): mixed $act */
    private static function refused(callable $act): string
    {
        $refused = self::thrown($act);

        return $refused instanceof LogRefused ? $refused->getMessage() : self::fail('It was read.');
    }

    /** @param callable(): mixed $act */
    private static function thrown(callable $act): ?\Throwable
    {
        try {
            $act();

            return null;
        } catch (\Throwable $thrown) {
            return $thrown;
        }
    }

    public function test_samples_of_a_trace_come_in_order(): void
    {
        $this->expectException(TimesNotIncreasing::class);
        Settling::stillAt([[0.0, 4.0], [1.0, 4.0], [1.0, 4.0]]);
    }

    public function test_codes_of_cups_use_every_sign_that_is_hard_to_misread(): void
    {
        $codes = [];
        foreach (range(1, 200) as $seed) {
            $codes[] = implode('', array_column(BlindDuplicates::coded(0, 6, $seed), 'code'));
        }

        self::assertSame('34679ACEFHKMNPRTX', count_chars(implode('', $codes), 3));
    }

    public function test_steps_that_name_another_ratio_than_the_method_are_found(): void
    {
        self::assertSame(['1 + 2'], SampleDilution::contradicted(['Stir 1 + 0,5 with water.', 'Or 1 + 2.'], 0.5));
        self::assertSame(['1 + 0,5'], SampleDilution::contradicted(['Stir 1 + 0,5 with water.'], null));
    }

    public function test_a_ph_is_read_by_an_electrode_alone(): void
    {
        self::assertSame(array_slice(array_keys(Basis::all()), 1), array_keys(Basis::withoutElectrode()));
    }

    public function test_too_much_water_is_told_with_the_most_that_is_known(): void
    {
        self::assertStringContainsString('shifts this food: 1 + ', StateWords::block(ReleaseBlock::DilutionUnknown));
    }

    public function test_a_volume_is_never_known_better_than_by_a_burette(): void
    {
        self::assertSame([0.05, 0.05, 0.1], array_map(TitrationUncertainty::ofBurette(...), [0.01, 0.05, 0.1]));
    }

    public function test_nothing_below_zero_that_rounds_to_zero_has_a_sign(): void
    {
        self::assertSame(['0.00', '0', '−0.01'], [Numbers::fixed(-0.001, 2), Numbers::fixed(-0.4, 0), Numbers::fixed(-0.006, 2)]);
    }

    public function test_a_quantity_is_written_with_its_unit(): void
    {
        self::assertSame(['4.0 °C', '4.0 %'], [Measurand::Temperature->said(4.0), Measurand::Salt->said(4.0)]);
        self::assertSame([-2000.0, 2000.0], Measurand::Redox->range());
    }

    public function test_each_of_four_sides_of_a_dilution_follows_from_the_other_three(): void
    {
        $known = ['c1' => 5.0, 'v1' => 20.0, 'c2' => 1.0, 'v2' => 100.0];
        foreach (array_keys($known) as $asked) {
            self::assertSame($known, Dilution::complete([...$known, $asked => null]), $asked);
        }
    }

    public function test_an_acidity_per_100_g_is_a_tenth_of_one_per_kilogram(): void
    {
        $per100g = AcidityUnit::named('lactic_g_per_100g');
        $perKg = AcidityUnit::named('lactic_g_per_kg');

        self::assertEqualsWithDelta(6.0, $perKg === null ? null : $per100g?->to($perKg, 0.6), 1e-9);
    }

    public function test_what_is_refused_is_told_with_what_is_accepted(): void
    {
        self::assertSame(
            '"dry" is no basis of temperature; accepted: core, coldest, chamber, surface, outlet.',
            (new BasisUnknown(Measurand::Temperature, 'dry'))->getMessage(),
        );
    }

    public function test_a_column_without_a_name_is_counted_from_one(): void
    {
        $table = LogTable::read("1;170;21\n2;171;21\n");

        self::assertSame(['column 1', 'column 3'], [$table->columnName(0), $table->columnName(2)]);
    }

    public function test_the_curve_of_a_strong_acid_begins_below_ph_2(): void
    {
        self::assertSame([[0.0, 1.5], [1.0, -0.5]], TypedCurve::points("0; 1.5\n1; -0.5"));
    }

    public function test_both_platinum_resistances_are_resistance_thermometers(): void
    {
        self::assertSame(
            [ThermometerKind::Pt100, ThermometerKind::Pt1000],
            array_values(array_filter(ThermometerKind::cases(), static fn(ThermometerKind $kind): bool => $kind->isRtd())),
        );
    }

    public function test_an_acidity_is_said_in_the_unit_it_is_kept_in_first_and_in_every_other(): void
    {
        $units = array_map(static fn(AcidityUnit $unit): string => $unit->code, AcidityUnit::on(false, '8.2 per L'));

        self::assertSame('tartaric_g_per_l', $units[0]);
        self::assertEqualsCanonicalizing(AcidityUnit::perLitre(), $units);
    }

    public function test_beyond_a_table_nothing_is_guessed(): void
    {
        $this->expectExceptionObject(new OutsideTable(3.0, 0.0, 2.0));
        Pchip::through([[0.0, 1.0], [1.0, 2.0], [2.0, 3.0]])->at(3.0);
    }
}
