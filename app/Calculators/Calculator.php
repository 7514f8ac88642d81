<?php

declare(strict_types=1);

namespace Rheacid\Calculators;

use Rheacid\Core\Acidity\Neutraliser;
use Rheacid\Core\Failure;

/** Sums that are done around the measuring; each says its formula, its limits and where it comes from. */
enum Calculator: string
{
    case BenchTrial = 'bench-trial';
    case Acid = 'acid';
    case Carbonate = 'carbonate';
    case So2 = 'sulfite';
    case Blend = 'blend';
    case Brine = 'brine';
    case Dilution = 'dilution';
    case SampleDilution = 'sample-dilution';
    case Solution = 'solution';
    case Titrant = 'titrant';
    case TemperatureError = 'temperature-error';

    public function title(): string
    {
        return match ($this) {
            self::BenchTrial => 'Dose from a bench trial',
            self::Acid => 'Acid to add',
            self::Carbonate => 'Acid to take away',
            self::So2 => 'Sulfite for protection',
            self::Blend => 'Blend',
            self::Brine => 'Brine by weighing',
            self::Dilution => 'Dilution',
            self::SampleDilution => 'A diluted sample',
            self::Solution => 'Solution to make up',
            self::Titrant => 'Strength of the titrant',
            self::TemperatureError => 'What a wrong temperature costs',
        };
    }

    /** @return list<Field> */
    public function fields(): array
    {
        return match ($this) {
            self::BenchTrial => [Field::words('what', 'What is added', 'tartaric acid, 10 %'), Field::table('trial', 'Dose and what was read', "0; 3,80\n1; 3,60\n2; 3,45", 'one portion a line: mL or g, then the value'), Field::number('target', 'Value wanted', '3,50', -1000, 1000), Field::number('trial_ml', 'Volume of a portion, mL', '100', 0.1, 100_000), Field::number('batch_l', 'Batch, L', '200', 0.01, 10_000_000), Field::choice('unit', 'Doses in', ['mL' => 'mL', 'g' => 'g'])],
            self::Acid => [Field::choice('acid', 'With', self::acids()), Field::number('raise', 'Raise by, g/L as tartaric', '1', 0.01, 50), Field::number('batch_l', 'Batch, L', '200', 0.01, 10_000_000)],
            self::Carbonate => [Field::choice('with', 'With', array_combine(array_column(Neutraliser::cases(), 'value'), array_column(Neutraliser::cases(), 'value'))), Field::number('lower', 'Lower by, g/L as tartaric', '1', 0.01, 20), Field::number('batch_l', 'Batch, L', '200', 0.01, 10_000_000)],
            self::So2 => [Field::number('ph', 'pH', '3,40', 2, 5), Field::number('molecular', 'Molecular SO₂ wanted, mg/L', '0,8', 0.05, 5), Field::number('free', 'Free SO₂ now, mg/L', '10', 0, 500), Field::number('batch_l', 'Batch, L', '200', 0.01, 10_000_000)],
            self::Blend => [Field::choice('of', 'Of what', ['acidity' => 'titratable acidity', 'sugar' => 'sugar', 'salt' => 'salt', 'alcohol' => 'alcohol', 'ph' => 'pH']), Field::number('a', 'First: value', '5', -1000, 100_000), Field::number('a_l', 'First: L', '100', 0.001, 10_000_000), Field::number('b', 'Second: value', '8', -1000, 100_000), Field::number('b_l', 'Second: L there are', '500', 0.001, 10_000_000), Field::number('target', 'Value wanted', '6', -1000, 100_000)],
            self::Brine => [Field::choice('of', 'Percent', ['total' => 'of everything together', 'brine' => 'of the brine alone']), Field::number('percent', 'Salt, %', '2,5', 0.1, 26), Field::number('food_kg', 'Food, kg', '10', 0, 1_000_000), Field::number('water_kg', 'Water, kg', '0', 0, 1_000_000)],
            self::Dilution => [Field::number('c1', 'Strength there is', '10', 1e-6, 1e6), Field::number('c2', 'Strength wanted', '2', 1e-6, 1e6), Field::number('v2', 'Volume wanted, mL', '500', 0.01, 1e9)],
            self::SampleDilution => [Field::number('sample_g', 'Food, g', '100', 0.01, 1e6), Field::number('water_g', 'Water, g', '100', 0, 1e6), Field::number('read', 'Read in the slurry, g/kg', '3,2', 0, 1e4)],
            self::Solution => [Field::choice('solute', 'Of what', ['KCl' => 'potassium chloride', 'NaOH' => 'sodium hydroxide', 'tartaric' => 'tartaric acid', 'citric' => 'citric acid']), Field::number('molarity', 'Strength, mol/L', '3', 0.0001, 20), Field::number('ml', 'Volume, mL', '250', 0.1, 1e7)],
            self::Titrant => [Field::table('runs', 'Potassium hydrogen phthalate, g, and mL taken', "0,5102; 24,98\n0,4987; 24,43\n0,5043; 24,70", 'one run a line, three or more'), Field::number('purity', 'Purity, %', '100', 90, 100)],
            self::TemperatureError => [Field::number('ph', 'pH shown', '4,00', -2, 16), Field::number('sample_c', 'Sample, °C', '37', -5, 130), Field::number('compensation_c', 'Temperature that the meter was told, °C', '25', -5, 130)],
        };
    }

