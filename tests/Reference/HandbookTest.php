<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Electrode\Buffer;
use Rheacid\Core\Electrode\BufferTables;
use Rheacid\Core\Electrode\Nernst;

/** Values as handbooks print them. Delta: the last printed digit. */
final class HandbookTest extends TestCase
{
    /** @return iterable<string, array{float, float}> °C, mV/pH: (R·T·ln 10)/F as textbooks of electrochemistry tabulate it; from memory */
    public static function slopes(): iterable
    {
        yield 'melting ice' => [0.0, 54.20];
        yield 'a cellar' => [10.0, 56.18];
        yield 'a cool room' => [20.0, 58.17];
        yield 'the standard temperature' => [25.0, 59.16];
        yield 'body temperature' => [37.0, 61.54];
        yield 'a hot mash' => [60.0, 66.10];
        yield 'boiling water' => [100.0, 74.04];
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
        yield '0.01 m borax' => ['borax-9.18', 9.180];
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
}
