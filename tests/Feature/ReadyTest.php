<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Actions\Calibrate\CheckBuffer;
use Rheacid\Actions\Ready\LogBottle;
use Rheacid\Actions\Ready\LogCare;
use Rheacid\Actions\Ready\PairUp;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\Dirt;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Limits\ReleaseBlock;
use Rheacid\Http\Controllers\PolicyController;
use Rheacid\Models\BufferCheck;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\CareEvent;
use Rheacid\Models\CellCalibration;
use Rheacid\Models\Electrode;
use Rheacid\Models\Lot;
use Rheacid\Models\Meter;
use Rheacid\Models\Pair;
use Rheacid\Models\Policy;
use Rheacid\Records\LedgerCheck;
use Rheacid\Records\Refused;
use Rheacid\Records\SentForm;
use Rheacid\Shelf\Readiness;

/** What stands on the shelf, what is done to it, and what is refused. */
final class ReadyTest extends BenchTestCase
{
    private const BOTTLE = ['code' => 'Q-50', 'label' => 'pH 4.01', 'kind' => 'buffer', 'buffer' => 'technical-4.01', 'comes_as' => 'bottle', 'expires_on' => '2027-06-30', 'opened_on' => '2026-11-20'];

    protected function setUp(): void
    {
        parent::setUp();
        $this->actingAs($this->people['checker']);
    }

    /** @return iterable<string, array{string, array<string, string>, string, string}> what, typed, field, part of the answer */
    public static function slips(): iterable
    {
        yield 'an expiry before the opening' => ['bottle', ['expires_on' => '2026-11-19'], 'expires_on', 'on or after the day of opening is accepted'];
        yield 'a lot number twice' => ['bottle', ['code' => 'Q-31'], 'code', 'already the code of a bottle'];
        yield 'the code of an electrode' => ['bottle', ['code' => 'E-07'], 'code', 'already the code of an electrode'];
        yield 'a table that does not rise' => ['bottle', ['table' => '20 4.00; 20 4.01'], 'table', 'the temperatures rising'];
        yield 'a table of one' => ['bottle', ['table' => '20 4.00'], 'table', 'Pairs of °C and pH are accepted'];
        yield 'a table of words' => ['bottle', ['table' => 'cold 4'], 'table', 'no pair of °C and pH'];
        yield 'a buffer without any table' => ['bottle', ['buffer' => ''], 'buffer', 'needs its table'];
        yield 'a standard without its value' => ['bottle', ['kind' => 'conductivity', 'buffer' => ''], 'standard_value', 'The value on the label is needed'];
        yield 'a day that is none' => ['bottle', ['expires_on' => '30.6.2027'], 'expires_on', 'A day like 2027-06-30 is accepted'];
        yield 'a thermometer of no kind' => ['thermometer', ['name' => 'T', 'kind' => 'guess', 'resolution_c' => '0.1'], 'kind', 'Accepted:'];
    }

    /** @param array<string, string> $typed */
    #[DataProvider('slips')]
    public function test_a_slip_on_the_form_is_told_beside_its_field_and_nothing_is_kept(string $what, array $typed, string $field, string $answer): void
    {
        $before = Lot::query()->count();

        $response = $this->from("/ready/add/$what")->post("/ready/add/$what", [...self::BOTTLE, ...$typed, 'form' => self::formId()]);

        $response->assertRedirect("/ready/add/$what")->assertSessionHasErrors($field);
        self::assertStringContainsString($answer, (string) session('errors')->first($field));
        self::assertSame($before, Lot::query()->count());
    }

    public function test_numbers_are_taken_with_a_comma_too(): void
    {
        $this->post('/ready/add/bottle', [...self::BOTTLE, 'expanded_u_ph' => '0,02', 'volume_ml' => '250,5', 'table' => '15 4,00; 25 4,01', 'form' => self::formId()])->assertSessionHasNoErrors();

        $lot = $this->lot('Q-50');
        self::assertSame([0.02, 250.5], [$lot->expanded_u_ph, $lot->volume_ml]);
        self::assertEqualsWithDelta(4.005, $lot->buffer()->phAt(20), 1e-9, 'its own printed table goes before the shipped one');
    }

