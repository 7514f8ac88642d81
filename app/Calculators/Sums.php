<?php

declare(strict_types=1);

namespace Rheacid\Calculators;

use Rheacid\Core\Acidity\Acid;
use Rheacid\Core\Acidity\BenchTrial;
use Rheacid\Core\Acidity\Blend;
use Rheacid\Core\Acidity\BottledAcid;
use Rheacid\Core\Acidity\Brine;
use Rheacid\Core\Acidity\Dilution;
use Rheacid\Core\Acidity\MolecularSo2;
use Rheacid\Core\Acidity\Neutraliser;
use Rheacid\Core\Acidity\Solute;
use Rheacid\Core\Acidity\Standardisation;
use Rheacid\Core\Electrode\Nernst;
use Rheacid\Core\Numbers;
use Rheacid\Records\Refused;

/** Asks the core for what a calculator was asked, and says it with the numbers in it. */
final class Sums
{
    public static function benchTrial(Typed $in): Answer
    {
        $trial = $in->pairs('trial');
        $dose = BenchTrial::dose($trial, $in->number('target'), $in->number('trial_ml'), $in->number('batch_l'));
        $unit = $in->text('unit');

        return new Answer(
            self::amount($dose->doseBatch, $unit),
            sprintf(
                '%s %s to %s mL → × 1000 × %s L / %s mL',
                self::n($dose->dosePerTrial),
                $unit,
                self::n($in->number('trial_ml')),
                self::n($in->number('batch_l')),
                self::n($in->number('trial_ml')),
            ),
            [
                'Add '
                . implode(', then ', array_map(static fn(float $step): string => self::amount($step, $unit), $dose->steps))
                . '; stir and measure after each.',
            ],
            plan: self::plan($in->text('what'), $dose->doseBatch, $unit),
            curve: $trial,
            point: [$dose->dosePerTrial, $in->number('target')],
        );
    }

    public static function acid(Typed $in): Answer
    {
        $acid = BottledAcid::from($in->text('acid'));
        $perEquivalent = $acid->gramsPerEquivalent((float) $in->text('endpoint'));
        $perLitre = ($in->number('raise') / Acid::Tartaric->equivalentWeight()) * $perEquivalent;
        $grams = $perLitre * $in->number('batch_l');
        $density = $acid->density();
        $measured = static fn(float $grams): string => $density === null
            ? self::amount($grams, 'g')
            : self::amount($grams / $density, 'mL') . ' (' . self::amount($grams, 'g') . ')';

        return new Answer(
            $measured($grams),
            sprintf(
                '%s g/L × %s / %s × %s L',
                self::n($in->number('raise')),
                self::n($perEquivalent, 5),
                self::n(Acid::Tartaric->equivalentWeight(), 5),
                self::n($in->number('batch_l')),
            ) . ($density === null ? '' : sprintf(' / %s g/mL', self::n($density))),
            [
                sprintf('%s g/L of %s.', self::n($perLitre), $acid->words())
                . ($density === null
                    ? sprintf(' As a 10 %% solution: %s.', self::amount($grams * 10, 'mL'))
                    : ' Stir it into ten times as much water first.'),
                ...in_array($acid, [BottledAcid::Phosphoric75, BottledAcid::Phosphoric85], true)
                    ? [
                        'Phosphoric acid gives its second proton only around pH 7.2. At the pH of beer and wine it acts like half of what '
                            . 'a titration to 8.2 finds: it lowers the pH more than another acid of the same titratable acidity.',
                    ]
                    : [],
                sprintf('Add %s, stir, measure; then %s, and %s.', $measured($grams / 2), $measured($grams / 4), $measured($grams / 4)),
            ],
            plan: $density === null ? self::plan($acid->words(), $grams, 'g') : self::plan($acid->words(), $grams / $density, 'mL'),
        );
    }

