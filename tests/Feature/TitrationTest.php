<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Actions\Calibrate\AcceptPoint;
use Rheacid\Core\Acidity\Acid;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Measuring\Matrix;
use Rheacid\Core\Release\MissingReason;
use Rheacid\Core\Simulation\AcidSolution;
use Rheacid\Core\Simulation\SimulatedSample;
use Rheacid\Models\Decision;
use Rheacid\Models\DecisionLimit;
use Rheacid\Models\Lot;
use Rheacid\Models\Measurement;
use Rheacid\Models\TitrantStandardisation;
use Rheacid\Models\Titration;
use Rheacid\Queries\Batches\ReleaseReview;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\LedgerCheck;

/** Acidity by titration: what it rests on, the schools that do not mix, and what it may release. */
final class TitrationTest extends BenchTestCase
{
    private const LEGAL = 'Legal, finished: acidity, 3.5 g/L as tartaric';

    protected function setUp(): void
    {
        parent::setUp();
        $this->answerAll($this->brew('white-wine', 'WW-0001', '2026-11-23T10:00'), 'yes');
        $this->actingAs($this->people['checker']);
    }

    public function test_a_titrant_gets_its_strength_in_triplicate_or_not_at_all(): void
    {
        $lot = $this->lot('S-01');
        $this->standardise("0,51; 24\n0,51; 25\n0,51; 24,5")->assertSessionHasErrors('runs');
        $this->standardise("0,5102; 24,98\n0,4987; 24,43")->assertSessionHasErrors('runs');
        $this->standardise('about a gram')->assertSessionHasErrors('runs');
        self::assertSame(0, TitrantStandardisation::query()->count());
        $this->standardise("0,5102; 24,98\n0,4987; 24,43\n0,5043; 24,70")->assertSessionHasNoErrors();

        $found = TitrantStandardisation::query()->sole();
        self::assertEqualsWithDelta([0.09998, 0.0005], [$found->normality, $found->expanded_u], 0.00001);
        $this->get("/lots/$lot->id")
            ->assertOk()
            ->assertSee('0.1000 N');
        $this->post("/lots/{$this->lot('Q-31')->id}/strength", [
            'runs' => "0,5; 24\n0,5; 24\n0,5; 24",
            'purity' => '100',
            'form' => self::formId(),
        ])->assertSessionHasErrors('runs');
    }

    public function test_the_true_acidity_is_found_on_both_schools_and_a_legal_minimum_to_7_takes_none_from_8_2(): void
    {
        $this->strong();
        $this->calibrateHigh();
        $wine = new AcidSolution(['tartaric' => 0.018, 'malic' => 0.012, 'citric' => 0.003, 'lactic' => 0.004], 0.012);
        $this->titrate('8.2', [$this->curve($wine, 0.02), $this->curve($wine, 0.02)])->assertSessionHasNoErrors();
        self::assertSame(MissingReason::NeverJudged, $this->missing(), 'to 8.2 says nothing of one to 7.0');
        $this->titrate('7.0', [$this->curve($wine, 0.02), $this->curve($wine, 0.02)])->assertSessionHasNoErrors();
        self::assertNull($this->missing(), (string) json_encode(Decision::query()->orderByDesc('id')->firstOrFail()->blocks));

        [$to8, $to7] = Measurement::query()->with('replicates')->orderBy('id')->get()->all();
        foreach ([[$to8, 8.2], [$to7, 7.0]] as [$measurement, $ph]) {
            self::assertEqualsWithDelta(
                $wine->equivalentsTo($ph) * Acid::Tartaric->equivalentWeight(),
                $measurement->replicates[0]->value,
                0.04,
                "to $ph",
            );
        }
        self::assertGreaterThan($to7->replicates[0]->value, $to8->replicates[0]->value);
        $outcome = DecisionLimit::query()->where('name', self::LEGAL)->sole();
        self::assertSame([Conformity::Inside, true], [$outcome->outcome, $outcome->expanded_u > 0.02]);
        $this->get("/readings/$to7->id")
            ->assertOk()
            ->assertSee('ΔpH/ΔmL')
            ->assertSee('Expressed in g/L as tartaric acid')
            ->assertSee('as malic')
            ->assertSee('S-01');
        self::assertNull(LedgerCheck::run()['difference']);
    }

    /** @return iterable<string, array{string, string}> what is wrong, what is said */
    public static function doubts(): iterable
    {
        yield 'a stale titrant' => ['stale', 'titrant-stale'];
        yield 'a bracket that ends below the endpoint' => ['low', 'endpoint-outside-bracket'];
        yield 'one titration alone' => ['single', 'not-duplicated'];
        yield 'two that differ' => ['apart', 'not-duplicated'];
        yield 'steps that are too large' => ['coarse', 'curve-coarse'];
    }

