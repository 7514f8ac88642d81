<?php

declare(strict_types=1);

namespace Rheacid\Calculators;

use Rheacid\Core\Acidity\BottledAcid;
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
            self::Carbonate => 'Acid to remove',
            self::So2 => 'Sulfite dose',
            self::Blend => 'Blend',
            self::Brine => 'Brine by weighing',
            self::Dilution => 'Dilution',
            self::SampleDilution => 'A diluted sample',
            self::Solution => 'Make up a solution',
            self::Titrant => 'Strength of the titrant',
            self::TemperatureError => 'Effect of a wrong temperature',
        };
    }

    /** @return list<Field> */
    public function fields(): array
    {
        return match ($this) {
            self::BenchTrial => [
                Field::words('what', 'Substance', 'tartaric acid, 10 %'),
                Field::table('trial', 'Dose and reading', "0; 3,80\n1; 3,60\n2; 3,45", 'one portion per line: mL or g, then the value'),
                Field::number('target', 'Value wanted', '3,50', -1000, 1000),
                Field::number('trial_ml', 'Volume of a portion, mL', '100', 0.1, 100_000),
                Field::number('batch_l', 'Batch, L', '200', 0.01, 10_000_000),
                Field::choice('unit', 'Doses in', ['mL' => 'mL', 'g' => 'g']),
            ],
            self::Acid => [
                Field::choice('acid', 'With', self::acids()),
                Field::number('raise', 'Raise by, g/L as tartaric', '1', 0.01, 50),
                Field::number('batch_l', 'Batch, L', '200', 0.01, 10_000_000),
                Field::choice('endpoint', 'Acidity titrated to', ['8.2' => 'pH 8.2', '7.0' => 'pH 7.0']),
            ],
            self::Carbonate => [
                Field::choice(
                    'with',
                    'With',
                    array_combine(array_column(Neutraliser::cases(), 'value'), array_column(Neutraliser::cases(), 'value')),
                ),
                Field::number('lower', 'Lower by, g/L as tartaric', '1', 0.01, 20),
                Field::number('batch_l', 'Batch, L', '200', 0.01, 10_000_000),
                Field::number('ph', 'pH now', '3,10', 2, 5),
                Field::number('stop_ph', 'Stop at pH', '3,50', 2, 5, 'spoilage begins sooner above it; the limit of your product'),
            ],
            self::So2 => [
                Field::number('ph', 'pH', '3,40', 2, 5),
                Field::number('molecular', 'Target molecular SO₂, mg/L', '0,8', 0.05, 5),
                Field::number('free', 'Free SO₂ now, mg/L', '10', 0, 500),
                Field::number('batch_l', 'Batch, L', '200', 0.01, 10_000_000),
            ],
            self::Blend => [
                Field::choice('of', 'Of what', [
                    'acidity' => 'titratable acidity',
                    'sugar' => 'sugar',
                    'salt' => 'salt',
                    'alcohol' => 'alcohol',
                    'ph' => 'pH',
                ]),
                Field::number('a', 'First: value', '5', -1000, 100_000),
                Field::number('a_l', 'First: L', '100', 0.001, 10_000_000),
                Field::number('b', 'Second: value', '8', -1000, 100_000),
                Field::number('b_l', 'Second: available, L', '500', 0.001, 10_000_000),
                Field::number('target', 'Value wanted', '6', -1000, 100_000),
            ],
            self::Brine => [
                Field::choice('of', 'Percent', ['total' => 'of the total mass', 'brine' => 'of the brine']),
                Field::number('percent', 'Salt, %', '2,5', 0.1, 26),
                Field::number('food_kg', 'Food, kg', '10', 0, 1_000_000),
                Field::number('water_kg', 'Water, kg', '0', 0, 1_000_000),
            ],
            self::Dilution => [
                Field::number('c1', 'Present strength', '10', 1e-6, 1e6),
                Field::number('c2', 'Strength wanted', '2', 1e-6, 1e6),
                Field::number('v2', 'Target volume, mL', '500', 0.01, 1e9),
            ],
            self::SampleDilution => [
                Field::number('sample_g', 'Food, g', '100', 0.01, 1e6),
                Field::number('water_g', 'Water, g', '100', 0, 1e6),
                Field::number('read', 'Reading in the slurry, g/kg', '3,2', 0, 1e4),
            ],
            self::Solution => [
                Field::choice('solute', 'Of what', [
                    'KCl' => 'potassium chloride',
                    'NaOH' => 'sodium hydroxide',
                    'tartaric' => 'tartaric acid',
                    'citric' => 'citric acid',
                ]),
                Field::number('molarity', 'Strength, mol/L', '3', 0.0001, 20),
                Field::number('ml', 'Volume, mL', '250', 0.1, 1e7),
            ],
            self::Titrant => [
                Field::table(
                    'runs',
                    'Potassium hydrogen phthalate in g, titrant in mL',
                    "0,5102; 24,98\n0,4987; 24,43\n0,5043; 24,70",
                    'one run per line, at least three',
                ),
                Field::number('purity', 'Purity, %', '100', 90, 100),
            ],
            self::TemperatureError => [
                Field::number('ph', 'pH shown', '4,00', -2, 16),
                Field::number('sample_c', 'Sample, °C', '37', -5, 130),
                Field::number('compensation_c', 'Temperature set on the meter, °C', '25', -5, 130),
            ],
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
            self::BenchTrial
                => 'Valid between the tested doses, not beyond; monotone cubic through the points (Fritsch and Butland 1984). The batch '
                    . 'may differ from the portion: add in steps and measure after each.',
            self::Acid
                => 'By equivalents (IUPAC atomic weights) and the strength on the label. Valid for titratable acidity, not pH: the change '
                    . 'in pH depends on what else is dissolved. Find it with a bench trial. Densities of bottled acids at 20 °C from '
                    . 'memory: a label that says otherwise wins, so weigh where it matters.',
            self::Carbonate
                => 'By equivalents (IUPAC atomic weights). Valid for titratable acidity, not pH: the change in pH depends on what else is '
                    . 'dissolved. Find it with a bench trial. Tartrate falls out over days in the cold, and takes acid with it only as far '
                    . 'as there is tartaric acid.',
            self::So2
                => 'Henderson–Hasselbalch with pKa 1.81, and about 2.0 for wine of 12–14 % alcohol; both from memory. Part of the dose is '
                    . 'bound at once: measure free SO₂ again after a day.',
            self::Blend => 'For quantities that add up linearly. pH does not: it is a logarithm, and solutions are buffered.',
            self::Brine => 'Salt of the total mass and salt of the brine are two different percentages. By mass.',
            self::Dilution
                => 'Concentration times volume stays the same. Volumes of strong acid or alcohol do not add up exactly: fill up to the '
                    . 'mark at the end.',
            self::SampleDilution
                => 'Acidity of a diluted sample is calculated back by mass. pH is not: a paste thinned with water changes by a few '
                    . 'hundredths only and is recorded as read.',
            self::Solution => 'Solids go into water, then it is filled up to the mark. Molar masses from IUPAC atomic weights.',
            self::Titrant
                => '204.222 g/mol. Dry the phthalate for two hours at 110–120 °C. Three runs within 0.3 %: common practice, no source.',
            self::TemperatureError
                => '(pH − 7) · (T of the sample / T set on the meter − 1) in kelvin: the reading of an ideal electrode minus the true '
                    . 'value. The change of the sample itself with temperature is not included.',
        };
    }

    public function caution(): ?string
    {
        return match ($this) {
            self::BenchTrial,
            self::Acid
                => 'Strong acid burns. Wear goggles and gloves. Add acid to water, never water to acid. Use acid of food grade, within '
                    . 'what the law allows in your product. Follow your site’s rules and local codes.',
            self::Dilution
                => 'Concentrated acid and lye burn eyes and skin, and heat up with water. Wear goggles and gloves. Water first, then the '
                    . 'concentrate into it slowly: never water into the concentrate. Follow your site’s rules and local codes.',
            self::So2
                => 'Sulfite releases an irritant gas, dangerous for people with asthma. Work outdoors or under an extractor. Declare it '
                    . 'where required by law.',
            self::Solution,
            self::Titrant
                => 'Lye burns eyes and skin and heats up when it dissolves. Wear goggles and gloves. Add lye to cold water in small '
                    . 'portions. Acid and lye go into the water, never water onto them. Follow your site’s rules and local codes.',
            default => null,
        };
    }

    /** @return array<string, string> */
    private static function acids(): array
    {
        return array_combine(
            array_column(BottledAcid::cases(), 'value'),
            array_map(static fn(BottledAcid $acid): string => $acid->words(), BottledAcid::cases()),
        );
    }
}
