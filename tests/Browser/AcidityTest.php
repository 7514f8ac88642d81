<?php

declare(strict_types=1);

namespace Tests\Browser;

use Carbon\CarbonImmutable;
use Facebook\WebDriver\WebDriverKeys;
use Rheacid\Actions\Calibrate\AcceptPoint;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Simulation\AcidSolution;
use Rheacid\Models\Addition;
use Rheacid\Models\Batch;
use Rheacid\Models\DecisionLimit;
use Rheacid\Models\Measurement;
use Rheacid\Models\Product;
use Rheacid\Models\Titration;
use Rheacid\Records\IdempotencyKey;

/**
 * Wine and brine at the bench: a titration by both schools, a dose that is planned and measured again, parts that have to agree, a 4.55
 * that is proven.
 */
final class AcidityTest extends BrowserTestCase
{
    public function test_a_wine_is_titrated_and_a_legal_minimum_to_7_takes_nothing_from_8_2(): void
    {
        $wine = $this->begun('white-wine', 'WW-0001');
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/lots/{$this->lot('S-01')->id}")
            ->sees('Not standardised yet');
        $oda->fills('Potassium hydrogen phthalate in g, titrant in mL', "0,5106; 25,00\n0,5104; 25,00\n0,5105; 25,00")
            ->taps('Record strength')
            ->sees('0.1000 N');
        $this->calibrateTo10();

        $solution = new AcidSolution(['tartaric' => 0.018, 'malic' => 0.01, 'citric' => 0.006], 0.014);
        foreach (['8.2' => 'not judged yet', '7.0' => ''] as $endpoint => $missing) {
            $oda->opens("/measure/$wine->id")
                ->taps('Titrate')
                ->sees('Two endpoints, two quantities')
                ->chooses('endpoint', (string) $endpoint)
                ->chooses('stage', 'finished')
                ->chooses('pair', (string) $this->pair()->id)
                ->fills('Sample, °C', '21,5');
            foreach ([0, 1] as $portion) {
                $oda->browser->executeScript(
                    'document.querySelector(arguments[0]).value = arguments[1]; document.querySelector(arguments[2]).value = "10"',
                    ["[name=\"portions[$portion][curve]\"]", $this->curve($solution), "[name=\"portions[$portion][sample]\"]"],
                );
            }
            $oda->taps('Record titration')->sees('Recorded on WW-0001.')->sees('meq');
            $oda->opens("/batches/$wine->id")->sees('Release checks');
            self::assertSame(
                $missing !== '',
                str_contains($oda->page(), 'Legal, finished: acidity, 3.5 g/L as tartaric: not judged yet'),
                "after $endpoint",
            );
        }
        self::assertSame(
            Conformity::Inside,
            DecisionLimit::query()->where('name', 'Legal, finished: acidity, 3.5 g/L as tartaric')->sole()->outcome,
        );
    }