    public function test_a_shelf_from_a_file_is_shown_first_and_taken_whole(): void
    {
        $good = "what;code;name;kind;first_used_on;resolution_c\nelectrode;E-30;Spare;sealed gel;2026-11-01;\nthermometer;T-30;Stick;thermistor stick;;0.1";
        $this->post('/ready/import', ['shelf' => $good, 'form' => self::formId()])->assertOk()->assertSee('Everything can be taken');
        self::assertSame(0, Electrode::query()->where('code', 'E-30')->count(), 'a preview takes nothing');

        $bad = str_replace('2026-11-01', 'yesterday', $good);
        $this->post('/ready/import', ['shelf' => $bad, 'form' => self::formId()])->assertOk()->assertSeeInOrder(['E-30', 'first_used_on: A day like', 'T-30', 'can be taken']);
        $this->from('/ready/import')->post('/ready/import/take', ['shelf' => $bad, 'form' => self::formId()])->assertSessionHasErrors('shelf');
        self::assertSame(0, Electrode::query()->where('code', 'E-30')->count(), 'nothing half-done');

        $this->post('/ready/import/take', ['shelf' => $good, 'form' => self::formId()])->assertRedirect('/ready');
        $this->get('/ready')->assertSee('E-30')->assertSee('T-30');

        $this->from('/ready/import')->post('/ready/import', ['shelf' => "what,code,colour\nmeter,M-9,red", 'form' => self::formId()])->assertSessionHasErrors('shelf');
        self::assertStringContainsString('Unknown column: "colour". Accepted columns: what, code', (string) session('errors')->first('shelf'));
    }

    public function test_an_electrode_is_paired_once_and_exchanging_voids_the_calibration(): void
    {
        $this->calibrate();
        $form = ['electrode' => 'E-07', 'meter' => 'M-B', 'channel' => 'third socket', 'policy' => 'laboratory'];
        $this->post('/ready/pairs', [...$form, 'form' => self::formId()])->assertSessionHasErrors(['electrode' => 'E-07 is on Bench meter A since 28 Jul 2026. Tick "exchange" to part them first; their calibration is void then.']);

        $this->post('/ready/pairs', [...$form, 'exchange' => '1', 'form' => self::formId()])->assertRedirect();

        $new = Pair::query()->together()->whereRelation('electrode', 'code', 'E-07')->sole();
        self::assertSame(['Cellar meter B, third socket', 'laboratory', PairState::Uncalibrated], [$new->name(), $new->policy->code, Readiness::of($new)->state]);
        $this->expectException(Refused::class);
        $this->openRun();
    }

    public function test_a_thermometer_is_no_electrode(): void
    {
        $this->post('/ready/pairs', ['electrode' => 'T-03', 'meter' => 'M-A', 'policy' => 'process', 'form' => self::formId()])->assertSessionHasErrors(['electrode' => 'T-03 is a thermometer; the code of an electrode is accepted.']);
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
        $this->post("/pairs/{$this->pair()->id}/care", ['act' => 'retired', 'form' => self::formId()])->assertSessionHasErrors(['act' => 'A lead retires an electrode.']);
        (new LogCare())($this->people['lead'], SentForm::own(), $this->pair()->electrode, CareKind::Retired);
        $this->post("/pairs/{$this->pair()->id}/care", ['act' => 'soak fast', 'form' => self::formId()])->assertSessionHasErrors(['kind' => 'This electrode is retired; its log is closed.']);
    }

    public function test_what_a_calibration_called_for_stands_on_today_until_it_is_done(): void
    {
        $calibration = $this->calibrate(98.0, 7.09);
        self::assertNull($calibration->diagnosis, 'a read-back that fails is no signature');
        $this->wait(60);
        $this->slowAndLow();
        $this->today()->assertSee('E-07: clean it by kind of dirt')->assertDontSee('Calibrate E-07');

        $this->wait(60);
        $this->tapsCare('cleaned general');
        $this->today()->assertSee('E-07: soak it 1 h in 3 M KCl');
        $this->tapsCare('soak after-cleaning');
        $this->today()->assertSee('Take E-07 out of its soak at 11:02, then calibrate');
        $this->wait(3601);
        $this->flushSession();
        $this->actingAs($this->people['checker']);
        $this->today()->assertSee('Calibrate E-07 on Bench meter A');
    }

