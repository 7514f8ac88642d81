<?php

declare(strict_types=1);

namespace Tests\Browser;

use Carbon\CarbonImmutable;
use Facebook\WebDriver\Remote\LocalFileDetector;
use Facebook\WebDriver\WebDriverBy;
use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Limits\Stage;
use Rheacid\Models\Batch;
use Rheacid\Models\Product;
use Rheacid\Queries\Batches\BatchHistory;
use Rheacid\Site\SiteClock;

/**
 * Whole lives of batches, as two people see them. What was read on the days before is recorded by the application's own actions at its own
 * time.
 */
final class BatchJourneyTest extends BrowserTestCase
{
    private const DAYS = 6;

    private CarbonImmutable $now;

    /** The bench was furnished some days ago, so that something can have happened since. */
    protected function clock(): string
    {
        $this->now = CarbonImmutable::now()->startOfSecond();

        return $this->now->subDays(self::DAYS)->toIso8601String();
    }

    /**
     * @return iterable<string, array{float, int, list<string>, BatchState}> °C of the chamber, hours of the record, what is seen, what
     *     becomes of it
     */
    public static function chambers(): iterable
    {
        yield 'in time' => [22.0, 45, ['Met.', '°F·h of 1200 allowed'], BatchState::Running];
        yield 'not in time' => [25.0, 85, ['Not met.', 'Cooking does not help'], BatchState::Held];
    }

    /** @param list<string> $seen */
    #[DataProvider('chambers')]
    public function test_a_sausage_is_judged_by_the_file_of_a_logger(float $celsius, int $hours, array $seen, BatchState $becomes): void
    {
        $this->sharpen();
        $batch = $this->started('fermented-sausage', 'SA-0001', $hours + 3, step: 'stuffed');
        if ($becomes === BatchState::Running) {
            $this->read($batch, [[44.9, 5.1]]);
        }
        $file = sys_get_temp_dir() . '/chamber-' . getmypid() . '.csv';
        file_put_contents(
            $file,
            "time;celsius\n"
                . implode(
                    "\n",
                    array_map(
                        static fn(int $i): string => $batch->started_at
                            ->addMinutes(30 * $i)
                            ->setTimezone(SiteClock::zone($batch->started_at))
                            ->format('Y-m-d H:i') . ";$celsius",
                        range(0, 2 * $hours),
                    ),
                ),
        );

        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/batches/$batch->id/temperatures")
            ->sees('No record yet.');
        $input = $oda->browser->findElement(WebDriverBy::name('file'));
        $input->setFileDetector(new LocalFileDetector())->sendKeys($file);
        $oda->chooses('thermometer', (string) $this->thermometer()->id)->taps('Add to record');
        foreach ($seen as $words) {
            $oda->sees($words);
        }
        unlink($file);
        self::assertSame($becomes, $this->batch('SA-0001')->state());
    }

    public function test_a_heat_record_is_judged_by_temperature_and_time(): void
    {
        $batch = $this->started('milk-kefir', 'KF-0001', 20);
        // As if its check covered hot milk as well.
        DB::connection('owner')
            ->table('verifications')
            ->update(['verified_high_c' => 90]);
        $at = static fn(int $minutes): string => SiteClock::local(
            CarbonImmutable::instance($batch->started_at)->addMinutes($minutes),
        )->format('Y-m-d H:i');
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/batches/$batch->id/temperatures");

        $oda->chooses('point', 'coldest')
            ->chooses('thermometer', (string) $this->thermometer()->id)
            ->fills(
                'Or type the points',
                implode(
                    "\n",
                    array_map(static fn(int $minutes): string => "{$at($minutes)}; " . ($minutes <= 20 ? 64 : 58), range(0, 40, 5)),
                ),
            )
            ->taps('The record is complete')
            ->taps('Add to record');
        $oda->sees('Running')
            ->sees('min at 63 °C or more')
            ->opens("/batches/$batch->id")
            ->sees('When was it pitched?');
        $oda->sets('or at', str_replace(' ', 'T', $at(45)))
            ->taps('Pitched at that time')
            ->sees('Pitched: noted.')
            ->sees('Held.')
            ->opens("/batches/$batch->id/temperatures")
            ->sees('Not met.');
        self::assertSame(BatchState::Held, $this->batch('KF-0001')->state());
    }

