<?php

declare(strict_types=1);

namespace Tests\Browser;

use Carbon\CarbonImmutable;
use Facebook\WebDriver\WebDriverKeys;
use Illuminate\Support\Facades\DB;
use Rheacid\Actions\Calibrate\AcceptPoint;
use Rheacid\Actions\Measure\AcceptReplicate;
use Rheacid\Actions\Measure\BeginMeasuring;
use Rheacid\Actions\Measure\RecordMeasurement;
use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measuring\Source;
use Rheacid\Models\Batch;
use Rheacid\Models\Decision;
use Rheacid\Models\Measurement;
use Rheacid\Models\Product;
use Rheacid\Models\Replicate;
use Rheacid\Models\RoundStop;
use Rheacid\Queries\Measure\DrawnSample;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Site\SiteClock;

/**
 * Every kind of sample at the bench: a round of vats, a day on paper, wine by both schools, beer with its gas, brine and pieces, sausage,
 * rice.
 */
final class MeasureTest extends BrowserTestCase
{
    private CarbonImmutable $now;

    /** The bench was furnished some days ago, so that something can have happened since. */
    protected function clock(): string
    {
        $this->now = CarbonImmutable::now()->startOfSecond();

        return $this->now->subDays(4)->toIso8601String();
    }

    public function test_a_round_of_six_vats_takes_enter_and_numbers_alone(): void
    {
        foreach (['CS-0501' => 'vat 5', 'CS-0502' => 'vat 6', 'CS-0503' => 'vat 11'] as $code => $vessel) {
            $this->actingAs($this->people['checker'])
                ->post('/batches', [
                    'product' => $this->batch()->product_id,
                    'code' => $code,
                    'vessel' => $vessel,
                    'size' => '90 kg',
                    'form' => self::formId(),
                ])
                ->assertSessionHasNoErrors();
        }
        $this->nowAtTheBench();
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens('/rounds/new')
            ->sees('Due now')
            ->chooses('pair', (string) $this->pair()->id)
            ->chooses('thermometer', (string) $this->thermometer()->id)
            ->leavesFields()
            ->presses(WebDriverKeys::ENTER)
            ->sees('Round · 1 of 6');

        $found = ['vat 1' => 4.2, 'vat 2' => 5.9, 'vat 4' => 4.3, 'vat 5' => 5.5, 'vat 6' => 5.4, 'vat 11' => 5.3];
        foreach (array_keys($found) as $i => $vessel) {
            $oda->sees($vessel)->sees(sprintf('Round · %d of 6', $i + 1));
            foreach ([(string) $this->shown($found[$vessel]), (string) $this->shown($found[$vessel] + 0.01), '21,4'] as $number) {
                $oda->types($number)->presses(WebDriverKeys::ENTER);
            }
        }
        $oda->sees('results')->sees('Vat 2: ');

        self::assertSame(0, $oda->touches, 'beyond the numbers, each ended by Enter, nothing was touched');
        self::assertSame(6, Measurement::query()->count());
    }

    public function test_cups_drawn_first_are_read_by_codes_and_named_at_the_end(): void
    {
        $this->nowAtTheBench();
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens('/rounds/new')
            ->chooses('pair', (string) $this->pair()->id)
            ->chooses('thermometer', (string) $this->thermometer()->id)
            ->taps('At the bench: draw all cups first')
            ->leavesFields()
            ->presses(WebDriverKeys::ENTER)
            ->sees('Draw 3 cups.')
            ->sees('vat 2 · CS-0417');
        $oda->leavesFields()->presses(WebDriverKeys::ENTER);
        $codes = RoundStop::query()->orderBy('position')->pluck('cup_code');
        foreach ($codes as $i => $code) {
            $oda->sees("Cup $code")->sees(sprintf('Round · %d of 3', $i + 1));
            self::assertStringNotContainsString('CS-0417', $oda->page());
            foreach ([(string) $this->shown(4.2), (string) $this->shown(4.21), '21,4'] as $number) {
                $oda->types($number)->presses(WebDriverKeys::ENTER);
            }
        }

        $oda->sees('Round · results')
            ->sees('vat 2 · CS-0417')
            ->sees("cup {$codes[0]}");
    }

    public function test_a_day_on_paper_is_entered_together_with_its_own_times(): void
    {
        CarbonImmutable::setTestNow($this->now->subHours(7));
        $this->calibrate();
        $this->vouch();
        CarbonImmutable::setTestNow();
        $lines = array_map(
            fn(int $i): string => sprintf(
                '%s; %s; %s; 21,4',
                SiteClock::local($this->now->subMinutes(400 - 30 * $i))->format('Y-m-d H:i'),
                $this->shown(4.7 - 0.02 * $i),
                $this->shown(4.71 - 0.02 * $i),
            ),
            range(0, 9),
        );
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/measure/{$this->batch()->id}")
            ->taps('Readings from paper')
            ->chooses('pair', (string) $this->pair()->id)
            ->chooses('thermometer', (string) $this->thermometer()->id);

        $oda->fills('Readings', implode("\n", $lines))
            ->taps('Each was stable')
            ->taps('Record readings')
            ->sees('10 readings recorded, marked as entered late.');

        self::assertSame(10, Measurement::query()->count());
    }