    #[DataProvider('doubts')]
    public function test_what_a_titration_rests_on_can_keep_it_from_proving(string $wrong, string $block): void
    {
        $this->strong();
        if ($wrong === 'stale') {
            $this->wait(31 * 86_400);
            $this->flushSession();
            $this->actingAs($this->people['checker']);
        }
        if ($wrong !== 'stale') {
            $wrong === 'low' ? $this->calibrate() : $this->calibrateHigh();
        }
        $wine = new AcidSolution(['tartaric' => 0.018, 'malic' => 0.012], 0.012);
        $stronger = new AcidSolution(['tartaric' => 0.019, 'malic' => 0.012], 0.012);
        $curve = $this->curve($wine, $wrong === 'coarse' ? 1.5 : 0.1);
        $this->titrate(
            $wrong === 'stale' ? 'by-eye' : '8.2',
            match ($wrong) {
                'stale' => ['6,45', '6,45'],
                'single' => [$curve],
                'apart' => [$curve, $this->curve($stronger)],
                default => [$curve, $curve],
            },
            $wrong === 'stale' ? ['pair' => ''] : [],
        )->assertSessionHasNoErrors();

        self::assertContains($block, Decision::query()->sole()->blocks);
    }

    /** @return iterable<string, array{array<string, mixed>, string}> */
    public static function slips(): iterable
    {
        yield 'never reaches its endpoint' => [['portions' => [['sample' => '10', 'curve' => "0; 3,2\n5; 6,1"]]], 'portions.0.curve'];
        yield 'volumes that run back' => [['portions' => [['sample' => '10', 'curve' => "0; 3,2\n5; 6,1\n4; 9"]]], 'portions.0.curve'];
        yield 'no sample' => [['portions' => [['sample' => '0', 'curve' => "0; 3,2\n5; 9"]]], 'portions.0.sample'];
        yield 'a curve of words' => [['portions' => [['sample' => '10', 'curve' => 'pink at last']]], 'portions.0.curve'];
        yield 'no curve at all' => [['portions' => [['sample' => '10', 'curve' => '']]], 'portions.0.curve'];
        yield 'a unit that is none' => [['unit' => 'carbonic_g_per_l'], 'unit'];
        yield 'a unit of a mass for a volume' => [['unit' => 'lactic_g_per_100g'], 'unit'];
        yield 'a titrant without a strength' => [['titrant' => '999'], 'titrant'];
        yield 'no electrode' => [['pair' => ''], 'pair'];
        yield 'a blank that takes all' => [['blank_ml' => '99'], 'blank_ml'];
        yield 'no temperature' => [['celsius' => ''], 'celsius'];
        yield 'a temperature of nothing' => [['compensation' => '400'], 'compensation'];
        yield 'a volatile acidity to 7.0' => [['of' => 'volatile-acidity', 'endpoint' => '7.0'], 'endpoint'];
    }

    /** @param array<string, mixed> $typed */
    #[DataProvider('slips')]
    public function test_a_wrong_entry_is_reported_at_its_field_and_nothing_is_saved(array $typed, string $field): void
    {
        $this->strong();
        $this->calibrateHigh();
        $this->titrate('8.2', [$this->curve(new AcidSolution(['tartaric' => 0.03]))], $typed)->assertSessionHasErrors($field);

        self::assertSame(0, Measurement::query()->count());
    }

    public function test_a_cold_sample_under_a_warm_compensation_is_corrected_in_its_curve(): void
    {
        $this->strong();
        $this->calibrateHigh();
        // Read at 8 °C by a meter set to 25 °C, a display of 8.2 is 7 + 1.2 · 298.15 / 281.15 = 8.273.
        $cold = "0; 3,20\n10; 7,90\n10,1; 8,10\n10,2; 8,40\n10,3; 8,80";
        $this->titrate('8.2', [$cold, $cold], ['celsius' => '8', 'compensation' => '25'])->assertSessionHasNoErrors();

        $titration = Titration::query()->sole();
        // 8.2 lies where 7 + (display − 7) · 298.15 / 281.15 does: at a display of 8.1316.
        self::assertEqualsWithDelta(10.1 + 0.1 * (0.0316 / 0.3), $titration->portions()[0]['ml'], 0.0005);
        self::assertSame(
            [8.0, 25.0, [10.1, 8.1]],
            [$titration->sample_c, $titration->compensation_c, $titration->portions()[0]['curve'][2]],
        );
        $this->get("/readings/$titration->measurement_id")->assertSee(
            'Sample at 8 °C; the meter compensated at 25 °C, corrected in the curve.',
        );
        $this->titrate('8.2', [$cold, $cold])->assertSessionHasNoErrors();
        self::assertEqualsWithDelta(
            10.1 + 0.1 / 3,
            Titration::query()->orderByDesc('id')->firstOrFail()->portions()[0]['ml'],
            1e-4,
            'at one temperature the display stands',
        );
    }

