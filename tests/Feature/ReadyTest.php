<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\TestResponse;
use Rheacid\Actions\Ready\LogCare;
use Rheacid\Actions\Ready\PairUp;
use Rheacid\Actions\Ready\PartPair;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\Dirt;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\CareEvent;
use Rheacid\Models\CellCalibration;
use Rheacid\Models\ControlCheck;
use Rheacid\Models\Meter;
use Rheacid\Models\Policy;
use Rheacid\Queries\Ready\Readiness;
use Rheacid\Records\IdempotencyKey;
use Rheacid\Records\LedgerCheck;
use Rheacid\Records\Refused;

/** What stands on the shelf, what is done to it, and what is refused. */
final class ReadyTest extends BenchTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->people['checker']);
    }

    public function test_an_incident_makes_a_calibration_due_at_once_and_a_soak_must_end_first(): void
    {
        $this->calibrate();
        $this->wait(60);
        $this->tapsCare('dropped');
        self::assertSame(PairState::Due, Readiness::of($this->pair())->state);
        $this->get('/ready')->assertSee('calibration due: dropped since the last one');

        $this->tapsCare('cleaned protein');
        $this->tapsCare('soak after-cleaning');
        self::assertSame(PairState::Soaking, Readiness::of($this->pair())->state);
        self::assertSame(Dirt::Protein, CareEvent::query()->where('kind', 'cleaned')->sole()->dirt);

        $this->wait(3600);
        $this->calibrate();
        self::assertSame(PairState::Ready, Readiness::of($this->pair())->state);
    }

    public function test_care_that_lacks_its_detail_is_asked_for_it(): void
    {
        foreach (['soak' => 'school', 'cleaned' => 'dirt', 'polished' => 'act'] as $act => $field) {
            $this->post("/pairs/{$this->pair()->id}/care", ['act' => $act, 'form' => self::formId()])->assertSessionHasErrors($field);
        }
        $this->post("/pairs/{$this->pair()->id}/care", ['act' => 'retired', 'form' => self::formId()])->assertForbidden();
        (new LogCare())($this->people['lead'], IdempotencyKey::own(), $this->pair()->electrode, CareKind::Retired);
        $this->post("/pairs/{$this->pair()->id}/care", ['act' => 'soak fast', 'form' => self::formId()])->assertSessionHasErrors([
            'kind' => 'This electrode is retired; its log is closed.',
        ]);
    }

    public function test_what_a_calibration_called_for_stands_on_today_until_it_is_done(): void
    {
        $calibration = $this->calibrate(98.0, 7.09);
        self::assertNull($calibration->diagnosis, 'a read-back that fails is no signature');
        $this->wait(60);
        $this->slowAndLow();
        $this->today()->assertSee('E-07: clean it by type of soiling')->assertDontSee('Calibrate E-07');

        $this->wait(60);
        $this->tapsCare('cleaned general');
        $this->today()->assertSee('E-07: soak it 1 h in 3 M KCl');
        $this->tapsCare('soak after-cleaning');
        $this->today()->assertSee('Take E-07 out of the soak at 11:02, then calibrate');
        $this->wait(3601);
        $this->flushSession();
        $this->actingAs($this->people['checker']);
        $this->today()->assertSee('Calibrate E-07 on Bench meter A');
    }

    public function test_a_conductivity_standard_and_a_buffer_do_not_serve_for_one_another(): void
    {
        $pen = $this->pair('L-01');
        $form = ['lot' => 'Q-31', 'reading' => '1280', 'celsius' => '20', 'still' => '1'];
        $this->post("/cells/$pen->id", [...$form, 'form' => self::formId()])->assertSessionHasErrors([
            'lot' => 'Bottle Q-31 (pH 4.01): a pH buffer, not a conductivity standard.',
        ]);
        $this->post("/calibrate/{$this->pair()->id}/runs", [
            'lots' => ['Q-29', 'C-02'],
            'source' => 'typed',
            'answer' => 'asked',
            'form' => self::formId(),
        ])->assertSessionHasErrors([
            'lots'
                => 'Bottle C-02 (conductivity 1413 µS/cm): a conductivity standard, not a pH buffer. Choose a pH buffer that is in date '
                    . 'with uses left.',
        ]);

        $this->post("/cells/$pen->id", [...$form, 'lot' => 'C-03', 'reading' => '11.6 mS/cm', 'form' => self::formId()])->assertRedirect(
            "/cells/$pen->id",
        );
        $cell = CellCalibration::query()->sole();
        self::assertEqualsWithDelta(12880 / (11600 / 0.9), $cell->cell_factor, 1e-9, 'by hand: 11.6 mS/cm at 20 °C is 12.889 at 25 °C');
        self::assertSame(4, $this->lot('C-03')->status()->usesLeft);
        $this->get("/cells/$pen->id")
            ->assertSee('Pass.')
            ->assertSee('ready until');

        $this->post("/cells/$pen->id", [...$form, 'lot' => 'C-02', 'reading' => '4.2', 'form' => self::formId()])->assertSessionHasErrors(
            'reading',
        );
        $this->post("/cells/$pen->id", [
            ...$form,
            'lot' => 'C-02',
            'reading' => '1300',
            'celsius' => '19',
            'is_compensated' => '1',
            'form' => self::formId(),
        ])->assertSessionHasNoErrors();
        $line = CellCalibration::query()->orderByDesc('id')->firstOrFail();
        self::assertEqualsWithDelta(
            (12880 * 0.9 - 1413) / (11600 - 1300),
            $line->cell_factor,
            1e-9,
            'through both standards; the pen compensated the second by itself',
        );
        self::assertEqualsWithDelta(1413 - $line->cell_factor * 1300, $line->offset_us, 1e-3);
        $this->get("/cells/$pen->id")->assertSee('and 11600 in 12880 shortly before');
    }

    public function test_a_cell_that_is_parted_or_out_of_use_is_not_calibrated(): void
    {
        $pen = $this->pair('L-01');
        $form = ['lot' => 'C-02', 'reading' => '1280', 'celsius' => '20', 'still' => '1'];
        (new LogCare())($this->people['checker'], IdempotencyKey::own(), $pen->electrode, CareKind::OutOfUse, note: 'cracked');
        $this->post("/cells/$pen->id", [...$form, 'form' => self::formId()])->assertSessionHasErrors([
            'pair' => 'L-01 is taken out of use.',
        ]);
        (new LogCare())($this->people['lead'], IdempotencyKey::own(), $pen->electrode, CareKind::BackInUse);
        (new PartPair())($this->people['checker'], IdempotencyKey::own(), $pen, null);
        $this->post("/cells/$pen->id", [...$form, 'form' => self::formId()])->assertSessionHasErrors([
            'pair' => 'L-01 is separated from its meter.',
        ]);

        self::assertSame(0, CellCalibration::query()->count());
    }

    public function test_a_redox_check_gives_an_offset(): void
    {
        $this->post("/cells/{$this->pair('X-01')->id}", [
            'lot' => 'N-01',
            'reading' => '235',
            'celsius' => '25',
            'still' => '1',
            'form' => self::formId(),
        ]);

        $this->get("/cells/{$this->pair('X-01')->id}")->assertSeeInOrder(['Use with care.', '15.0 mV offset', 'against Ag/AgCl 3 M KCl']);
    }

    public function test_in_any_order_each_buffer_is_recognised_and_takes_its_station(): void
    {
        $this->calibrate();
        $this->post("/calibrate/{$this->pair()->id}/runs", [
            'lots' => ['Q-29', 'Q-31', 'Q-35'],
            'order' => 'free',
            'read_back' => 'R-07',
            'source' => 'typed',
            'answer' => 'asked',
            'form' => self::formId(),
        ]);
        $run = CalibrationRun::query()->orderByDesc('id')->firstOrFail();
        foreach (['Q-35', 'Q-31', 'Q-29', 'R-07'] as $station => $code) {
            $this->post("/runs/$run->id/points", [
                'station' => $station,
                'mv' => (string) $this->shown($this->lot($code)->buffer()->phAt(21)),
                'celsius' => '21',
                'watched_s' => '60',
                'form' => self::formId(),
            ])->assertSessionHasNoErrors();
        }

        $calibration = $run->calibration()->firstOrFail();
        self::assertSame(
            ['Q-35', 'Q-31', 'Q-29', 'R-07'],
            $calibration->points->map(static fn(CalibrationPoint $point): string => $point->lot->code)->all(),
        );
        self::assertSame(Verdict::Pass, $calibration->verdict);
        self::assertNotNull($calibration->alkaline_slope_percent);
        $check = ControlCheck::query()->where('calibration_id', $calibration->id)->sole();
        self::assertTrue($check->passed, 'a bottle that was not fitted is an independent check');
        self::assertEqualsWithDelta(
            $calibration->calibrationFunction()->tell(Signal::mv((float) $check->mv), $check->celsius)->ph,
            $check->ph,
            1e-9,
        );
    }

    public function test_a_meter_that_shows_only_ph_may_tell_its_own_slope(): void
    {
        $run = $this->openRun(electrode: 'E-11');
        foreach (['7.02', '4.00', '7.01', '4.01'] as $station => $shown) {
            $this->post("/runs/$run->id/points", [
                'station' => $station,
                'shown_ph' => $shown,
                'celsius' => '21',
                'still' => '1',
                'shown_slope' => $station === 2 ? '97 %' : '',
                'shown_offset' => $station === 2 ? '-4' : '',
                'form' => self::formId(),
            ])->assertSessionHasNoErrors();
        }

        $this->get("/calibrations/{$run->calibration()->firstOrFail()->id}")->assertSee('shown by the meter: slope 97.0 %, offset −4.0 mV');
    }

    public function test_the_day_is_given_as_a_sheet_and_as_a_calendar(): void
    {
        $this->calibrate();

        $this->get('/today/sheet')->assertOk()->assertSee('Take E-09 out of the soak');
        $calendar = (string) $this->get('/today/due.ics')->assertOk()->getContent();
        self::assertStringContainsString("BEGIN:VCALENDAR\r\n", $calendar);
        self::assertStringContainsString('SUMMARY:Calibrate E-07', $calendar);
        self::assertStringContainsString('DTSTART:20261125T220000Z', $calendar, 'twelve hours after it was calibrated');
        self::assertMatchesRegularExpression(
            '/DTSTART;VALUE=DATE:20261219\r\n(.+\r\n)*?DTEND;VALUE=DATE:20261220/',
            $calendar,
            'a bottle ends on a day',
        );
    }

    public function test_the_chain_is_intact_after_every_kind_of_record_of_the_shelf(): void
    {
        $this->tapsCare('soak usual');
        (new PairUp())(
            $this->people['checker'],
            IdempotencyKey::own(),
            Meter::query()->where('code', 'M-B')->firstOrFail(),
            $this->pair()->electrode,
            'third',
            Policy::query()->where('code', 'process')->firstOrFail(),
            true,
        );

        self::assertNull(LedgerCheck::run()['difference']);
    }

    private function today(): TestResponse
    {
        app()->forgetScopedInstances();

        return $this->get('/');
    }

    /** A coated glass: slope 85 %, ninety seconds to rest. */
    private function slowAndLow(): void
    {
        $run = $this->openRun();
        foreach ([7.016, 4.002, 7.016] as $station => $ph) {
            $this->post("/runs/$run->id/points", [
                'station' => $station,
                'mv' => (string) $this->shown($ph, 85),
                'celsius' => '21',
                'still' => '1',
                'response_time_s' => '90',
                'reason' => 'typed by a test',
                'form' => self::formId(),
            ])->assertSessionHasNoErrors();
        }
    }
}
