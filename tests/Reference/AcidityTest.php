<?php

declare(strict_types=1);

namespace Tests\Reference;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Random\Engine\Mt19937;
use Random\Randomizer;
use Rheacid\Core\Acidity\Acid;
use Rheacid\Core\Acidity\MolecularSo2;
use Rheacid\Core\Acidity\Solute;
use Rheacid\Core\Acidity\Titration;
use Rheacid\Core\Acidity\TitrationCurve;
use Rheacid\Core\Acidity\TitrationUncertainty;
use Rheacid\Core\Simulation\AcidSolution;

/** Titrations against SciPy's root finder, worked examples, atomic weights and GNU units. */
final class AcidityTest extends TestCase
{
    public function test_curves_of_mixed_acids_are_scipys_and_their_titration_gives_the_acid_that_was_put_in(): void
    {
        $random = new Randomizer(new Mt19937(20261127));
        $cases = [];
        for ($i = 0; $i < 40; $i++) {
            $molar = [];
            foreach (['tartaric', 'malic', 'citric', 'lactic', 'acetic'] as $acid) {
                $molar[$acid] = $random->getInt(0, 40) / 1000;
            }
            $molar['tartaric'] += 0.01;
            $cases[] = [
                'molar' => $molar,
                'potassium' => $random->getInt(0, 15) / 1000,
                'sample_ml' => 10.0,
                'normality' => 0.1,
                'ml' => array_map(static fn(int $step): float => $step * 0.25, range(0, 140)),
            ];
        }

        foreach (Python::run('acids.py', $cases) as $i => $expected) {
            $solution = new AcidSolution($cases[$i]['molar'], $cases[$i]['potassium']);
            $curve = [];
            foreach ($cases[$i]['ml'] as $j => $ml) {
                $curve[] = [$ml, ($ph = $solution->titrated(10.0, $ml, 0.1))];
                self::assertEqualsWithDelta($expected[$j], $ph, 1e-9, json_encode($cases[$i]['molar']) ?: '');
            }
            if ($curve[count($curve) - 1][1] > 8.2) {
                $endpoint = TitrationCurve::through($curve)->reaches(8.2);
                $found = Titration::of($endpoint, 10.0, 0.1, Acid::Tartaric, 0.0, new TitrationUncertainty());
                self::assertEqualsWithDelta(
                    $solution->equivalentsTo(8.2) * 1000,
                    $found->meq,
                    2.5,
                    'to a quarter of a step of the burette',
                );
            }
        }
    }

    /**
     * @return iterable<string, array{float, float, float, Acid, float}> mL of sample, normality, mL of titrant, acid, g/L; worked examples,
     *     from memory
     */
    public static function worked(): iterable
    {
        yield 'wine: 5 mL, 0.1 N, 4.0 mL, ×15 in the usual table' => [5.0, 0.1, 4.0, Acid::Tartaric, 6.003];
        yield 'juice: 10 mL, 0.1 N, 12.5 mL as citric, 0.8 %' => [10.0, 0.1, 12.5, Acid::Citric, 8.005];
        yield 'milk: 9 mL, 0.1 N, 1.6 mL is 0.16 % lactic' => [9.0, 0.1, 1.6, Acid::Lactic, 1.601];
        yield 'vinegar: 5 mL, 0.5 N, 8.33 mL is 5 % acetic' => [5.0, 0.5, 8.33, Acid::Acetic, 50.023];
    }

    #[DataProvider('worked')]
    public function test_worked_examples_come_out(float $sample, float $normality, float $ml, Acid $acid, float $grams): void
    {
        self::assertEqualsWithDelta(
            $grams,
            Titration::of(
                new \Rheacid\Core\Acidity\Endpoint($ml, 8.2, false),
                $sample,
                $normality,
                $acid,
                0.0,
                new TitrationUncertainty(),
            )->acidity(),
            0.01,
        );
    }

    /** Free SO₂ for 0.8 mg/L molecular by pH, as tables for wine print it at pKa 1.81. From memory. */
    public function test_the_table_of_free_so2_by_ph(): void
    {
        foreach (['3.0' => 13, '3.2' => 20, '3.4' => 32, '3.6' => 50, '3.8' => 79] as $ph => $free) {
            self::assertEqualsWithDelta($free, MolecularSo2::free(0.8, (float) $ph), 0.7, "pH $ph");
        }
        self::assertLessThan(
            MolecularSo2::free(0.8, 3.4),
            MolecularSo2::free(0.8, 3.4, MolecularSo2::PKA_IN_WINE),
            'in alcohol less of it protects as much',
        );
    }

    public function test_a_solution_weighs_what_gnu_units_says(): void
    {
        exec("units -t '3 mol/l * 250 ml * (potassium + chlorine) g/mol' g", $said, $status);
        self::assertSame(0, $status, implode("\n", $said));

        self::assertEqualsWithDelta((float) $said[0], Solute::Kcl->grams(3.0, 250.0), 0.01);
    }
}