    public function test_an_endpoint_by_eye_is_a_quantity_of_its_own_and_volatile_acidity_is_given_as_acetic(): void
    {
        $this->strong();
        $this->titrate('by-eye', ['6,45', '6,50'], ['pair' => ''])->assertSessionHasNoErrors();
        $this->calibrateHigh();
        $distillate = new AcidSolution(['acetic' => 0.009]);
        $this->titrate(
            '8.2',
            [$this->curve($distillate, 0.05), $this->curve($distillate, 0.05)],
            ['of' => 'volatile-acidity'],
        )->assertSessionHasNoErrors();

        [$byEye, $volatile] = Measurement::query()->with('replicates')->orderBy('id')->get()->all();
        self::assertSame(['by-eye per L', '8.2 per L'], [$byEye->basis, $volatile->basis]);
        self::assertEqualsWithDelta(0.009 * 60.052, $volatile->replicates[0]->value, 0.02);
        $this->get("/readings/$volatile->id")
            ->assertSee('as acetic')
            ->assertSee('Correct reading');
    }

    public function test_a_titration_is_corrected_with_its_curve_before_one_and_rests_on_what_it_rested_on(): void
    {
        $this->strong();
        $this->calibrateHigh();
        $wine = new AcidSolution(['tartaric' => 0.03], 0.01);
        $this->titrate('8.2', [$this->curve($wine, 0.05)])->assertSessionHasNoErrors();
        $first = Measurement::query()->sole();
        $this->get("/readings/$first->id/correction")->assertRedirect(
            "/measure/{$this->batch('WW-0001')->id}/titration?corrects=$first->id",
        );
        $this->get("/measure/{$this->batch('WW-0001')->id}/titration?corrects=$first->id")
            ->assertOk()
            ->assertSee('0; 2.', false)
            ->assertSee('stays on record');

        $this->calibrateHigh();
        $this->titrate(
            '8.2',
            [$this->curve($wine, 0.05)],
            [
                'portions' => [['sample' => '20', 'curve' => $this->curve($wine, 0.05)]],
                'corrects' => (string) $first->id,
                'reason' => 'it was a pipette of 20 mL',
                'drawn_at' => $first->sample->drawn_at->setTimezone('Europe/London')->format('Y-m-d\TH:i:s'),
            ],
        )->assertSessionHasNoErrors();

        $second = Measurement::query()->orderByDesc('id')->firstOrFail();
        self::assertSame([$first->id, $first->calibration_id], [$second->supersedes_id, $second->calibration_id]);
        self::assertEqualsWithDelta($first->replicates->firstOrFail()->value / 2, $second->replicates->firstOrFail()->value, 1e-6);
    }

    public function test_the_simulated_burette_runs_on_its_own_and_its_curve_gives_the_acid_that_is_truly_in_the_sample(): void
    {
        $this->strong();
        $this->calibrateHigh();
        DB::table('bench_electrodes')
            ->where('electrode_id', $this->pair()->electrode_id)
            ->update(['slope_share' => 0.98, 'offset_mv' => -3.0, 'noise_mv' => 0.0]);
        $batch = $this->batch('WW-0001');
        DB::table('bench_cups')
            ->where('batch_id', $batch->id)
            ->update(['ph' => 3.4]);
        $open = fn(array $more): TestResponse => $this->post("/measure/$batch->id/burette", [
            'pair' => $this->pair()->id,
            'sample_ml' => '10',
            'speed' => '60',
            ...$more,
        ]);
        $open(['sample_ml' => '0'])->assertSessionHasErrors('sample_ml');
        $open(['pair' => $this->pair('L-01')->id])->assertSessionHasErrors('pair');
        $open([])->assertSessionHasNoErrors();
        $this->wait(4);
        $id = (int) DB::table('bench_burettes')->max('id');
        $this->get("/measure/$batch->id/burette?runs=$id")
            ->assertOk()
            ->assertSee('17 points; running');
        $open(['runs' => (string) $id])->assertRedirect(
            "/measure/$batch->id/titration?runs=" . urlencode("$id," . $id + 1) . '#bench-title',
        );
        $this->wait(40);
        $this->get("/measure/$batch->id/burette?runs=$id")->assertSee('finished');
        $page = (string) $this->get("/measure/$batch->id/titration?runs=$id," . ($id + 1) . '&take=1')
            ->assertOk()
            ->getContent();
        preg_match_all('#<textarea[^>]*name="portions\[\d\]\[curve\]"[^>]*>([^<]+)</textarea>#', $page, $curves);
        self::assertCount(2, $curves[1]);

        $this->titrate('8.2', $curves[1])->assertSessionHasNoErrors();

        self::assertEqualsWithDelta(
            SimulatedSample::of(Matrix::Still, 3.4)->equivalentsTo(8.2) * Acid::Tartaric->equivalentWeight(),
            Measurement::query()->sole()->replicates->firstOrFail()->value,
            0.03,
        );
    }

