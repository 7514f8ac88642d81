<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Release\MissingReason;
use Rheacid\Core\Sampling\SamplingState;
use Rheacid\Models\DecisionLimit;
use Rheacid\Models\ExternalValue;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Queries\Batches\ReleaseReview;
use Rheacid\Queries\Batches\SamplingProgress;
use Rheacid\Queries\Batches\Series;
use Rheacid\Records\LedgerCheck;

/** Quantities that no electrode reads, and samples that were drawn together. */
final class OtherTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        foreach (['white-wine' => 'WW-0001', 'vegetable-ferment' => 'KR-0001', 'hard-cheese' => 'HC-0001'] as $product => $code) {
            $this->answerAll($this->brew($product, $code, '2026-11-23T10:00'), 'yes');
        }
        $this->actingAs($this->people['checker']);
    }

    public function test_a_temperature_rests_on_its_thermometer_and_is_judged_with_its_correction(): void
    {
        $this->tells('HC-0001', [
            'of' => 'temperature|chamber',
            'values' => '4,0; 4,2',
            'place' => 'piece 1',
            'stage' => 'start',
            'thermometer' => $this->thermometer()->id,
            'still' => '1',
        ])->assertSessionHasNoErrors();

        $measurement = Measurement::query()->sole();
        self::assertSame(
            [3.6, 3.8],
            $measurement->replicates->map(static fn($one): float => round($one->value, 3))->all(),
            'corrected by −0.4',
        );
        $outcome = DecisionLimit::query()->where('name', 'Critical, at the start: temperature, raw milk storage')->sole();
        self::assertSame([Conformity::Inside, 3.8], [$outcome->outcome, round($outcome->value, 3)], 'the worst portion, proven');
        $this->get("/readings/$measurement->id")
            ->assertOk()
            ->assertSee('display 4.2 °C');
        $this->get("/batches/{$this->batch('HC-0001')->id}")
            ->assertOk()
            ->assertSee('temperature, chamber, °C');
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_a_temperature_that_nobody_called_stable_proves_nothing(): void
    {
        $this->tells('HC-0001', [
            'of' => 'temperature|chamber',
            'values' => '4,0',
            'place' => 'piece 1',
            'stage' => 'start',
            'thermometer' => $this->thermometer()->id,
        ])->assertSessionHasNoErrors();

        self::assertSame(
            Conformity::Inconclusive,
            DecisionLimit::query()->where('name', 'Critical, at the start: temperature, raw milk storage')->sole()->outcome,
        );
    }

    public function test_a_value_from_elsewhere_is_kept_with_who_and_what_and_releases_nothing_that_binds(): void
    {
        $this->tells('WW-0001', [
            'of' => 'alcohol|at 20 °C',
            'values' => '12,4',
            'stage' => 'finished',
            'measured_by' => 'a laboratory in town',
            'measured_with' => 'distillation',
            'expanded_u' => '0,2',
            'certificate' => 'A-17',
        ])->assertSessionHasNoErrors();
        $this->tells('WW-0001', [
            'of' => 'titratable-acidity|8.2 per L',
            'values' => '6,2',
            'acidity_unit' => 'tartaric_g_per_l',
            'stage' => 'finished',
            'measured_by' => 'a laboratory in town',
            'measured_with' => 'titration',
        ])->assertSessionHasNoErrors();

        self::assertSame(
            ['a laboratory in town', 'distillation', 'A-17'],
            array_values(
                ExternalValue::query()
                    ->firstOrFail()
                    ->only(['measured_by', 'measured_with', 'certificate']),
            ),
        );
        $missing = array_column(ReleaseReview::of($this->batch('WW-0001'))->release->missing, 'reason', 'name');
        self::assertSame(MissingReason::NotProven, $missing['Legal, finished: alcohol, US']);
        self::assertSame(
            MissingReason::NeverJudged,
            $missing['Legal, finished: acidity, 3.5 g/L as tartaric'],
            'an acidity to 8.2 says nothing of one to 7.0',
        );
        $this->get('/readings/' . Measurement::query()->firstOrFail()->id)
            ->assertSee('a laboratory in town')
            ->assertSee('certificate A-17');
    }

    public function test_an_acidity_from_elsewhere_is_typed_and_shown_in_the_unit_of_the_trade(): void
    {
        // 24 °SH are 60 meq/L: by 90.079 g/mol of lactic and 75.04 g of tartaric acid an equivalent, 5.40 and 4.50 g/L.
        $this->tells('WW-0001', [
            'of' => 'titratable-acidity|8.2 per L',
            'values' => '24; 24,2',
            'expanded_u' => '1',
            'acidity_unit' => 'soxhlet_henkel',
            'stage' => 'finished',
            'measured_by' => 'the dairy',
            'measured_with' => 'titration',
        ])->assertSessionHasNoErrors();

        $reading = Measurement::query()->sole();
        self::assertEqualsWithDelta([4.5026, 4.5401], $reading->replicates->pluck('value')->all(), 0.0005);
        self::assertEqualsWithDelta(0.1876, $reading->replicates->firstOrFail()->expanded_u, 0.0001);
        $this->get("/readings/$reading->id")->assertSeeInOrder(['24.00', '± 1.00', 'titratable acidity, °SH', '24.00 °SH', '24.20 °SH']);
        $this->get("/batches/{$this->batch('WW-0001')->id}")->assertSeeInOrder([
            '24.00',
            '± 1.00',
            'titratable acidity (to pH 8.2, per litre), °SH',
        ]);
        $this->get('/batches')->assertSee('24.00 °SH');
        $this->get("/measure/{$this->batch('WW-0001')->id}/other?corrects=$reading->id")
            ->assertSee('24; 24.2')
            ->assertSee('value="soxhlet_henkel" selected', false);
    }

    public function test_bound_sulfite_is_told_of_one_sample_and_one_method(): void
    {
        $told = ['stage' => 'finished', 'measured_by' => 'a laboratory', 'expanded_u' => '3', 'drawn_at' => '2026-11-25T09:50'];
        $this->tells('WW-0001', [...$told, 'of' => 'free-so2|', 'values' => '28', 'so2_method' => 'iodine'])->assertSessionHasNoErrors();
        $free = Measurement::query()->sole();
        $this->get("/readings/$free->id")
            ->assertSee('iodine titration (OIV-MA-AS323-04B)')
            ->assertSee('free SO₂ of a red wine reads high')
            ->assertDontSee('mg/L bound');
        $joined = [...$told, 'of' => 'total-so2|', 'joins' => (string) $free->occasion_id];
        $this->tells('WW-0001', [...$joined, 'values' => '90', 'so2_method' => 'aspiration'])->assertSessionHasNoErrors();
        $this->get("/readings/$free->id")->assertDontSee('mg/L bound');

        $this->tells('WW-0001', [...$joined, 'values' => '92', 'expanded_u' => '4', 'so2_method' => 'iodine'])->assertSessionHasNoErrors();
        $this->get("/readings/$free->id")->assertSee('64 mg/L bound ± 5: total 92 and free 28 mg/L, both by iodine titration');

        $this->tells('WW-0001', [
            ...$told,
            'of' => 'free-so2|',
            'joins' => (string) $free->occasion_id,
            'values' => '95',
            'so2_method' => 'aspiration',
        ])->assertSessionHasNoErrors();
        $this->get('/readings/' . Measurement::query()->max('id'))
            ->assertSee('Contradiction.')
            ->assertSee('Free cannot be above total');
    }

    public function test_a_source_that_a_lead_named_proves_with_its_uncertainty_until_it_is_taken_back(): void
    {
        $told = [
            'of' => 'alcohol|at 20 °C',
            'values' => '12,4',
            'stage' => 'finished',
            'measured_by' => 'a laboratory in town',
            'measured_with' => 'distillation',
            'expanded_u' => '0,2',
        ];
        $source = ['name' => 'A laboratory in town', 'measurand' => 'alcohol', 'is_named' => '1', 'reason' => 'accredited for it'];
        $this->post('/sources', [...$source, 'form' => self::formId()])->assertForbidden();
        $this->names([...$source, 'reason' => ''])->assertSessionHasErrors('reason');
        $this->names([...$source, 'measurand' => 'ph'])->assertSessionHasErrors('measurand');
        $this->names($source)->assertSessionHasNoErrors();
        $this->get('/sources')->assertSee('accredited for it');

        $this->wait(60);
        $this->tells('WW-0001', $told)->assertSessionHasNoErrors();
        self::assertSame(Conformity::Inside, $this->alcohol());
        $this->tells('WW-0001', [...$told, 'expanded_u' => ''])->assertSessionHasNoErrors();
        self::assertSame(Conformity::Inconclusive, $this->alcohol(), 'nobody knows how far it may be off');

        $this->names([...$source, 'is_named' => '0', 'reason' => 'the accreditation has run out'])->assertSessionHasNoErrors();
        $this->wait(60);
        $this->tells('WW-0001', $told)->assertSessionHasNoErrors();
        self::assertSame(Conformity::Inconclusive, $this->alcohol());
        $this->get('/sources')->assertSee('alcohol, withdrawn');
    }

    public function test_a_hydrometer_reading_is_given_at_20_degrees_and_as_it_was_read(): void
    {
        $told = [
            'of' => 'relative-density|20/20',
            'values' => '1,048; 1,048',
            'hydrometer_c' => '26',
            'stage' => 'underway',
            'measured_by' => 'Oda',
            'measured_with' => 'hydrometer',
        ];
        $this->tells('WW-0001', [...$told, 'hydrometer_c' => '45'])->assertSessionHasErrors([
            'hydrometer_c' => 'Read a hydrometer between 10 and 30 °C. Bring the sample closer to 20 °C and read it again.',
        ]);
        $this->tells('WW-0001', [...$told, 'of' => 'alcohol|at 20 °C', 'values' => '12'])->assertSessionHasErrors('hydrometer_c');
        $this->tells('WW-0001', $told)->assertSessionHasNoErrors();

        $measurement = Measurement::query()->sole();
        self::assertEqualsWithDelta(1.0495, $measurement->replicates->firstOrFail()->value, 0.00005);
        $this->get("/readings/$measurement->id")->assertSee('hydrometer, read 1.048; 1.048 at 26 °C');
    }

    public function test_another_quantity_is_corrected_by_an_entry_with_a_reason_and_the_first_stays(): void
    {
        $told = [
            'of' => 'alcohol|at 20 °C',
            'values' => '21,4',
            'stage' => 'finished',
            'measured_by' => 'us',
            'measured_with' => 'distillation',
            'drawn_at' => '2026-11-25T09:40',
            'measured_at' => '2026-11-25T09:50',
        ];
        $this->tells('WW-0001', $told)->assertSessionHasNoErrors();
        $first = Measurement::query()->sole();
        $this->get("/readings/$first->id/correction")->assertRedirect("/measure/{$this->batch('WW-0001')->id}/other?corrects=$first->id");
        $this->get("/measure/{$this->batch('WW-0001')->id}/other?corrects=$first->id")
            ->assertOk()
            ->assertSee('value="21.4"', false)
            ->assertSee('stays on record');

        $this->tells('WW-0001', [...$told, 'values' => '12,4', 'corrects' => $first->id])->assertSessionHasErrors([
            'reason' => 'Give a reason for the correction.',
        ]);
        $this->tells('WW-0001', [
            ...$told,
            'values' => '12,4',
            'corrects' => $first->id,
            'reason' => 'digits were swapped',
        ])->assertSessionHasNoErrors();

        $second = Measurement::query()->orderByDesc('id')->firstOrFail();
        self::assertSame(
            [$first->id, $first->occasion_id, 12.4],
            [$second->supersedes_id, $second->occasion_id, $second->replicates->firstOrFail()->value],
        );
        self::assertSame(
            12.4,
            (float) DecisionLimit::query()->where('name', 'Legal, finished: alcohol, US')->orderByDesc('id')->firstOrFail()->value,
        );
        $this->get("/readings/$first->id")->assertSee('A newer entry replaces this one.');
        $this->tells('WW-0001', [...$told, 'corrects' => $first->id, 'reason' => 'again'])->assertSessionHasErrors('reason');

        $this->flushSession();
        $this->actingAs($this->people['second'])
            ->get("/measure/{$this->batch('WW-0001')->id}/other?corrects=$second->id")
            ->assertForbidden();
        $this->tells('WW-0001', [...$told, 'corrects' => $second->id, 'reason' => 'not mine'])->assertSessionHasErrors('reason');
        self::assertSame(2, Measurement::query()->count());
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_a_list_where_one_thing_is_asked_goes_back_to_its_form(): void
    {
        foreach (['of', 'values', 'unit', 'thermometer', 'stage', 'place', 'drawn_at', 'measured_by', 'hydrometer_c', 'joins'] as $field) {
            self::assertSame(302, $this->tells('WW-0001', ['of' => 'alcohol|at 20 °C', $field => [['a']]])->status(), $field);
        }
    }

    public function test_brine_and_pieces_are_one_occasion_and_agree_before_equilibrium_is_proven(): void
    {
        foreach ([[3.9, 4.3], [3.9, 3.94], [3.9, 3.93]] as $day => [$brine, $solids]) {
            $this->wait($day === 0 ? 0 : 79_200);
            $this->flushSession();
            $this->actingAs($this->people['checker']);
            $this->calibrate();
            $this->vouch();
            $first = $this->read('brine', $brine, null);
            $this->get("/readings/$first->id")->assertSee('Measure solids');
            self::assertSame(Conformity::Inconclusive, $this->outcome(), 'a place is missing');
            self::assertSame($day === 0, $this->misses('ph', Stage::Equilibrium));
            $this->wait(60);
            $second = $this->read('solids', $solids, $first->occasion_id);
            self::assertFalse($this->misses('ph', Stage::Equilibrium));
            self::assertEquals($second->observed_at, Series::readAt($this->decided($second)), 'the last portion of all places');
            self::assertSame($first->occasion_id, $second->occasion_id);
            $this->get("/readings/$second->id")->assertDontSee('Measure solids');
            self::assertSame([Conformity::Inconclusive, Conformity::Inconclusive, Conformity::Inside][$day], $this->outcome(), "day $day");
        }
    }

    public function test_for_pierced_food_a_round_bulb_stands_last_and_says_why(): void
    {
        $this->get("/measure/{$this->batch()->id}")
            ->assertOk()
            ->assertDontSee('not for this method');
        $sausage = $this->brew('fermented-sausage', 'SA-0009', '2026-11-25T09:00', 'Fermented, then kept cold');
        $this->get("/measure/$sausage->id")
            ->assertOk()
            ->assertSee('not for this method: it asks for a spear tip');
    }

    /** @return iterable<string, array{array<string, string>, string}> */
    public static function slips(): iterable
    {
        yield 'no quantity' => [['of' => 'ph|'], 'of'];
        yield 'no number' => [['values' => 'a lot'], 'values'];
        yield 'impossible' => [['values' => '180'], 'values'];
        yield 'a unit of something else' => [['unit' => 'kg'], 'unit'];
        yield 'an acidity in no unit' => [['of' => 'titratable-acidity|8.2 per L', 'values' => '7'], 'acidity_unit'];
        yield 'an acidity per kilogram for one per litre' => [
            ['of' => 'titratable-acidity|8.2 per L', 'values' => '7', 'acidity_unit' => 'lactic_g_per_kg'],
            'acidity_unit',
        ];
        yield 'an acidity in two units' => [
            ['of' => 'titratable-acidity|8.2 per L', 'values' => '7', 'acidity_unit' => 'lactic_g_per_l', 'unit' => 'mg/L'],
            'unit',
        ];
        yield 'a sugar per kilogram, which takes a density' => [['of' => 'sugar|', 'values' => '7', 'unit' => 'g/kg'], 'unit'];
        yield 'a sulfur dioxide by no method' => [['of' => 'free-so2|', 'values' => '30'], 'so2_method'];
        yield 'nobody' => [['measured_by' => ''], 'measured_by'];
        yield 'a place that is none' => [['place' => 'attic'], 'place'];
        yield 'drawn in the future' => [['drawn_at' => '2026-11-26T10:00'], 'measured_at'];
        yield 'drawn with another batch' => [['joins' => '999'], 'joins'];
        yield 'an uncertainty below nothing' => [['expanded_u' => '-1'], 'expanded_u'];
    }

    /** @param array<string, string> $typed */
    #[DataProvider('slips')]
    public function test_a_wrong_entry_is_reported_at_its_field_and_nothing_is_saved(array $typed, string $field): void
    {
        $this->tells('WW-0001', [
            'of' => 'alcohol|at 20 °C',
            'values' => '12',
            'stage' => 'finished',
            'measured_by' => 'us',
            'measured_with' => 'hydrometer',
            ...$typed,
        ])->assertSessionHasErrors($field);

        self::assertSame(0, Measurement::query()->count());
    }

    /** @param array<string, string> $source */
    private function names(array $source): TestResponse
    {
        $this->actingAs($this->people['lead']);
        $response = $this->post('/sources', [...$source, 'form' => self::formId()]);
        $this->actingAs($this->people['checker']);

        return $response;
    }

    private function alcohol(): Conformity
    {
        return DecisionLimit::query()->where('name', 'Legal, finished: alcohol, US')->orderByDesc('id')->firstOrFail()->outcome;
    }

    private function outcome(): Conformity
    {
        return DecisionLimit::query()->where('name', 'Critical, at equilibrium')->orderByDesc('id')->firstOrFail()->outcome;
    }

    private function misses(string $measurand, Stage $stage): bool
    {
        return array_filter(
            SamplingProgress::of($this->batch('KR-0001'), CarbonImmutable::now()),
            static fn(SamplingState $one): bool => $one->isMissing && [$one->line->measurand, $one->line->stage] === [$measurand, $stage],
        ) !== [];
    }

    /** Typed by the forms of the page. */
    private function read(string $place, float $ph, ?int $joins): Measurement
    {
        $batch = $this->batch('KR-0001');
        $this->post("/measure/$batch->id/drafts", [
            'pair' => $this->pair()->id,
            'thermometer' => $this->thermometer()->id,
            'stage' => Stage::Equilibrium->value,
            'place' => $place,
            'source' => 'typed',
            'joins' => $joins ?? '',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $draft = MeasurementDraft::query()->orderByDesc('id')->firstOrFail();
        foreach ([1, 2] as $portion) {
            $this->post("/drafts/$draft->id/replicates", [
                'mv' => (string) $this->shown($ph),
                'celsius' => '21.4',
                'watched_s' => '60',
                'form' => self::formId(),
            ])->assertSessionHasNoErrors();
        }
        $this->post("/drafts/$draft->id/reading", ['form' => self::formId()])->assertSessionHasNoErrors();

        return Measurement::query()->orderByDesc('id')->firstOrFail();
    }

    /** @param array<string, mixed> $typed */
    private function tells(string $code, array $typed): TestResponse
    {
        $batch = $this->batch($code);

        return $this->post("/measure/$batch->id/other", [
            'place' => $batch->product->method->places[0],
            'form' => self::formId(),
            ...$typed,
        ]);
    }
}