    public function test_a_dipped_bottle_cannot_release_on_a_critical_limit(): void
    {
        (new LogBottle())($this->people['checker'], SentForm::own(), $this->lot('Q-31'), 'dipped', null, null, null);
        $this->calibrate();
        (new CheckBuffer())($this->people['checker'], SentForm::own(), $this->pair(), $this->lot('R-07'), 'start', $this->typed($this->shown(4.001)), null);

        self::assertContains(ReleaseBlock::SolutionBarred->value, $this->measure([4.45, 4.46])->decision->blocks);
        $this->get('/calibrate/' . $this->pair()->id)->assertSee('Q-31 · not for critical limits');
    }

    public function test_a_powder_is_made_up_before_it_is_used_and_keeps_a_day(): void
    {
        $this->post('/ready/add/bottle', [...self::BOTTLE, 'code' => 'P-01', 'comes_as' => 'powder', 'opened_on' => '', 'form' => self::formId()])->assertSessionHasNoErrors();
        $lot = $this->lot('P-01');
        $this->post("/calibrate/{$this->pair()->id}/runs", ['lots' => ['Q-29', 'P-01'], 'source' => 'typed', 'form' => self::formId()])->assertSessionHasErrors(['lots' => 'Bottle P-01 (pH 4.01): powder, not made up yet. Choose a pH buffer that is in date with uses left.']);
        $this->post("/lots/$lot->id/events", ['kind' => 'made-up', 'form' => self::formId()])->assertSessionHasErrors('volume_ml');

        $this->post("/lots/$lot->id/events", ['kind' => 'made-up', 'volume_ml' => '250', 'water' => 'tap', 'form' => self::formId()])->assertSessionHasNoErrors();

        $lot = $this->lot('P-01');
        self::assertSame('2026-11-26', $lot->usableUntil()->toDateString());
        self::assertTrue($lot->isBarred(), 'made up with tap water');
    }

    public function test_a_conductivity_standard_and_a_buffer_do_not_serve_for_one_another(): void
    {
        $pen = $this->pair('L-01');
        $form = ['lot' => 'Q-31', 'reading' => '1280', 'celsius' => '20', 'still' => '1'];
        $this->post("/cells/$pen->id", [...$form, 'form' => self::formId()])->assertSessionHasErrors(['lot' => 'Bottle Q-31 (pH 4.01): a pH buffer, not a conductivity standard.']);
        $this->post("/calibrate/{$this->pair()->id}/runs", ['lots' => ['Q-29', 'C-02'], 'source' => 'typed', 'form' => self::formId()])->assertSessionHasErrors(['lots' => 'Bottle C-02 (conductivity 1413 µS/cm): a conductivity standard, not a pH buffer. Choose a pH buffer that is in date with uses left.']);

        $this->post("/cells/$pen->id", [...$form, 'lot' => 'C-03', 'reading' => '11.6 mS/cm', 'form' => self::formId()])->assertRedirect("/cells/$pen->id");
        $cell = CellCalibration::query()->sole();
        self::assertEqualsWithDelta(12880 / (11600 / 0.9), $cell->cell_factor, 1e-9, 'by hand: 11.6 mS/cm at 20 °C is 12.889 at 25 °C');
        self::assertSame(4, $this->lot('C-03')->load('uses')->usesLeft());
        $this->get("/cells/$pen->id")->assertSee('Pass.')->assertSee('ready until');
    }

    public function test_a_redox_check_gives_an_offset(): void
    {
        $this->post("/cells/{$this->pair('X-01')->id}", ['lot' => 'N-01', 'reading' => '235', 'celsius' => '25', 'still' => '1', 'form' => self::formId()]);

        $this->get("/cells/{$this->pair('X-01')->id}")->assertSeeInOrder(['Use with care.', '15.0 mV offset', 'against Ag/AgCl 3 M KCl']);
    }

