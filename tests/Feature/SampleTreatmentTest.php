<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use Rheacid\Actions\Calibrate\ReadControlCheck;
use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Actions\Measure\RecordMeasurement;
use Rheacid\Models\Batch;
use Rheacid\Models\Decision;
use Rheacid\Models\MeasurementDraft;
use Rheacid\Models\Method;
use Rheacid\Models\Replicate;
use Rheacid\Models\Sample;
use Rheacid\Models\SessionMoment;
use Rheacid\Records\IdempotencyKey;

/** What a method asks of the electrode, and what is done to a sample before it is read. */
final class SampleTreatmentTest extends BenchTestCase
{
    public function test_a_sealed_gel_electrode_is_not_pushed_into_a_sausage_and_where_a_lead_allows_it_it_proves_nothing(): void
    {
        $sausage = $this->brew('fermented-sausage', 'SA-0009', '2026-11-25T09:00', 'Fermented, then kept cold');
        $this->calibrate(electrode: 'E-05');
        $this->begins($sausage, 'E-05', ['pilot_hole' => '1'])->assertSessionHasErrors('pair');
        self::assertStringContainsString('This method asks for a spear tip; E-05 is sealed gel.', session('errors')->first('pair'));
        self::assertSame(0, MeasurementDraft::query()->count());

        $method = $sausage->product->method;
        $form = [
            ...self::form($method),
            'changed_because' => 'the spear is at the maker',
            'other_electrodes' => '1',
            'form' => self::formId(),
        ];
        $this->actingAs($this->people['lead'])
            ->post("/methods/$method->id", $form)
            ->assertSessionHasNoErrors();
        DB::connection('owner')
            ->table('products')
            ->where('id', $sausage->product_id)
            ->update(['method_id' => Method::query()->orderByDesc('id')->firstOrFail()->id]);

        $this->actingAs($this->people['checker']);
        $this->begins($sausage->refresh(), 'E-05', ['pilot_hole' => '1'])->assertSessionHasNoErrors();
        $decision = $this->reads(5.0);
        self::assertContains('electrode-unsuited', $decision->blocks);
        self::assertFalse($decision->trusted);
        $this->get("/batches/$sausage->id")->assertOk();
    }

    public function test_a_spear_goes_into_a_pilot_hole_or_nowhere(): void
    {
        $this->sharpen();
        $sausage = $this->brew('fermented-sausage', 'SA-0009', '2026-11-25T09:00', 'Fermented, then kept cold');
        $this->calibrate();
        $this->get("/measure/$sausage->id")->assertSee('Pilot hole made with a clean skewer');
        $this->begins($sausage, 'E-07')->assertSessionHasErrors([
            'pilot_hole'
                => 'Make a pilot hole with a clean skewer first, and tick it: the tip of a spear is fragile, and glass in food is a '
                    . 'hazard.',
        ]);
        $this->begins($sausage, 'E-07', ['pilot_hole' => '1'])->assertSessionHasNoErrors();

        self::assertSame(1, (int) Sample::query()->sole()->pilot_hole);
        $this->get("/measure/{$this->batch()->id}")->assertDontSee('Pilot hole');
    }