    public function test_a_whey_is_limited_titrated_and_judged_in_soxhlet_henkel(): void
    {
        $product = $this->begun('yogurt', 'YO-0001')->product;
        $lead = $this->atTheBench()
            ->signsIn('sela', self::PASSPHRASE)
            ->opens("/products/$product->id/change")
            ->fills('What changed and why', 'the dairy speaks °SH');
        $lead->browser->executeScript(
            <<<'JS'
            const set = (name, value) => { document.querySelector(`[name="limits[new1][${name}]"]`).value = value; };
            const limit = { name: 'Whey', kind: 'operating', measurand: 'titratable-acidity|by-eye per L', op: 'between', low: '2,5' };
            Object.entries({ ...limit, high: '4', unit: 'soxhlet_henkel', applies: 'always', since: 'start' })
                .forEach(([name, value]) => set(name, value));
            JS
            ,
        );
        $lead->taps('Save as version')->sees('2.5–4 °SH');
        $this->actingAs($this->people['checker']);
        $newest = Product::query()->where('code', $product->code)->orderByDesc('id')->firstOrFail();
        $this->post('/batches', [
            'product' => $newest->id,
            'code' => 'WH-0001',
            'vessel' => 'vat 2',
            'size' => '80 L',
            'route' => $newest->routeNames()[0] ?? null,
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();

        $oda = $this->atTheBench(390, 844)
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/lots/{$this->lot('S-01')->id}")
            ->fills('Potassium hydrogen phthalate in g, titrant in mL', "0,5106; 25,00\n0,5104; 25,00\n0,5105; 25,00")
            ->taps('Record strength')
            ->sees('0.1000 N');
        $oda->opens("/measure/{$this->batch('WH-0001')->id}/titration")
            ->chooses('endpoint', 'by-eye')
            ->chooses('pair', '');
        self::assertSame(
            'soxhlet_henkel',
            $oda->browser->executeScript('return document.querySelector("[name=unit]").value'),
            'the unit of the limit stands first',
        );
        // 20 mL and 1.6 mL of 0.1 N: 8 meq/L, which is 3.2 °SH.
        foreach ([0, 1] as $portion) {
            $oda->browser->executeScript(
                'document.querySelector(arguments[0]).value = "1,60"; document.querySelector(arguments[1]).value = "20"',
                ["[name=\"portions[$portion][curve]\"]", "[name=\"portions[$portion][sample]\"]"],
            );
        }
        $oda->taps('Record titration')->sees('Recorded on WH-0001.')->sees('3.20')->sees('°SH')->sees('°SH to spare')->sees('8.0 meq/L');
        self::assertFalse($oda->scrollsSideways());
        self::assertSame(['soxhlet_henkel', null], [Titration::query()->sole()->unit, Titration::query()->sole()->acid]);
        self::assertSame(Conformity::Inside, DecisionLimit::query()->where('name', 'Whey')->sole()->outcome);
    }

    public function test_a_dose_from_a_bench_trial_is_planned_added_and_measured_again_by_keyboard_alone(): void
    {
        $wine = $this->begun('white-wine', 'WW-0001');
        $this->calibrate();
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/calculators/bench-trial?batch=$wine->id")
            ->sees('Grey values are examples');
        $oda->tabsTo('Substance')
            ->types('tartaric acid, 10 %')
            ->tabsTo('Dose and reading')
            ->types("0; 3,80\n1; 3,60\n2; 3,45")
            ->tabsTo('Value wanted')
            ->types('3,5')
            ->tabsTo('Volume of a portion')
            ->types('100')
            ->tabsTo('Batch, L')
            ->types('600')
            ->presses(WebDriverKeys::ENTER);
        $oda->sees('9.779 L')->tabsTo('Plan addition: 9779 mL to WW-0001')->presses(WebDriverKeys::ENTER)->sees('Addition planned.');
        $oda->tabsTo('Record as added')->presses(WebDriverKeys::ENTER)->sees('Measure again after mixing')->sees('not measured since then');

        CarbonImmutable::setTestNow(CarbonImmutable::now()->addSecond());
        sleep(1);
        $this->measure([3.5, 3.5], batch: 'WW-0001');
        CarbonImmutable::setTestNow();
        $oda->opens("/batches/$wine->id")->sees('measured again');
        self::assertSame([Addition::PLANNED, Addition::DONE], Addition::query()->orderBy('id')->pluck('state')->all());
    }

    public function test_brine_and_pieces_are_read_in_turn_on_a_telephone(): void
    {
        $kraut = $this->begun('vegetable-ferment', 'KR-0001');
        $this->calibrate();
        $this->vouch();
        $oda = $this->atTheBench(390, 844)
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/measure/$kraut->id")
            ->chooses('stage', 'equilibrium')
            ->chooses('pair', (string) $this->pair()->id)
            ->chooses('thermometer', (string) $this->thermometer()->id)
            ->taps('typed from a real meter')
            ->taps('Start measuring');
        $this->types($oda, 3.9)
            ->taps('Record reading on KR-0001')
            ->sees('The method requires a place that was not measured.')
            ->taps('Measure solids')
            ->taps('typed from a real meter')
            ->taps('Start measuring');
        $this->types($oda, 4.3)
            ->taps('Record reading on KR-0001')
            ->sees('Equilibrium is not proven: the parts have to agree within 0.1 pH');

        self::assertSame(1, Measurement::query()->distinct()->count('occasion_id'), 'drawn together');
        self::assertFalse($oda->scrollsSideways());
    }

    public function test_a_reading_of_4_55_names_what_would_prove_it(): void
    {
        $batch = $this->batch();
        $this->calibrate();
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/measure/$batch->id")
            ->chooses('pair', (string) $this->pair()->id)
            ->chooses('thermometer', (string) $this->thermometer()->id)
            ->chooses('stage', 'equilibrium')
            ->taps('typed from a real meter')
            ->taps('Start measuring');

        $this->types($oda, 4.53)->sees('How to prove it.');
        self::assertStringContainsString('A check buffer within 0.03: at most ± 0.07, which proves 4.53.', $oda->page());
    }

    private function types(Person $oda, float $ph): Person
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

        return $this->batch($code);
    }

    private function calibrateTo10(): void
    {
        $run = $this->openRun(['Q-29', 'Q-35']);
        $accept = app(AcceptPoint::class);
        foreach (['Q-29', 'Q-35', 'Q-29'] as $station => $code) {
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

    private function curve(AcidSolution $solution): string
    {
        $lines = [];
        for ($ml = 0.0; $ml < 7.5; $ml = round($ml + ($ml >= 5.5 ? 0.02 : 0.5), 2)) {
            $lines[] = sprintf('%.2f; %.2f', $ml, $solution->titrated(10.0, $ml, 0.1));
        }

        return implode("\n", $lines);
    }
}