    public function test_only_a_lead_changes_a_policy_and_its_instruments_follow_the_new_version(): void
    {
        $policy = $this->pair()->policy;
        $form = ['slope_low_percent' => '92', 'slope_high_percent' => '102', 'zero_point_ph' => '0.5', 'offset_mv' => '', 'response_s' => '60', 'residual_ph' => '0.05', 'read_back_limit_ph' => '0.05', 'pooled_sd_ph' => '0.018', 'interval_kind' => 'readings', 'interval_count' => '2', 'buffer_family' => 'standard', 'buffer_order' => 'lowest-first', 'fit' => 'least-squares', 'rinse' => 'tap'];
        $this->post("/policies/$policy->id", [...$form, 'form' => self::formId()])->assertForbidden();

        $this->actingAs($this->people['lead'])->post("/policies/$policy->id", [...$form, 'reason' => 'stricter', 'form' => self::formId()])->assertRedirect();

        self::assertSame([2, 92.0], [$this->pair()->policy->version, $this->pair()->policy->slope_low_percent]);
        $this->get('/calibrate/' . $this->pair()->id)->assertSeeInOrder(['value="R-07" selected', 'value="R-08" selected', 'lowest first, one line through all'], false);
        $this->post("/policies/$policy->id", [...$form, 'form' => self::formId()])->assertSessionHasErrors(['policy' => 'Somebody changed this policy meanwhile. Look at the newest version first; nothing was changed.']);

        $this->calibrate();
        $this->measure([4.45, 4.46]);
        self::assertSame(PairState::Ready, Readiness::of($this->pair())->state);
        $this->measure([4.45, 4.46]);
        self::assertSame(PairState::Spent, Readiness::of($this->pair())->state, 'two readings were what it was for');
    }

    public function test_in_any_order_each_buffer_is_recognised_and_takes_its_station(): void
    {
        $this->calibrate();
        $this->post("/calibrate/{$this->pair()->id}/runs", ['lots' => ['Q-29', 'Q-31', 'Q-35'], 'order' => 'free', 'read_back' => 'R-07', 'source' => 'typed', 'form' => self::formId()]);
        $run = CalibrationRun::query()->orderByDesc('id')->firstOrFail();
        foreach (['Q-35', 'Q-31', 'Q-29', 'R-07'] as $station => $code) {
            $this->post("/runs/$run->id/points", ['station' => $station, 'mv' => (string) $this->shown($this->lot($code)->buffer()->phAt(21)), 'celsius' => '21', 'still' => '1', 'form' => self::formId()])->assertSessionHasNoErrors();
        }

        $calibration = $run->calibration()->firstOrFail();
        self::assertSame(['Q-35', 'Q-31', 'Q-29', 'R-07'], $calibration->points->map(static fn(CalibrationPoint $point): string => $point->lot->code)->all());
        self::assertSame(Verdict::Pass, $calibration->verdict);
        self::assertNotNull($calibration->alkaline_slope_percent);
        self::assertTrue(BufferCheck::query()->where('calibration_id', $calibration->id)->sole()->passed, 'a bottle that was not fitted is an independent check');
    }

    public function test_a_meter_that_shows_only_ph_may_tell_its_own_slope(): void
    {
        $run = $this->openRun(electrode: 'E-11');
        foreach (['7.02', '4.00', '7.01'] as $station => $shown) {
            $this->post("/runs/$run->id/points", ['station' => $station, 'shown_ph' => $shown, 'celsius' => '21', 'still' => '1', 'shown_slope' => $station === 2 ? '97 %' : '', 'shown_offset' => $station === 2 ? '-4' : '', 'form' => self::formId()])->assertSessionHasNoErrors();
        }

        $this->get("/calibrations/{$run->calibration()->firstOrFail()->id}")->assertSee('the meter says: slope 97.0 %, offset −4.0 mV');
    }

    public function test_the_day_comes_as_a_sheet_and_as_a_calendar(): void
    {
        $this->calibrate();

        $this->get('/today/sheet')->assertOk()->assertSee('Take E-09 out of its soak');
        $calendar = (string) $this->get('/today/due.ics')->assertOk()->getContent();
        self::assertStringContainsString("BEGIN:VCALENDAR\r\n", $calendar);
        self::assertStringContainsString('SUMMARY:Calibrate E-07', $calendar);
        self::assertStringContainsString('DTSTART:20261125T220000Z', $calendar, 'twelve hours after it was calibrated');
    }

