<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\TestCase;
use Rheacid\Core\Contradiction;
use Rheacid\Core\Uncertainty\Gain;
use Rheacid\Core\Uncertainty\PhUncertainty;
use Rheacid\Core\Uncertainty\Repeatability;
use Rheacid\Core\Uncertainty\UncertaintyInputs;
use Rheacid\Core\Words\GainWords;

final class UncertaintyTest extends TestCase
{
    public function test_nine_lines_are_always_given_in_the_same_order(): void
    {
        self::assertSame(
            ['buffers', 'repeatability', 'resolution', 'temperature', 'drift', 'fit', 'isopotential', 'extrapolation', 'matrix'],
            array_column(PhUncertainty::of(self::inputs())->budget, 'name'),
        );
    }

    public function test_two_lucky_readings_never_undercut_the_repeatability_of_the_method(): void
    {
        $repeatability = static fn(float $sd, int $n): float => PhUncertainty::of(self::inputs(sd: $sd, replicates: $n))->budget[1]->u;

        self::assertEqualsWithDelta(0.018 / sqrt(2), $repeatability(0.0, 2), 1e-12);
        self::assertEqualsWithDelta(0.03 / sqrt(2), $repeatability(0.03, 2), 1e-12);
    }

    public function test_on_a_buffer_only_that_buffer_counts(): void
    {
        // u = 0.02/2 at pH 4, and 0.04/2 at pH 7.
        self::assertEqualsWithDelta(0.01, PhUncertainty::of(self::inputs(ph: 4.0))->budget[0]->u, 1e-12);
        self::assertEqualsWithDelta(0.02, PhUncertainty::of(self::inputs(ph: 7.0))->budget[0]->u, 1e-12);
    }

    public function test_outside_the_bracket_the_uncertainty_grows(): void
    {
        $u = static fn(float $ph, float $outside): float => PhUncertainty::of(self::inputs(ph: $ph, outside: $outside))->u;

        self::assertGreaterThan($u(3.9, 0.1), $u(3.3, 0.7));
    }

    public function test_shares_add_up_to_one_and_to_nothing_where_nothing_is_uncertain(): void
    {
        self::assertEqualsWithDelta(1.0, array_sum(array_column(PhUncertainty::of(self::inputs())->budget, 'share')), 1e-12);
        $certain = new UncertaintyInputs(
            7,
            25,
            [['ph' => 4.0, 'expanded_u' => 0.0], ['ph' => 7.0, 'expanded_u' => 0.0]],
            new Repeatability(0, 1),
            0,
            0,
            0,
        );
        self::assertSame(0.0, array_sum(array_column(PhUncertainty::of($certain)->budget, 'share')));
    }

    public function test_buffers_under_half_a_ph_apart_are_refused(): void
    {
        $this->expectException(Contradiction::class);

        new UncertaintyInputs(
            7,
            25,
            [['ph' => 6.86, 'expanded_u' => 0.02], ['ph' => 7.0, 'expanded_u' => 0.02]],
            new Repeatability(0, 1),
            0,
            0,
            0,
        );
    }

    public function test_the_cheapest_proof_is_named_or_that_there_is_none(): void
    {
        $in = new UncertaintyInputs(
            4.55,
            21,
            [['ph' => 4.0, 'expanded_u' => 0.02], ['ph' => 7.0, 'expanded_u' => 0.02]],
            new Repeatability(0, 2, 0.018),
            0.01,
            0.3,
            0.05,
            calibrationCelsius: 21,
            matrixU: 0.01 / sqrt(3),
        );
        // By hand: buffers 0.0083, repeatability 0.018/√2, display 0.0029, temperature 0.0013, drift 0.03/√3, kind of sample 0.0058.
        $byHand = 2 * sqrt(0.0083 ** 2 + 0.018 ** 2 / 2 + 0.0029 ** 2 + 0.0013 ** 2 + 0.03 ** 2 / 3 + 0.0058 ** 2);
        $ways = Gain::ways($in, 0.05);

        self::assertSame([Gain::ControlCheck, true], [$ways[0]['gain'], $ways[0]['proves']]);
        self::assertEqualsWithDelta($byHand, $ways[0]['expanded_u'], 0.0002);
        self::assertNotContains(Gain::CleanerSample, array_column($ways, 'gain'), 'it is clear already');
        self::assertSame(
            'A check buffer within 0.03: at most ± 0.05, which proves 4.55.',
            GainWords::proof($ways, 4.55, 0.05, Gain::least($in)),
        );
        self::assertStringStartsWith(
            '4.59 cannot be proven: the value is 0.01 from the limit',
            GainWords::proof(Gain::ways($in, 0.01), 4.59, 0.01, Gain::least($in)),
        );
        $between = (Gain::least($in) + min(1.0, ...array_column($ways, 'expanded_u'))) / 2;
        self::assertStringStartsWith(
            'No single step is enough; all of them together',
            GainWords::proof(Gain::ways($in, $between), 4.56, $between, Gain::least($in)),
        );
    }

    private static function inputs(float $ph = 4.5, float $sd = 0.0, int $replicates = 1, float $outside = 0.0): UncertaintyInputs
    {
        return new UncertaintyInputs(
            $ph,
            21,
            [['ph' => 4.0, 'expanded_u' => 0.02], ['ph' => 7.0, 'expanded_u' => 0.04]],
            new Repeatability($sd, $replicates, 0.018),
            0.01,
            0.3,
            0.05,
            outsideByPh: $outside,
        );
    }
}