    public function test_a_wine_at_3_30_by_7_and_4_is_extrapolated_and_by_7_and_3_it_is_not(): void
    {
        $wine = $this->begun('white-wine', 'WW-0001');
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE)->opens('/ready/add/bottle');
        $oda->fills('Lot number', 'W-03')
            ->fills('Label', 'pH 3.00')
            ->chooses('kind', 'buffer')
            ->chooses('buffer', 'technical-3.00')
            ->fills('Printed expiry', $this->now->addYear()->toDateString())
            ->taps('Add ')
            ->sees('W-03');

        foreach ([['Q-31', true], ['W-03', false]] as [$acid, $isOutside]) {
            $this->calibrateOn(['Q-29', $acid]);
            $oda->opens("/measure/$wine->id")
                ->chooses('pair', (string) $this->pair()->id)
                ->chooses('thermometer', (string) $this->thermometer()->id)
                ->chooses('stage', 'finished')
                ->taps('typed from a real meter')
                ->taps('Start measuring');
            $this->typesPortions($oda, 3.3)->taps('Record reading on WW-0001')->sees('Recorded on WW-0001.');
            self::assertSame($isOutside, str_contains($oda->page(), '0.70 outside the buffers'), $acid);
        }
        [$by4, $by3] = Decision::query()->orderBy('id')->pluck('expanded_u')->all();
        self::assertGreaterThan((float) $by3, (float) $by4, 'what is extrapolated is known less well');
    }

    public function test_beer_is_poured_until_two_readings_in_a_row_agree(): void
    {
        $beer = $this->begun('beer-ale', 'AL-0001');
        DB::table('bench_cups')
            ->where('batch_id', $beer->id)
            ->update(['ph' => 4.1]);
        $this->nowAtTheBench();
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/measure/$beer->id")
            ->chooses('pair', (string) $this->pair()->id)
            ->chooses('thermometer', (string) $this->thermometer()->id)
            ->taps('from the simulated bench')
            ->taps('Start measuring')
            ->sees('Portion 1, degassed')
            ->chooses('speed', '60');

        $isGone = static fn(): bool => str_contains($oda->page(), 'Not needed');
        for ($portion = 1; $portion <= 5 && !$isGone(); $portion++) {
            $portion === 1
                ? $oda->taps('sample of AL-0001')
                : $oda->taps('Pour ')->sees($portion === 2 ? 'poured once' : 'poured ' . ($portion - 1) . ' times');
            $oda->seesAcceptAwake()
                ->taps("Accept portion $portion")
                ->waitsUntil(
                    static fn(): bool => str_contains($oda->page(), 'Not needed')
                        || str_contains($oda->page(), 'Portion ' . ($portion + 1)),
                    'the portion to be kept',
                );
        }
        $oda->sees('Not needed: the last two agree within 0.02')->taps('Record reading on AL-0001')->sees('Recorded on AL-0001.');

        $read = Replicate::query()->orderBy('position')->pluck('value')->map(static fn(mixed $value): float => (float) $value)->all();
        self::assertGreaterThan(2, count($read), 'the first was read with its gas');
        self::assertLessThan(0.02, abs($read[count($read) - 1] - $read[count($read) - 2]));
        self::assertGreaterThan($read[0] + 0.04, $read[count($read) - 1]);
    }

    public function test_brine_and_pieces_that_disagreed_agree_the_next_day_and_the_day_after_they_prove(): void
    {
        $kraut = $this->begun('vegetable-ferment', 'KR-0001');
        foreach ([[50, 3.9, 4.3], [25, 3.9, 3.94]] as [$hoursAgo, $brine, $solids]) {
            CarbonImmutable::setTestNow($this->now->subHours($hoursAgo));
            $this->calibrate();
            $this->vouch();
            $first = $this->drawn('KR-0001', 'brine', $brine, null);
            $this->drawn('KR-0001', 'solids', $solids, $first);
        }
        CarbonImmutable::setTestNow();
        $this->nowAtTheBench();

        $oda = $this->atTheBench(390, 844)
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/measure/$kraut->id")
            ->chooses('stage', 'equilibrium')
            ->chooses('place', 'brine')
            ->chooses('pair', (string) $this->pair()->id)
            ->chooses('thermometer', (string) $this->thermometer()->id)
            ->taps('typed from a real meter')
            ->taps('Start measuring');
        $this->typesPortions($oda, 3.9)
            ->taps('Record reading on KR-0001')
            ->sees('Measure solids')
            ->taps('Measure solids')
            ->taps('typed from a real meter')
            ->taps('Start measuring');
        $this->typesPortions($oda, 3.93)->taps('Record reading on KR-0001')->sees('Critical limit met. Critical, at equilibrium');
        self::assertStringNotContainsString('Equilibrium is not proven', $oda->page());
    }

    public function test_a_sausage_is_read_in_three_places_and_the_highest_counts(): void
    {
        $this->begun('fermented-sausage', 'SA-0001');
        $this->calibrate(electrode: 'E-09');
        $this->vouch(electrode: 'E-09');
        $sausage = $this->batch('SA-0001');
        CarbonImmutable::setTestNow();
        $this->calibrate(electrode: 'E-09');
        $this->vouch(electrode: 'E-09');
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/measure/$sausage->id")
            ->taps('· change')
            ->sees('it asks for a spear tip')
            ->chooses('thermometer', (string) $this->thermometer()->id)
            ->chooses('stage', 'finished');
        foreach ([['piece 1', 4.9], ['piece 2', 5.12], ['piece 3', 4.95]] as $i => [$piece, $ph]) {
            $oda->chooses('place', $piece)
                ->chooses('pair', (string) $this->pair('E-09')->id)
                ->taps('typed from a real meter')
                ->taps('Pilot hole made')
                ->taps('Start measuring');
            $this->typesPortions($oda, $ph)->taps('Record reading on SA-0001')->sees('Recorded on SA-0001.');
            if ($i < 2) {
                $oda->taps('Measure piece ' . ($i + 2))->sees('Start measuring');
            }
        }

        $decision = Decision::query()->orderByDesc('id')->firstOrFail();
        self::assertEqualsWithDelta(5.12, $decision->value, 0.01);
        self::assertSame(1, Measurement::query()->distinct()->count('occasion_id'));
    }

    public function test_rice_is_stirred_into_water_before_it_is_read(): void
    {
        $rice = $this->begun('acidified-rice', 'RI-0001');
        $this->nowAtTheBench();
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/measure/$rice->id")
            ->sees('Start measuring')
            ->chooses('pair', (string) $this->pair()->id)
            ->chooses('thermometer', (string) $this->thermometer()->id)
            ->taps('from the simulated bench')
            ->taps('Start measuring')
            ->sees('Portion 1')
            ->chooses('speed', '60');
        $oda->taps('sample of RI-0001')
            ->sees('still')
            ->taps('Stir into water')
            ->sees('Stirred into water')
            ->seesAcceptAwake()
            ->taps('Accept portion 1')
            ->sees('Portion 2');

        self::assertTrue(Replicate::query()->sole()->settled);
    }

    private function nowAtTheBench(): void
    {
        CarbonImmutable::setTestNow();
        $this->calibrate();
        $this->vouch();
    }

    /** @param list<string> $lots */
    private function calibrateOn(array $lots): void
    {
        CarbonImmutable::setTestNow();
        $run = $this->openRun([$lots[0], $lots[1]]);
        $accept = app(AcceptPoint::class);
        foreach ([$lots[0], $lots[1], $lots[0]] as $station => $code) {
            $accept(
                $this->people['checker'],
                IdempotencyKey::own(),
                $run->refresh(),
                $station,
                $this->typed($this->shown($this->lot($code)->buffer()->phAt(21))),
                self::answers('typed by a test'),
            );
        }
        $this->vouch();
    }

    private function begun(string $product, string $code): Batch
    {
        $this->actingAs($this->people['lead'])
            ->post("/products/library/$product", ['form' => self::formId()])
            ->assertSessionHasNoErrors();
        $taken = Product::query()->where('code', $product)->sole();
        $this->post('/batches', [
            'product' => $taken->id,
            'code' => $code,
            'vessel' => 'tank 1',
            'size' => '600 L',
            'route' => $taken->routeNames()[0] ?? null,
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        foreach ($this->batch($code)->load(Batch::JUDGED)->asks() as $condition) {
            $this->post("/batches/{$this->batch($code)->id}/answers", [
                'condition' => $condition,
                'answer' => 'yes',
                'form' => self::formId(),
            ])->assertSessionHasNoErrors();
        }
        CarbonImmutable::setTestNow();

        return $this->batch($code);
    }

    private function typesPortions(Person $oda, float $ph): Person
    {
        foreach ([1, 2] as $portion) {
            $oda->sees("Portion $portion")
                ->fills('Potential', (string) $this->shown($ph))
                ->fills('Temperature', '21,4')
                ->watches()
                ->taps("Accept portion $portion");
        }

        return $oda->sees('Not needed');
    }

    private function drawn(string $code, string $place, float $ph, ?Measurement $with): Measurement
    {
        $draft = (new BeginMeasuring())(
            $this->people['checker'],
            IdempotencyKey::own(),
            $this->batch($code),
            $this->pair(),
            $this->thermometer(),
            new DrawnSample(Stage::Equilibrium, $place, CarbonImmutable::now(), $with?->occasion),
            [],
            Source::Typed,
        );
        foreach ([1, 2] as $portion) {
            (new AcceptReplicate())($this->people['checker'], IdempotencyKey::own(), $draft, $this->typed($this->shown($ph), 21.4), null);
        }

        return app(RecordMeasurement::class)($this->people['checker'], IdempotencyKey::own(), $draft);
    }
}