    public function test_the_chain_holds_whatever_was_done_at_the_shelf(): void
    {
        $this->tapsCare('soak usual');
        (new PairUp())($this->people['checker'], SentForm::own(), Meter::query()->where('code', 'M-B')->firstOrFail(), $this->pair()->electrode, 'third', Policy::query()->firstOrFail(), true);

        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_an_own_copy_of_a_policy_stands_beside_it_and_a_pair_is_put_under_it(): void
    {
        $policy = $this->pair()->policy;
        $form = [...array_map(static fn(mixed $value): string => (string) $value, $policy->only(array_keys(PolicyController::NUMBERS))), 'interval_kind' => 'each-use', 'interval_count' => '1', 'buffer_family' => 'any', 'buffer_order' => 'free', 'fit' => 'segments', 'rinse' => 'distilled'];
        $this->actingAs($this->people['lead'])->post("/policies/$policy->id", [...$form, 'copy_as' => 'Sausage room', 'form' => self::formId()])->assertSessionHasNoErrors();
        self::assertSame([1, 'process'], [$policy->version, $this->pair()->policy->code], 'the one it was copied from is as it was');
        $this->post("/policies/$policy->id", [...$form, 'copy_as' => 'Sausage room', 'form' => self::formId()])->assertSessionHasErrors(['copy_as' => 'A policy of that name is there already. Choose another name.']);

        $this->post("/pairs/{$this->pair()->id}/policy", ['policy' => 'sausage-room', 'reason' => 'critical limits', 'form' => self::formId()])->assertSessionHasNoErrors();

        self::assertSame('Sausage room', $this->pair()->policy->name);
        $this->calibrate();
        $this->wait(60);
        $this->tapsCare('stored');
        self::assertSame(PairState::Stored, Readiness::of($this->pair())->state, 'before each use: the session ends with storage');
    }

    public function test_a_scanned_code_opens_its_thing_though_others_begin_like_it(): void
    {
        $this->post('/ready/add/electrode', ['code' => 'E-0', 'name' => 'Short', 'kind' => 'sealed gel', 'first_used_on' => '2026-11-01', 'form' => self::formId()])->assertRedirect('/ready/pairing');

        $this->get('/find?q=e-0')->assertRedirect('/ready/pairing');
        $this->get('/find?q=E-')->assertOk()->assertSee('E-05')->assertSee('on no meter');
        $this->get('/ready/labels?code=L-01')->assertSee('Never in pH buffer')->assertDontSee('E-07');
    }

    public function test_a_discarded_bottle_is_off_the_shelf_and_closed(): void
    {
        $lot = $this->lot('Q-36');
        $this->post("/lots/$lot->id/events", ['kind' => 'discarded', 'note' => 'spilt', 'form' => self::formId()])->assertSessionHasNoErrors();

        $this->get('/ready')->assertDontSee('Q-36');
        $this->get("/lots/$lot->id")->assertSee('Discarded')->assertSee('spilt');
        $this->post("/lots/$lot->id/events", ['kind' => 'dipped', 'form' => self::formId()])->assertSessionHasErrors(['kind' => 'This bottle was discarded.']);
        $this->post("/calibrate/{$this->pair()->id}/runs", ['lots' => ['Q-36', 'Q-31'], 'source' => 'typed', 'form' => self::formId()])->assertSessionHasErrors('lots');
    }

    private function today(): TestResponse
    {
        app()->forgetScopedInstances();

        return $this->get('/');
    }

    private function tapsCare(string $act): void
    {
        $this->post("/pairs/{$this->pair()->id}/care", ['act' => $act, 'form' => self::formId()])->assertSessionHasNoErrors();
    }

    /** A coated glass: slope 85 %, ninety seconds to rest. */
    private function slowAndLow(): void
    {
        $run = $this->openRun();
        foreach ([7.016, 4.002, 7.016] as $station => $ph) {
            $this->post("/runs/$run->id/points", ['station' => $station, 'mv' => (string) $this->shown($ph, 85), 'celsius' => '21', 'still' => '1', 'response_s' => '90', 'reason' => 'typed by a test', 'form' => self::formId()])->assertSessionHasNoErrors();
        }
    }
}