    public static function carbonate(Typed $in): Answer
    {
        $with = Neutraliser::from($in->text('with'));
        [$ph, $stop, $litres] = [$in->number('ph'), $in->number('stop_ph'), $in->number('batch_l')];
        if (Numbers::atLeast($ph, $stop)) {
            throw Refused::because(
                sprintf(
                    'The pH is at %s already, and it should stop at %s. Taking acid away raises it further: do not add any.',
                    self::n($ph),
                    self::n($stop),
                ),
                'stop_ph',
            );
        }
        $grams = $with->grams($in->number('lower'), Acid::Tartaric) * $litres;
        $least = $with->leastGrams($in->number('lower'), Acid::Tartaric) * $litres;
        [$first, $second, $third] = array_map(static fn(float $step): string => self::amount($step, 'g'), Neutraliser::steps($grams));

        return new Answer(
            "$first first",
            sprintf(
                '%s g/L × %s / %s × %s L',
                self::n($in->number('lower')),
                self::n($with->equivalentWeight(), 5),
                self::n(Acid::Tartaric->equivalentWeight(), 5),
                self::n($litres),
            ) . ($least < $grams ? '; half of it if all the tartrate falls out' : ''),
            [
                $with === Neutraliser::PotassiumBicarbonate
                    ? sprintf(
                        'In all %s to %s. It neutralises at once, and its potassium then takes %s out of the wine in the cold: up to as '
                            . 'much acid again. So the lower amount can be enough.',
                        self::amount($least, 'g'),
                        self::amount($grams, 'g'),
                        $with->salt(),
                    )
                    : sprintf(
                        'In all %s. It takes tartaric acid out as %s, slowly: over weeks. It does not touch malic acid.',
                        self::amount($grams, 'g'),
                        $with->salt(),
                    ),
                sprintf(
                    'Step 1: %s. Stir, wait until the foaming stops, measure pH and acidity. %s',
                    $first,
                    $with === Neutraliser::PotassiumBicarbonate
                        ? 'Keep it cold for some days and measure again.'
                        : 'Wait some days and measure again.',
                ),
                sprintf(
                    'Step 2: %s, and step 3: %s, each only while the pH is below %s and the acidity is still above what you want.',
                    $second,
                    $third,
                    self::n($stop),
                ),
                sprintf('Stop at pH %s, even if the acidity is not there yet. Leave room in the vessel: it foams.', self::n($stop)),
            ],
            plan: self::plan($with->value, Neutraliser::steps($grams)[0], 'g'),
        );
    }

    public static function so2(Typed $in): Answer
    {
        [$ph, $molecular, $free, $litres] = [$in->number('ph'), $in->number('molecular'), $in->number('free'), $in->number('batch_l')];
        $needed = MolecularSo2::free($molecular, $ph);
        $inWine = MolecularSo2::free($molecular, $ph, MolecularSo2::PKA_IN_WINE);
        $add = max(0.0, $needed - $free);
        $grams = ($add * $litres) / 1000 / MolecularSo2::IN_METABISULFITE;

        return new Answer(
            self::n($needed, 3) . ' mg/L free',
            sprintf('%s × (1 + 10^(%s − %s))', self::n($molecular), self::n($ph), self::n(MolecularSo2::PKA)),
            [
                sprintf(
                    'With pKa %s, as in wine of 12–14 %% alcohol, %s mg/L are enough: the protective dose is between the two.',
                    self::n(MolecularSo2::PKA_IN_WINE),
                    self::n($inWine, 3),
                ),
                sprintf('Now %s mg/L free: %s mg/L molecular.', self::n($free), self::n(MolecularSo2::molecular($free, $ph), 2)),
                $add === 0.0
                    ? 'Nothing to add.'
                    : sprintf(
                        'Add %s mg/L: %s of potassium metabisulfite (57.6 %% SO₂). Measure free SO₂ again after a day.',
                        self::n($add, 3),
                        self::amount($grams, 'g'),
                    ),
            ],
            $add > MolecularSo2::LARGE_MG_PER_L
                ? sprintf(
                    'This is a large dose: more than %s mg/L at once. Lower the pH first, or measure free SO₂ again. Legal limits apply to '
                        . 'total SO₂.',
                    self::n(MolecularSo2::LARGE_MG_PER_L),
                )
                : null,
            $add === 0.0 ? null : self::plan('potassium metabisulfite', $grams, 'g'),
        );
    }

    public static function blend(Typed $in): Answer
    {
        if ($in->text('of') === 'ph') {
            throw Refused::because(
                'The pH of a blend cannot be calculated: pH is a logarithm, and the liquids buffer each other. Blend a small portion at '
                    . 'the bench and read it.',
                'of',
            );
        }
        [$a, $litres, $b, $target] = [$in->number('a'), $in->number('a_l'), $in->number('b'), $in->number('target')];
        $needed = Blend::needs($a, $litres, $b, $in->number('b_l'), $target);

        return new Answer(
            self::amount($needed * 1000, 'mL') . ' of the second',
            sprintf('%s L × (%s − %s) / (%s − %s)', self::n($litres), self::n($a), self::n($target), self::n($target), self::n($b)),
            [sprintf('%s L together.', self::n($litres + $needed, 5))],
        );
    }

    public static function brine(Typed $in): Answer
    {
        [$percent, $food, $water] = [$in->number('percent'), $in->number('food_kg') * 1000, $in->number('water_kg') * 1000];
        $isOfTotal = $in->text('of') === 'total';
        $salt = $isOfTotal ? Brine::ofTotal($percent, $food, $water) : Brine::ofBrine($percent, $water);

        return new Answer(
            self::amount($salt, 'g') . ' of salt',
            $isOfTotal
                ? sprintf(
                    '(%s + %s) kg × %s / (100 − %s)',
                    self::n($food / 1000),
                    self::n($water / 1000),
                    self::n($percent),
                    self::n($percent),
                )
                : sprintf('%s kg × %s / (100 − %s)', self::n($water / 1000), self::n($percent), self::n($percent)),
            [
                sprintf(
                    'That is %s %% of the total mass%s.',
                    self::n(($salt / max($food + $water + $salt, 1e-9)) * 100, 3),
                    $water > 0 ? sprintf(', and %s %% of the brine', self::n(($salt / ($water + $salt)) * 100, 3)) : '',
                ),
                'Weigh the salt: a spoon of coarse salt is not a spoon of fine salt.',
            ],
            $salt === 0.0 ? 'Type the weight of the food or the water.' : null,
            $salt === 0.0 ? null : self::plan('salt', $salt, 'g'),
        );
    }