    public function test_water_in_a_sample_is_asked_kept_shown_and_counted(): void
    {
        $rice = $this->brew('acidified-rice', 'RI-0001', '2026-11-25T09:00');
        $this->calibrate();
        $this->vouch();
        $this->get("/measure/$rice->id")
            ->assertSee('Parts of water to one part of the sample')
            ->assertSee('the method names 1 + 3');
        $this->begins($rice, 'E-07', ['dilution_parts' => 'plenty'])->assertSessionHasErrors([
            'dilution_parts' => 'Type the parts of water to one part of the sample, like 1 or 0.2; 0 if none was added.',
        ]);

        $widths = [];
        foreach (['0' => null, '0,2' => '1 + 0.2 water', '' => '1 + 3 water', '12' => '1 + 12 water'] as $typed => $shown) {
            $this->begins($rice, 'E-07', ['dilution_parts' => (string) $typed])->assertSessionHasNoErrors();
            $decision = $this->reads(4.0);
            $page = $this->get('/readings/' . $decision->occasion->measurements()->firstOrFail()->id)->assertOk();
            $shown === null ? $page->assertDontSee(' water</small>', false) : $page->assertSee($shown);
            $widths[] = $decision->expanded_u;
            self::assertSame(
                (string) $typed === '12' ? ['dilution-unknown'] : [],
                array_values(array_diff($decision->blocks, ['place-missing'])),
                "$typed parts",
            );
        }
        self::assertSame(
            [0.0, 0.2, 3.0, 12.0],
            Replicate::query()
                ->orderBy('id')
                ->get()
                ->map(static fn(Replicate $one): ?float => $one->dilution_parts)
                ->unique()
                ->values()
                ->all(),
        );
        self::assertTrue($widths[0] < $widths[1] && $widths[1] < $widths[2], json_encode($widths, JSON_THROW_ON_ERROR));
        self::assertNull($widths[3], 'no bound, no uncertainty');
    }

    public function test_a_trial_on_the_sites_own_food_gives_its_bound_and_steps_say_what_the_fields_say(): void
    {
        $this->actingAs($this->people['lead'])
            ->post('/methods/standard/slurry', ['form' => self::formId()])
            ->assertSessionHasNoErrors();
        $method = Method::query()->where('code', 'slurry')->sole();
        $form = [
            ...self::form($method),
            'changed_because' => 'tried out',
            'dilution_parts' => '1',
        ];
        $sends = fn(array $more): TestResponse => $this->post("/methods/$method->id", [...$form, ...$more, 'form' => self::formId()]);
        $sends(['dilution_trial' => "4,31; 4,36\n4,40; 4,44"])->assertSessionHasErrors([
            'dilution_trial' => 'Type at least 3 samples, one per line: pH undiluted; pH diluted, like 4.31; 4.36.',
        ]);
        $sends(['dilution_trial' => "4,31; 4,36\n4,40; 4,44\nabout 4"])->assertSessionHasErrors('dilution_trial');
        $sends(['steps' => "Weigh 100 g.\nBlend 1 + 3 with water."])->assertSessionHasErrors([
            'steps' => 'The steps name 1 + 3, but the method names 1 + 1. Make both say the same.',
        ]);
        $sends(['dilution_trial' => "4,31; 4,36\n4,40; 4,44\n4,50; 4,52"])->assertSessionHasNoErrors();

        $newest = Method::query()->where('code', 'slurry')->orderByDesc('id')->firstOrFail();
        self::assertEqualsWithDelta(0.05, $newest->dilution_bound_ph, 1e-9);
        $this->get("/methods/$newest->id")->assertSee('1 + 1: at most 0.05 pH, from 3 samples read both ways');
    }

    public function test_a_method_for_very_salty_brine_says_how_far_that_may_shift_and_beyond_what_is_known_proves_nothing(): void
    {
        $this->calibrate();
        $this->vouch();
        $method = $this->batch()->product->method;
        $form = [
            ...$method->only([
                'name',
                'dilution',
                'why',
                'portions',
                'agree_within_ph',
                'matrix_bound_ph',
                'low_c',
                'high_c',
                'settle_window_s',
            ]),
            'matrix' => $method->matrix?->value,
            'steps' => implode("\n", $method->steps),
            'places' => implode("\n", $method->places),
            'dilution_parts' => (string) $method->dilution_parts,
            'changed_because' => 'salted for a year',
        ];
        $sends = fn(array $more): TestResponse => $this->actingAs($this->people['lead'])->post(
            '/methods/' . Method::query()->where('code', $method->code)->max('id'),
            [...$form, ...$more, 'form' => self::formId()],
        );
        $sends(['salt_percent' => 'a lot'])->assertSessionHasErrors('salt_percent');
        $sends(['shift_trial' => '6.8; 6.9'])->assertSessionHasErrors([
            'shift_trial' => 'Type at least 3 samples, one per line: pH without; pH with potassium chloride, like 4.31; 4.36.',
        ]);

        $widths = [];
        foreach (
            [
                '12' => 'up to 12 % of salt: at most 0.1 pH',
                '25' => 'up to 25 % of salt: unknown, so a reading proves nothing',
            ] as $salt => $shown
        ) {
            $sends(['salt_percent' => (string) $salt])->assertSessionHasNoErrors();
            $newest = Method::query()->where('code', $method->code)->orderByDesc('id')->firstOrFail();
            $this->get("/methods/$newest->id")->assertSee($shown);
            DB::connection('owner')
                ->table('products')
                ->where('id', $this->batch()->product_id)
                ->update(['method_id' => $newest->id]);
            $this->begins($this->batch(), 'E-07', ['place' => 'blend'])->assertSessionHasNoErrors();
            $decision = $this->reads(4.0);
            $widths[] = $decision->expanded_u;
            self::assertSame(
                (string) $salt === '25' ? ['matrix-unknown'] : [],
                array_values(array_diff($decision->blocks, ['place-missing'])),
            );
        }
        self::assertSame([true, null], [$widths[0] > 0.1, $widths[1]]);
    }