    public function test_a_kraut_is_on_track_then_at_risk_then_stuck(): void
    {
        $batch = $this->started('vegetable-ferment', 'KR-0001', 110);
        $this->read($batch, [[2, 6.03], [10, 5.99], [18, 5.91], [26, 5.78], [34, 5.58], [42, 5.31], [48, 5.07], [54, 4.81]]);
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/batches/$batch->id")
            ->sees('on track: expected about');

        $this->read($batch, [[60, 4.76]]);
        $oda->opens("/batches/$batch->id")
            ->sees('Not certain')
            ->sees('Measure again. Before the deadline you can warm it, extend the time or acidify.');

        $this->read($batch, [[66, 4.75], [72, 4.75], [80, 4.75], [90, 4.75]]);
        $oda->opens("/batches/$batch->id")
            ->sees('Not certain')
            ->sees('levels off at pH 4.7');
        $oda->taps('Nearer')->waitsUntil(static fn(): bool => str_contains($oda->page(), 'Whole batch'), 'a part of its time');
        self::assertSame(BatchState::Running, $this->batch('KR-0001')->state(), 'its time is not up');
    }

    public function test_a_chilli_sauce_is_not_proven_then_proven_by_a_control_check_and_released(): void
    {
        $batch = $this->batch('CS-0421');
        $this->answered($batch, $batch->load(Batch::JUDGED)->asks()[0]);
        $age = $this->now->diffInSeconds($batch->started_at, true) / 3600;
        $this->read($batch, [[$age - 48, 4.45]]);
        $this->read($batch, [[$age - 24, 4.53]], Stage::Equilibrium);
        $this->calibrate();

        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/measure/$batch->id")
            ->chooses('pair', (string) $this->pair()->id)
            ->chooses('thermometer', (string) $this->thermometer()->id)
            ->chooses('stage', 'equilibrium')
            ->taps('typed from a real meter')
            ->taps('Start measuring');
        foreach ([1, 2] as $portion) {
            $oda->sees("Portion $portion")
                ->fills('Potential', (string) $this->shown(4.53))
                ->fills('Temperature', '21,4')
                ->watches()
                ->taps("Accept portion $portion");
        }
        $oda->sees('Not needed')
            ->sees('Critical limit not proven. Equilibrium: pH ≤ 4.6, lacks 0.02')
            ->sees('4.53 ± 0.08')
            ->taps('Record reading on CS-0421')
            ->sees('Recorded on CS-0421.');
        self::assertSame(BatchState::Held, $this->batch('CS-0421')->state(), 'what is not proven does not go on by itself');

        $oda->opens("/pairs/{$this->pair()->id}/check")
            ->chooses('lot', 'R-07')
            ->taps('Or type from a real meter')
            ->fills('Potential', (string) $this->shown($this->lot('R-07')->buffer()->phAt(21)))
            ->fills('Temperature', '21')
            ->watches()
            ->taps('Accept typed reading')
            ->sees('Check passed. It confirms this calibration.');
        $oda->opens("/batches/$batch->id")
            ->sees('judged again')
            ->sees('Equilibrium');

        $sela = $this->atTheBench()
            ->signsIn('sela', self::PASSPHRASE)
            ->opens("/batches/$batch->id");
        $sela->sees('Met.');
        foreach ($this->openDeviations($batch) as $deviation) {
            $sela
                ->opens("/deviations/$deviation")
                ->chooses('disposition', 'go-on')
                ->fills('Reason', 'proven by the control check within the hour')
                ->taps('Record decision')
                ->sees('Resume the batch.');
        }
        $sela
            ->opens("/batches/$batch->id")
            ->fills('Your passphrase', self::PASSPHRASE)
            ->taps('Release CS-0421')
            ->sees('is released.');
        self::assertSame(BatchState::Released, $this->batch('CS-0421')->state());
    }