    public static function dilution(Typed $in): Answer
    {
        [$c1, $c2, $v2] = [$in->number('c1'), $in->number('c2'), $in->number('v2')];
        if ($c2 > $c1) {
            throw Refused::because('Dilution only makes it weaker: the target strength is above the present one.', 'c2');
        }
        $found = Dilution::complete(['c1' => $c1, 'v1' => null, 'c2' => $c2, 'v2' => $v2]);

        return new Answer(self::amount($found['v1'], 'mL'), sprintf('%s × %s mL / %s', self::n($c2), self::n($v2), self::n($c1)), [
            sprintf(
                'Put about %s of cold water in first. Pour the concentrate into it slowly while you stir, let it cool, then fill up with '
                    . 'water to %s.',
                self::amount($v2 - $found['v1'] > 0.2 * $v2 ? ($v2 - $found['v1']) * 0.9 : $v2 - $found['v1'], 'mL'),
                self::amount($v2, 'mL'),
            ),
        ]);
    }

    public static function sampleDilution(Typed $in): Answer
    {
        $factor = ($in->number('sample_g') + $in->number('water_g')) / $in->number('sample_g');

        return new Answer(
            self::n($in->number('read') * $factor) . ' g/kg in the food',
            sprintf(
                '%s g/kg × (%s + %s) / %s',
                self::n($in->number('read')),
                self::n($in->number('sample_g')),
                self::n($in->number('water_g')),
                self::n($in->number('sample_g')),
            ),
        );
    }

    public static function solution(Typed $in): Answer
    {
        $solute = Solute::from($in->text('solute'));

        return new Answer(
            self::amount($solute->grams($in->number('molarity'), $in->number('ml')), 'g'),
            sprintf(
                '%s mol/L × %s mL / 1000 × %s g/mol',
                self::n($in->number('molarity')),
                self::n($in->number('ml')),
                self::n($solute->molarMass(), 6),
            ),
            [
                sprintf(
                    'Put about %s of cold water in first. Add the solid to it in small portions while you stir, let it cool, then fill up '
                        . 'with water to %s.',
                    self::amount($in->number('ml') * 0.7, 'mL'),
                    self::amount($in->number('ml'), 'mL'),
                ),
            ],
        );
    }

    public static function titrant(Typed $in): Answer
    {
        $found = [];
        foreach ($in->pairs('runs') as [$grams, $ml]) {
            if ($grams <= 0 || $ml <= 0) {
                throw Refused::because('Type masses and volumes above 0.', 'runs');
            }
            $found[] = Standardisation::normality($grams, $ml, $in->number('purity') / 100);
        }
        $mean = array_sum($found) / count($found);
        $agree = Standardisation::agree($found);

        return new Answer(
            self::n($mean, 5) . ' N',
            'g × purity / 204.222 / mL × 1000',
            array_map(
                static fn(int $i, float $one): string => sprintf('Run %d: %s N', $i + 1, self::n($one, 5)),
                array_keys($found),
                $found,
            ),
            $agree
                ? null
                : sprintf(
                    'No strength can be given: %d runs must agree within %s %%. Run it again.',
                    Standardisation::RUNS,
                    self::n(Standardisation::AGREE_PERCENT),
                ),
        );
    }

    public static function temperatureError(Typed $in): Answer
    {
        $error = Nernst::compensationError($in->number('ph'), $in->number('sample_c'), $in->number('compensation_c'));

        return new Answer(
            ($error > 0 ? '+' : '') . Numbers::fixed($error, 3) . ' pH',
            sprintf(
                '(%s − 7) × ((%s + 273.15) / (%s + 273.15) − 1)',
                self::n($in->number('ph')),
                self::n($in->number('sample_c')),
                self::n($in->number('compensation_c')),
            ),
            [
                sprintf(
                    'The meter shows %s; with the right temperature it would show %s.',
                    Numbers::fixed($in->number('ph'), 2),
                    Numbers::fixed($in->number('ph') - $error, 2),
                ),
            ],
        );
    }

    /** @return array{what: string, amount: float, unit: string} */
    private static function plan(string $what, float $amount, string $unit): array
    {
        return ['what' => $what, 'amount' => (float) sprintf('%.4G', $amount), 'unit' => $unit];
    }

    private static function n(float $value, int $digits = 4): string
    {
        return Numbers::plain($value === 0.0 ? 0.0 : round($value, max(0, $digits - 1 - (int) floor(log10(abs($value))))));
    }

    private static function amount(float $value, string $unit): string
    {
        $larger = ['g' => 'kg', 'mL' => 'L'][$unit] ?? null;

        return $larger !== null && abs($value) >= 1000 ? self::n($value / 1000) . " $larger" : self::n($value) . " $unit";
    }
}
