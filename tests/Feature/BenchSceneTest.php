<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\TestWith;
use Rheacid\Actions\Calibrate\AcceptPoint;
use Rheacid\Actions\Calibrate\OpenRun;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Bench\SimulatedReading;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Measuring\Source;
use Rheacid\Models\Calibration;
use Rheacid\Models\CellCalibration;
use Rheacid\Queries\Ready\ElectrodeHistory;
use Rheacid\Records\IdempotencyKey;

/** The simulated bench with a condition set by hand: what is hidden in it is found by the rules alone. */
final class BenchSceneTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->people['checker']);
    }

    #[TestWith(['coated', Diagnosis::Coated])]
    #[TestWith(['exhausted', Diagnosis::TiredBuffers])]
    #[TestWith(['healthy', null])]
    public function test_a_scene_that_was_set_is_found_in_the_calibration(string $fault, ?Diagnosis $found): void
    {
        $this->sets($fault, '11')
            ->assertRedirect("/calibrate/{$this->pair()->id}")
            ->assertSessionHas('done', 'Simulated bench set.');

        self::assertSame($found, $this->calibrateAtTheBench()->diagnosis);
    }

    public function test_the_same_seed_gives_the_same_scene_and_another_seed_another(): void
    {
        $slopes = [];
        foreach (['11', '11', '12'] as $seed) {
            $this->sets('aged', $seed)->assertSessionHas('done');
            $slopes[] = $this->calibrateAtTheBench()->slope_percent;
            $this->wait(3600);
        }

        self::assertEqualsWithDelta($slopes[0], $slopes[1], 0.1, 'but for the noise of the day');
        self::assertGreaterThan(0.2, abs((float) $slopes[2] - (float) $slopes[0]));
    }

    public function test_a_scene_takes_a_whole_seed_and_a_condition_it_knows(): void
    {
        $this->sets('healthy', '1.5')->assertSessionHasErrors(['seed' => 'Type a whole number from 1 to 1000000.']);
        $this->sets('haunted', '1')->assertSessionHasErrors('fault');
        $this->get("/bench/{$this->pair('E-11')->id}")->assertNotFound();
    }

    public function test_the_cell_of_the_bench_shows_its_true_factor(): void
    {
        $pen = $this->pair('L-01');
        $this->immerse('lot_id', $this->lot('C-02')->id, electrode: 'L-01');
        $this->wait(120);
        $this->post("/cells/$pen->id", ['lot' => 'C-02', 'source' => 'simulated', 'form' => self::formId()])->assertSessionHasNoErrors();

        self::assertEqualsWithDelta(1.017, CellCalibration::query()->sole()->cell_factor, 0.003, 'the true factor of the cell of the demo');
    }

    private function sets(string $fault, string $seed): TestResponse
    {
        $this->flushSession();

        return $this->actingAs($this->people['checker'])->post("/bench/{$this->pair()->id}", [
            'fault' => $fault,
            'seed' => $seed,
            'form' => self::formId(),
        ]);
    }

    private function calibrateAtTheBench(): Calibration
    {
        $run = $this->openRun();
        foreach (['Q-29', 'Q-31', 'Q-29'] as $station => $code) {
            $this->immerse('lot_id', $this->lot($code)->id, $run);
            $this->wait(600);
            app(AcceptPoint::class)(
                $this->people['checker'],
                IdempotencyKey::own(),
                $run,
                $station,
                new SimulatedReading(app(SimulatedBench::class), $this->pair(), null),
                self::answers('it is the right bottle'),
            );
        }

        return $run->calibration()->firstOrFail();
    }

    public function test_outside_the_demo_the_simulated_bench_takes_no_bottle_moves_no_trend_and_proves_nothing(): void
    {
        DB::connection('owner')
            ->table('sites')
            ->update(['is_demo' => false]);
        $before = $this->lot('Q-29')->status()->usesLeft;
        $run = app(OpenRun::class)(
            $this->people['checker'],
            IdempotencyKey::own(),
            $this->pair(),
            [$this->lot('Q-29'), $this->lot('Q-31')],
            $this->lot('Q-29'),
            Source::Simulated,
            null,
            answer: 'asked by a test',
        );
        foreach (['Q-29', 'Q-31', 'Q-29'] as $station => $code) {
            $this->immerse('lot_id', $this->lot($code)->id, $run);
            $this->wait(120);
            app(AcceptPoint::class)(
                $this->people['checker'],
                IdempotencyKey::own(),
                $run->refresh(),
                $station,
                new SimulatedReading(app(SimulatedBench::class), $this->pair(), null),
                self::answers('a test'),
            );
        }

        self::assertSame($before, $this->lot('Q-29')->status()->usesLeft);
        self::assertNull(ElectrodeHistory::trend($this->pair()));
        // Nor does it become evidence where the application's account calls the run another, which nothing seals.
        DB::table('calibration_runs')->update(['source' => Source::Typed->value]);
        $typed = $this->measure([4.2, 4.2]);
        self::assertSame(
            [false],
            array_values(array_unique(array_column($this->decided($typed)->outcomes->toArray(), 'trusted'))),
            'a typed reading on it proves no more',
        );
    }
}