    /** @return iterable<string, array{string, string}> what is wrong, what is said */
    public static function refusals(): iterable
    {
        yield 'the calibration was overdue' => ['overdue', 'Equilibrium: the newest value does not prove it'];
        yield 'a condition was never answered' => ['unanswered', 'Acidified within a day: whether it applies is not answered'];
        yield 'only the pH was read' => ['acidity', 'Legal, finished: acidity, 3.5 g/L as tartaric: not judged yet'];
    }

    #[DataProvider('refusals')]
    public function test_a_release_is_not_offered_and_the_page_says_why(string $lacks, string $said): void
    {
        $batch = $lacks === 'acidity' ? $this->started('white-wine', 'WW-0001', 90, 'yes') : $this->batch('CS-0421');
        if ($lacks === 'overdue') {
            $this->answered($batch, $batch->load(Batch::JUDGED)->asks()[0]);
            CarbonImmutable::setTestNow($this->now->subDays(3));
            $this->calibrate();
            CarbonImmutable::setTestNow();
            $this->measure([4.2, 4.2], Stage::Finished, 'CS-0421');
        } else {
            $age = $this->now->diffInSeconds($batch->started_at, true) / 3600;
            $this->read($batch, [[$age - 26, 3.5], [$age - 1, 3.5]], Stage::Finished);
        }

        $sela = $this->atTheBench()
            ->signsIn('sela', self::PASSPHRASE)
            ->opens("/batches/$batch->id")
            ->sees('Missing.')
            ->sees($said);
        self::assertStringNotContainsString("Release $batch->code", $sela->page());
    }

    /** @return list<int> */
    private function openDeviations(Batch $batch): array
    {
        return array_values(BatchHistory::openDeviations($batch->id)->pluck('id')->map(static fn(mixed $id): int => (int) $id)->all());
    }

    private function started(string $code, string $batch, int $hoursAgo, string $answer = 'no', ?string $step = null): Batch
    {
        CarbonImmutable::setTestNow($this->now->subHours($hoursAgo));
        $this->actingAs($this->people['lead'])
            ->post("/products/library/$code", ['form' => self::formId()])
            ->assertSessionHasNoErrors();
        $product = Product::query()->with('limits')->where('code', $code)->sole();
        $this->actingAs($this->people['checker'])
            ->post('/batches', [
                'product' => $product->id,
                'code' => $batch,
                'vessel' => 'room 1',
                'size' => '40 kg',
                'route' => $product->routeNames()[0] ?? null,
                'form' => self::formId(),
            ])
            ->assertSessionHasNoErrors();
        foreach ($this->batch($batch)->load(Batch::JUDGED)->asks() as $condition) {
            $this->answered($this->batch($batch), $condition, $answer);
        }
        if ($step !== null) {
            $this->post("/batches/{$this->batch($batch)->id}/steps", [
                'step' => $step,
                'form' => self::formId(),
            ])->assertSessionHasNoErrors();
        }

        return $this->batch($batch);
    }

    private function answered(Batch $batch, string $condition, string $answer = 'no'): void
    {
        $this->actingAs($this->people['checker'])
            ->post("/batches/$batch->id/answers", ['condition' => $condition, 'answer' => $answer, 'form' => self::formId()])
            ->assertSessionHasNoErrors();
    }

    /**
     * Reads what stood in it at its own time, on a fresh calibration, with a control check beside the last one.
     *
     * @param list<array{float|int, float}> $readings hours since the start, pH
     */
    private function read(Batch $batch, array $readings, Stage $stage = Stage::Underway): void
    {
        $places = Batch::query()->with('product.method')->findOrFail($batch->id)->product->method->neededPlaces() ?: ['blend'];
        foreach ($readings as $i => [$hours, $ph]) {
            CarbonImmutable::setTestNow($batch->started_at->addSeconds((int) round(3600 * $hours)));
            // There are bottles enough.
            DB::connection('owner')->table('lot_uses')->delete();
            $this->calibrate();
            if ($i === count($readings) - 1) {
                $this->vouch();
            }
            $this->measurePlaces(array_fill_keys($places, $ph), (string) $batch->code, $stage);
        }
        CarbonImmutable::setTestNow();
    }
}