    public function test_a_curve_comes_from_a_file_and_what_it_held_is_there_again_after_a_slip(): void
    {
        $this->strong();
        $this->calibrateHigh();
        $csv
            = "volume mL,pH\n"
            . implode("\n", array_map(static fn(int $i): string => sprintf('%.2F,%.2F', $i / 10, 3.4 + $i * 0.06), range(0, 90)));
        $file = static fn(string $text): UploadedFile => UploadedFile::fake()->createWithContent('curve.csv', $text);
        $send = fn(UploadedFile $one, array $more = []): TestResponse => $this->titrate(
            '8.2',
            [],
            ['portions' => [['sample' => '10', 'file' => $one]], ...$more],
        );

        $send($file("\x00\x01\x02"))->assertSessionHasErrors('portions.0.file');
        $send($file("time;potential;temperature\n1;a lot;20"))->assertSessionHasErrors('portions.0.curve');
        $send($file(str_repeat("1;2\n", 100_000)))->assertSessionHasErrors('portions.0.file');
        $send($file($csv), ['titrant' => ''])->assertSessionHasErrors('titrant');
        self::assertStringContainsString('8.00; 8.20', (string) json_encode(session()->getOldInput()));
        $send($file($csv))->assertSessionHasNoErrors();

        self::assertEqualsWithDelta(((8.0 * 0.1) / 10) * 75.04, Measurement::query()->sole()->replicates->firstOrFail()->value, 0.01);
    }

    private function standardise(string $runs): TestResponse
    {
        return $this->post("/lots/{$this->lot('S-01')->id}/strength", ['runs' => $runs, 'purity' => '100', 'form' => self::formId()]);
    }

    private function strong(): void
    {
        $this->standardise("0,5106; 25,00\n0,5106; 25,00\n0,5105; 25,00")->assertSessionHasNoErrors();
    }

    /** Bracketed by 7.00 and 10.01, or what the shelf has above the endpoint. */
    private function calibrateHigh(): void
    {
        $run = $this->openRun(['Q-29', $this->alkaline()]);
        $accept = app(AcceptPoint::class);
        foreach ([$this->lot('Q-29'), $this->lot($this->alkaline()), $this->lot('Q-29')] as $station => $lot) {
            $accept(
                $this->people['checker'],
                IdempotencyKey::own(),
                $run->refresh(),
                $station,
                $this->typed($this->shown($lot->buffer()->phAt(21))),
                self::answers('typed by a test'),
            );
        }
        $this->vouch();
    }

    private function alkaline(): string
    {
        return (string) Lot::query()->where('kind', 'buffer')->where('nominal_ph', '>', 9)->orderBy('id')->firstOrFail()->code;
    }

    /** As a burette gives it, in mL and pH to a hundredth. */
    private function curve(AcidSolution $solution, float $step = 0.1): string
    {
        $lines = [];
        for ($ml = 0.0; $ml <= 12.0; $ml = round($ml + $step, 3)) {
            $lines[] = str_replace('.', ',', sprintf('%.2f; %.2f', $ml, $ph = $solution->titrated(10.0, $ml, 0.1)));
            if ($ph > 9.8) {
                break;
            }
        }

        return implode("\n", $lines);
    }

    private function missing(): ?MissingReason
    {
        return array_column(ReleaseReview::of($this->batch('WW-0001'))->release->missing, 'reason', 'name')[self::LEGAL] ?? null;
    }

    /**
     * @param list<string> $curves
     * @param array<string, mixed> $typed
     */
    private function titrate(string $endpoint, array $curves, array $typed = []): TestResponse
    {
        $batch = $this->batch('WW-0001');

        return $this->post("/measure/$batch->id/titration", [
            'of' => 'titratable-acidity',
            'per' => 'L',
            'endpoint' => $endpoint,
            'unit' => 'tartaric_g_per_l',
            'titrant' => (string) TitrantStandardisation::query()->value('id'),
            'pair' => (string) $this->pair()->id,
            'celsius' => '21',
            'stage' => 'finished',
            'place' => $batch->product->method->places[0],
            'portions' => array_map(static fn(string $curve): array => ['sample' => '10', 'curve' => $curve], $curves),
            'form' => self::formId(),
            ...$typed,
        ]);
    }
}
