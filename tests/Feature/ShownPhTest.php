<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Measurement;
use Rheacid\Models\MeasurementDraft;

/** A meter that shows only pH, from its calibration to a decision, through the pages. */
final class ShownPhTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->people['checker']);
    }

    public function test_the_read_back_error_of_such_a_meter_widens_its_readings(): void
    {
        $this->calibrateShowing(['7.05', '3.97', '7.05', '4.02']);
        $calibration = Calibration::query()->sole();
        self::assertSame([Verdict::Pass, null], [$calibration->verdict, $calibration->slope_percent]);
        self::assertEqualsWithDelta(0.034, $calibration->read_back_error_ph, 0.001, '7.05 shown in 7.016');
        self::assertEqualsWithDelta(0.034, $calibration->points[0]->asFoundError(), 0.001);

        $reading = $this->measureShown(['4,45', '4.47']);

        self::assertSame(4.47, $this->decided($reading)->value);
        $fit = array_column($this->decided($reading)->budget, 'u', 'name')['fit'];
        self::assertEqualsWithDelta(0.034 / sqrt(3), $fit, 0.0005);
        $this->get("/readings/{$reading->id}")
            ->assertSee('the meter does not show slope and offset')
            ->assertSee('pH 4.47');
    }

    public function test_a_ph_only_meter_is_read_neither_at_the_simulated_bench_nor_from_a_log(): void
    {
        $this->calibrateShowing(['7.02', '4.01', '7.02', '4.00']);
        $form = [
            'pair' => $this->pair('E-11')->id,
            'thermometer' => $this->thermometer()->id,
            'stage' => 'underway',
            'place' => 'blend',
            'drawn_at' => '2026-11-25T09:30',
        ];
        foreach (['simulated', 'imported'] as $source) {
            $this->post("/measure/{$this->batch()->id}/drafts", [
                ...$form,
                'form' => self::formId(),
                'source' => $source,
            ])->assertSessionHasErrors('source');
        }

        self::assertSame(0, MeasurementDraft::query()->count());
    }

    /** @return iterable<string, array{list<string>, string}> */
    public static function refused(): iterable
    {
        yield 'a potential where a pH is shown' => [['177 mV'], 'A pH like 4.52'];
        yield 'another buffer' => [['4.05'], 'pH 7.00 is expected'];
        yield 'nothing' => [[''], 'A pH like 4.52'];
    }

    /** @param list<string> $shown */
    #[DataProvider('refused')]
    public function test_what_a_ph_only_meter_cannot_show_is_said(array $shown, string $said): void
    {
        $this->open();
        $run = CalibrationRun::query()->sole();

        $this->from("/runs/{$run->id}")
            ->followingRedirects()
            ->post("/runs/{$run->id}/points", [
                'form' => self::formId(),
                'station' => 0,
                'shown_ph' => $shown[0],
                'celsius' => '21',
                'still' => '1',
            ])
            ->assertSee($said);
    }

    public function test_a_read_back_that_is_off_at_either_end_fails_and_says_what_to_do(): void
    {
        $this->calibrateShowing(['7.02', '4.01', '7.02', '3.93']);

        $calibration = Calibration::query()->sole();
        self::assertSame(Verdict::Fail, $calibration->verdict);
        $this->get("/calibrations/{$calibration->id}")->assertSeeInOrder(['Fail.', 'The read-back was 0.071 pH off']);
    }

    /** @param list<string> $shown as found in 7.00 and 4.01, and read back in both */
    private function calibrateShowing(array $shown): void
    {
        $this->open();
        $run = CalibrationRun::query()->sole();
        foreach ($shown as $station => $ph) {
            $this->post("/runs/{$run->id}/points", [
                'form' => self::formId(),
                'station' => $station,
                'shown_ph' => $ph,
                'celsius' => '21',
                'still' => '1',
            ])->assertSessionHasNoErrors();
        }
    }

    private function open(): void
    {
        $this->post("/calibrate/{$this->pair('E-11')->id}/runs", [
            'form' => self::formId(),
            'lots' => ['Q-29', 'Q-31'],
            'source' => 'typed',
            'answer' => 'no other bottle is here',
        ])->assertSessionHasNoErrors();
    }

    /** @param list<string> $shown */
    private function measureShown(array $shown): Measurement
    {
        $this->post("/measure/{$this->batch()->id}/drafts", [
            'form' => self::formId(),
            'pair' => $this->pair('E-11')->id,
            'thermometer' => $this->thermometer()->id,
            'stage' => 'underway',
            'place' => 'blend',
            'drawn_at' => '2026-11-25T09:30',
            'source' => 'typed',
        ])->assertSessionHasNoErrors();
        $draft = MeasurementDraft::query()->sole();
        foreach ($shown as $ph) {
            $this->post("/drafts/{$draft->id}/replicates", [
                'form' => self::formId(),
                'shown_ph' => $ph,
                'celsius' => '21.4',
                'still' => '1',
            ])->assertSessionHasNoErrors();
        }
        $this->get("/drafts/{$draft->id}")->assertSee('Record reading on CS-0417');
        $this->post("/drafts/{$draft->id}/reading", ['form' => self::formId()])->assertSessionHasNoErrors();

        return Measurement::query()->sole();
    }
}
