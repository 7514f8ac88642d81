<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Calculators\Calculator;
use Rheacid\Calculators\Field;
use Rheacid\Models\Addition;

/** The sums around the measuring: right numbers with their formula, clear words beside a wrong one, a plan for a batch. */
final class CalculatorTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->people['checker']);
    }

    /** @return iterable<string, array{string, array<string, string>, list<string>}> what is typed, what is seen */
    public static function sums(): iterable
    {
        yield 'acid' => [
            'acid',
            ['acid' => 'malic', 'raise' => '1', 'batch_l' => '200', 'endpoint' => '8.2'],
            ['178.7 g', '1 g/L × 67.043 / 75.043 × 200 L', 'Add acid to water'],
        ];
        yield 'lactic acid out of the bottle' => [
            'acid',
            ['acid' => 'lactic-80', 'raise' => '1', 'batch_l' => '200', 'endpoint' => '8.2'],
            ['252.2 mL (300.1 g)', '/ 1.19 g/mL', 'Stir it into ten times as much water first', 'Add 126.1 mL'],
        ];
        yield 'phosphoric acid, whose second proton comes late' => [
            'acid',
            ['acid' => 'phosphoric-85', 'raise' => '1', 'batch_l' => '200', 'endpoint' => '7.0'],
            ['131.7 mL (222.4 g)', 'second proton only around pH 7.2'],
        ];
        yield 'bicarbonate, 1.33 g to a gram of tartaric or half of it' => [
            'carbonate',
            ['with' => 'potassium bicarbonate', 'lower' => '1', 'batch_l' => '1', 'ph' => '3,1', 'stop_ph' => '3,5'],
            [
                '0.6671 g first',
                'In all 0.6671 g to 1.334 g',
                'potassium bitartrate',
                'Step 1: 0.6671 g.',
                'Step 2: 0.3335 g',
                'Stop at pH 3.5',
                'Leave room',
            ],
        ];
        yield 'calcium carbonate' => [
            'carbonate',
            ['with' => 'calcium carbonate', 'lower' => '1', 'batch_l' => '1', 'ph' => '3,1', 'stop_ph' => '3,5'],
            ['0.3334 g first', 'In all 0.6669 g', 'calcium tartrate', 'does not touch malic acid'],
        ];
        yield 'no acid is taken from what has too little' => [
            'carbonate',
            ['with' => 'calcium carbonate', 'lower' => '1', 'batch_l' => '1', 'ph' => '3,5', 'stop_ph' => '3,5'],
            ['The pH is at 3.5 already', 'do not add any'],
        ];
        yield 'sulfite, both constants' => [
            'sulfite',
            ['ph' => '3,4', 'molecular' => '0,8', 'free' => '10', 'batch_l' => '100'],
            ['31.9 mg/L free', 'With pKa 2, as in wine of 12–14 % alcohol, 20.9 mg/L', 'Add 21.9 mg/L'],
        ];
        yield 'sulfite, a large dose' => [
            'sulfite',
            ['ph' => '3,9', 'molecular' => '0,8', 'free' => '0', 'batch_l' => '100'],
            ['This is a large dose'],
        ];
        yield 'a blend' => [
            'blend',
            ['of' => 'acidity', 'a' => '5', 'a_l' => '100', 'b' => '8', 'b_l' => '500', 'target' => '6'],
            ['50 L of the second', '150 L together'],
        ];
        yield 'a blend of pH' => [
            'blend',
            ['of' => 'ph', 'a' => '3', 'a_l' => '100', 'b' => '4', 'b_l' => '500', 'target' => '3,5'],
            ['The pH of a blend cannot be calculated'],
        ];
        yield 'more than there is' => [
            'blend',
            ['of' => 'salt', 'a' => '5', 'a_l' => '100', 'b' => '8', 'b_l' => '10', 'target' => '6'],
            ['50 L are needed, but only 10 L are available.'],
        ];
        yield 'brine of total' => [
            'brine',
            ['of' => 'total', 'percent' => '2,5', 'food_kg' => '10', 'water_kg' => '0'],
            ['256.4 g of salt'],
        ];
        yield 'brine of the brine' => [
            'brine',
            ['of' => 'brine', 'percent' => '5', 'food_kg' => '10', 'water_kg' => '9,5'],
            ['500 g of salt', '2.5 % of the total mass, and 5 % of the brine'],
        ];
        yield 'a dilution puts water first' => [
            'dilution',
            ['c1' => '80', 'c2' => '10', 'v2' => '1000'],
            [
                '125 mL',
                'Put about 787.5 mL of cold water in first. Pour the concentrate into it slowly',
                'never water into the concentrate',
            ],
        ];
        yield 'a solution puts water first' => [
            'solution',
            ['solute' => 'NaOH', 'molarity' => '0,1', 'ml' => '1000'],
            ['Put about 700 mL of cold water in first. Add the solid to it', 'never water onto them'],
        ];
        yield 'a dilution upwards' => ['dilution', ['c1' => '2', 'c2' => '10', 'v2' => '500'], ['Dilution only makes it weaker']];
        yield 'a slurry' => ['sample-dilution', ['sample_g' => '100', 'water_g' => '100', 'read' => '3,2'], ['6.4 g/kg in the food']];
        yield 'storage solution' => ['solution', ['solute' => 'KCl', 'molarity' => '3', 'ml' => '250'], ['55.91 g']];
        yield 'titrant' => [
            'titrant',
            ['runs' => "0,5102; 24,98\n0,4987; 24,43\n0,5043; 24,70", 'purity' => '100'],
            ['0.099981 N', 'Run 3'],
        ];
        yield 'titrant that does not agree' => [
            'titrant',
            ['runs' => "0,5; 24\n0,5; 25\n0,5; 24,5", 'purity' => '100'],
            ['No strength can be given'],
        ];
        yield 'compensation' => [
            'temperature-error',
            ['ph' => '4', 'sample_c' => '37', 'compensation_c' => '25'],
            ['−0.121 pH', 'it would show 4.12'],
        ];
        yield 'a trial' => [
            'bench-trial',
            [
                'what' => 'lye',
                'trial' => "0; 3,8\n1; 3,6\n2; 3,45",
                'target' => '3,5',
                'trial_ml' => '100',
                'batch_l' => '200',
                'unit' => 'mL',
            ],
            ['3.26 L', 'then 814.9 mL', '<svg'],
        ];
        yield 'beyond the trial' => [
            'bench-trial',
            ['trial' => "0; 3,8\n1; 3,6", 'target' => '3,5', 'what' => 'lye', 'trial_ml' => '100', 'batch_l' => '200', 'unit' => 'mL'],
            ['is outside the trial'],
        ];
        yield 'no number' => ['acid', ['raise' => 'a lot'], ['Type a number from 0.01 to 50.', 'value="a lot"']];
        yield 'no table' => ['titrant', ['runs' => 'about 24'], ['Type two numbers per line']];
    }

    /**
     * @param array<string, string> $typed
     * @param list<string> $seen
     */
    #[DataProvider('sums')]
    public function test_a_calculator_is_right_or_says_what_is_accepted(string $calculator, array $typed, array $seen): void
    {
        $page = $this->get("/calculators/$calculator?" . http_build_query($typed))->assertOk();
        foreach ($seen as $words) {
            $page->assertSee($words, false);
        }
    }

    public function test_each_opens_without_a_number_and_answers_its_own_example(): void
    {
        foreach (Calculator::cases() as $calculator) {
            $this->get("/calculators/$calculator->value")
                ->assertOk()
                ->assertSee($calculator->limits())
                ->assertDontSee('class="big"', false)
                ->assertDontSee('class="problem"', false);
            $this->get(
                "/calculators/$calculator->value?"
                    . http_build_query(
                        array_column(
                            array_map(static fn(Field $field): array => [$field->name, $field->example], $calculator->fields()),
                            1,
                            0,
                        ),
                    ),
            )
                ->assertOk()
                ->assertSee('class="big"', false);
        }
        $this->get('/calculators/everything')->assertNotFound();
        $this->get('/calculators?batch=999999')->assertOk();
    }

    public function test_what_was_found_is_planned_for_a_batch(): void
    {
        $batch = $this->batch();
        $page = (string) $this->get("/calculators/acid?batch=$batch->id&acid=tartaric&raise=0,5&batch_l=180&endpoint=8.2")
            ->assertSee("Plan addition: 90 g to $batch->code")
            ->getContent();
        preg_match_all('/<input type="hidden" name="(what|amount|unit)" value="([^"]*)"/', $page, $hidden);
        $this->post("/batches/$batch->id/additions", [
            ...array_combine($hidden[1], $hidden[2]),
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        self::assertSame(
            ['tartaric acid', 90.0, 'g', Addition::PLANNED],
            array_values(
                Addition::query()
                    ->sole()
                    ->only(['what', 'amount', 'unit', 'state']),
            ),
        );
        $this->actingAs($this->people['auditor'])
            ->get("/calculators/acid?batch=$batch->id")
            ->assertOk()
            ->assertDontSee('Plan ');
    }
}