    /** @throws Failure where the numbers cannot be worked with */
    public function work(Typed $in): Answer
    {
        return match ($this) {
            self::BenchTrial => Sums::benchTrial($in),
            self::Acid => Sums::acid($in),
            self::Carbonate => Sums::carbonate($in),
            self::So2 => Sums::so2($in),
            self::Blend => Sums::blend($in),
            self::Brine => Sums::brine($in),
            self::Dilution => Sums::dilution($in),
            self::SampleDilution => Sums::sampleDilution($in),
            self::Solution => Sums::solution($in),
            self::Titrant => Sums::titrant($in),
            self::TemperatureError => Sums::temperatureError($in),
        };
    }

    /** Where it holds, and where it comes from. */
    public function limits(): string
    {
        return match ($this) {
            self::BenchTrial => 'Between the doses that were tried, never beyond them; a monotone cubic through the points (Fritsch and Butland 1984). The batch may differ from the portion: add in steps and measure after each.',
            self::Acid, self::Carbonate => 'By equivalents (IUPAC atomic weights). It tells titratable acidity, not pH: how far the pH moves depends on what else is dissolved. Find the pH by a bench trial. Tartrate that falls out afterwards comes on top.',
            self::So2 => 'Henderson–Hasselbalch with pKa 1.81, and about 2.0 for wine of 12–14 % alcohol; both from memory. Part of what is added is bound at once: measure free SO₂ again after a day.',
            self::Blend => 'For what simply adds up. pH does not: it is a logarithm, and what is dissolved buffers it.',
            self::Brine => 'Salt of everything together, and salt of the brine, are two different percentages. By mass; no source is needed.',
            self::Dilution => 'Concentration times volume stays the same. Volumes of strong acid or alcohol do not simply add up: fill up to the mark.',
            self::SampleDilution => 'Acidity of a diluted sample counts back by mass. pH does not: a paste thinned with water moves by a few hundredths only, and is recorded as read.',
            self::Solution => 'Dissolve in less water, then fill up to the mark. Molar masses from IUPAC atomic weights.',
            self::Titrant => '204.222 g/mol. Dry the phthalate for two hours at 110–120 °C. Three runs within 0.3 %: common practice, no source.',
            self::TemperatureError => '(pH − 7) · (T of the sample / T told − 1) in kelvin: what an ideal electrode’s meter shows less the truth. What the sample itself does with temperature is not in it.',
        };
    }

    public function caution(): ?string
    {
        return match ($this) {
            self::BenchTrial, self::Acid => 'Strong acid burns: goggles and gloves, acid into water, never water into acid. Follow your site’s rules and local codes.',
            self::So2 => 'Sulfite releases a gas that takes the breath, worse for people with asthma: outdoors or under an extractor. Declare it where the law asks.',
            self::Solution, self::Titrant => 'Lye burns eyes and skin and grows hot when it dissolves: goggles, gloves, lye into cold water in small parts. Acid into water, never the other way.',
            default => null,
        };
    }

    /** @return array<string, string> */
    private static function acids(): array
    {
        $codes = ['tartaric', 'malic', 'citric', 'lactic'];

        return array_combine($codes, array_map(static fn(string $code): string => "$code acid", $codes));
    }
}