    public function test_after_an_alkaline_buffer_the_rinse_is_confirmed_before_food_is_read(): void
    {
        $this->calibrate();
        $batch = $this->batch();
        $alkaline = $this->lot('Q-35');
        app(ReadControlCheck::class)(
            $this->people['checker'],
            IdempotencyKey::own(),
            $this->pair(),
            $alkaline,
            SessionMoment::Start,
            $this->typed($this->shown($alkaline->buffer()->phAt(21))),
            null,
        );

        $this->begins($batch, 'E-07')->assertSessionHasErrors('rinsed');
        $this->get("/measure/$batch->id")
            ->assertSee('Rinsed with water, then with a little of the sample')
            ->assertSee('The electrode was last in a buffer of pH 10.0');
        $this->begins($batch, 'E-07', ['rinsed' => '1'])->assertSessionHasNoErrors();
        self::assertSame(1, (int) Sample::query()->sole()->rinsed);
        $this->wait(60);
        $this->reads(4.0);

        $this->get("/measure/$batch->id")->assertDontSee('Rinsed with water');
        $this->begins($batch, 'E-07')->assertSessionHasNoErrors();
    }

    /** @param array<string, string> $more */
    private function begins(Batch $batch, string $electrode, array $more = []): TestResponse
    {
        MeasurementDraft::query()
            ->where('state', 'open')
            ->update(['state' => 'left', 'open_pair_id' => null]);

        return $this->actingAs($this->people['checker'])
            ->from("/measure/$batch->id")
            ->post("/measure/$batch->id/drafts", [
                'pair' => $this->pair($electrode)->id,
                'thermometer' => $this->thermometer()->id,
                'stage' => 'underway',
                'place' => $batch->product->method->places[0],
                'source' => 'typed',
                ...$more,
                'form' => self::formId(),
            ]);
    }

    private function reads(float $ph): Decision
    {
        $draft = MeasurementDraft::query()->orderByDesc('id')->firstOrFail();
        foreach ([1, 2] as $portion) {
            (new AcceptReplicate())($this->people['checker'], IdempotencyKey::own(), $draft, $this->typed($this->shown($ph), 21.4), null);
        }

        return $this->decided(app(RecordMeasurement::class)($this->people['checker'], IdempotencyKey::own(), $draft));
    }

    /** @return array<string, mixed> a method as its form would send it */
    private static function form(Method $method): array
    {
        return [
            ...$method->only([
                'name',
                'dilution',
                'why',
                'portions',
                'agree_within_ph',
                'matrix_bound_ph',
                'low_c',
                'high_c',
                'settle_window_s',
            ]),
            'matrix' => $method->matrix->value,
            'steps' => implode("\n", $method->steps),
            'places' => implode("\n", $method->places),
            'needed_places' => implode("\n", $method->neededPlaces()),
        ];
    }
}
