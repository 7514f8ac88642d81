<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Rheacid\Core\Care\PairState;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Simulation\Fault;
use Rheacid\Models\Calibration;
use Rheacid\Models\CellCalibration;
use Rheacid\Queries\Ready\Readiness;

/** The morning of a checker: from the plan of the day to a shelf that is ready. */
final class MorningTest extends BrowserTestCase
{
    public function test_from_today_through_clean_and_soak_to_a_ready_electrode_on_three_buffers_of_either_family(): void
    {
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);
        $oda->opens('/ready')
            ->taps('E-07')
            ->sees('never calibrated')
            ->taps('Clean')
            ->taps('protein')
            ->sees('Cleaned: noted.')
            ->taps('Soak')
            ->taps('15 min')
            ->sees('soaking until');
        self::assertSame(PairState::Soaking, Readiness::of($this->pair())->state);

        $oda->opens("/calibrate/{$this->pair()->id}")
            ->taps('change')
            ->chooses('lots[2]', 'Q-35')
            ->fills('Reason not to wait for the soak', 'the vat cannot wait')
            ->taps('Start anyway')
            ->sees('Waiting for the electrode.')
            ->chooses('speed', '60')
            ->movesTheElectrodeAndAccepts('pH 7.00 · Q-27')
            ->sees('4.01 now')
            ->movesTheElectrodeAndAccepts('pH 4.01 · Q-28')
            ->sees('10.01 now')
            ->movesTheElectrodeAndAccepts('pH 10.01 · Q-35')
            ->sees('Accept read-back')
            ->movesTheElectrodeAndAccepts('pH 4.01 reference · R-07')
            ->sees('Usable until');
        self::assertNotNull(Calibration::query()->sole()->alkaline_slope_percent);

        $oda->opens("/calibrate/{$this->pair('E-05')->id}")
            ->taps('change')
            ->chooses('lots[0]', 'R-08')
            ->chooses('lots[1]', 'R-07')
            ->chooses('lots[2]', 'R-09')
            ->chooses('read_back', '')
            ->taps('Start anyway')
            ->sees('confirms itself')
            ->taps('Start anyway')
            ->sees('Waiting for the electrode.')
            ->chooses('speed', '60')
            ->movesTheElectrodeAndAccepts('pH 6.86 reference · R-08')
            ->sees('4.00 now')
            ->movesTheElectrodeAndAccepts('pH 4.01 reference · R-07')
            ->sees('9.18 now')
            ->movesTheElectrodeAndAccepts('pH 9.18 reference · R-09')
            ->sees('Accept read-back')
            ->movesTheElectrodeAndAccepts('pH 6.86 reference · R-08')
            ->sees('Usable until');
        $oda->opens('/')->sees('Measure Fermented chilli sauce');
        self::assertStringNotContainsString('Calibrate E-07', $oda->page());
    }

    public function test_a_conductivity_meter_takes_its_own_standard_and_no_buffer(): void
    {
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);
        $oda->opens('/calibrate')
            ->sees('conductivity')
            ->taps('Calibrate L-01')
            ->sees('Standard')
            ->chooses('lot', 'Q-31')
            ->taps('Or type')
            ->fills('Conductivity', '1262')
            ->fills('Temperature', '20,4')
            ->taps('was stable')
            ->taps('Accept typed reading')
            ->sees('Bottle Q-31 (');
        self::assertSame(0, CellCalibration::query()->count());

        $oda->chooses('lot', 'C-02')->taps('Accept typed reading')->sees('Pass.')->sees('ready until');
        self::assertEqualsWithDelta(1413 / (1262 / (1 + 0.02 * (20.4 - 25))), CellCalibration::query()->sole()->cell_factor, 1e-9);

        $oda->chooses('speed', '60')
            ->movesTheElectrodeAndAccepts('conductivity 12.88 mS/cm · C-03')
            ->sees('Rinse, use fresh standard')
            ->sees('Waiting for the electrode.');
        $oda->taps('conductivity 1413 µS/cm · C-02')->seesAcceptAwake()->leavesFields()->presses(WebDriverKeys::ENTER)->sees('Pass.');
        self::assertEqualsWithDelta(
            1.017,
            CellCalibration::query()->orderByDesc('id')->firstOrFail()->cell_factor,
            0.003,
            'the true factor of the cell',
        );
    }

    public function test_a_hidden_fault_is_found_and_the_first_step_is_named(): void
    {
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);
        $oda->opens("/bench/{$this->pair()->id}")
            ->chooses('fault', Fault::Coated->value)
            ->fills('Seed', '7')
            ->taps('Set condition')
            ->sees('Simulated bench set.')
            ->taps('Start anyway')
            ->sees('Waiting for the electrode.')
            ->chooses('speed', '60')
            ->movesTheElectrodeAndAccepts('pH 7.00 · Q-27')
            ->sees('4.01 now')
            ->movesTheElectrodeAndAccepts('pH 4.01 · Q-28')
            ->sees('Accept read-back')
            ->movesTheElectrodeAndAccepts('pH 4.01 reference · R-07')
            ->sees('Likely cause.')
            ->sees('One of these: a coating');
        $oda->presses(WebDriverKeys::ENTER)->sees('Clean');
        $oda->opens('/')->sees('E-07: clean it by type of soiling');
        self::assertSame(Diagnosis::Coated, Calibration::query()->sole()->diagnosis);
    }

    public function test_a_new_electrode_is_put_on_the_shelf_labelled_and_paired_by_keyboard(): void
    {
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);
        $oda->opens('/ready/add/electrode')
            ->fills('Code on the label', 'E-12')
            ->fills('Name', 'Electrode E-12')
            ->chooses('kind', 'sleeve junction, refillable')
            ->fills('First used on', '2026-01-05')
            ->leavesFields()
            ->presses(WebDriverKeys::ENTER)
            ->sees('E-12 added')
            ->fills('Electrode or sensor', 'E-12')
            ->fills('Meter', 'M-B')
            ->fills('Socket', 'third socket')
            ->leavesFields()
            ->presses(WebDriverKeys::ENTER)
            ->sees('E-12 on Cellar meter B, third socket')
            ->sees('never calibrated');
        $oda->taps('Label')->sees('Not for conductivity standard');
        $oda->waitsUntil(
            static fn(): bool => (bool) $oda->browser->executeScript(
                "return document.querySelector('canvas[data-code=\"E-12\"]').getContext('2d').getImageData(10, 10, 60, "
                    . "60).data.some((value, i) => i % 4 < 3 && value === 0)",
            ),
            'the square to be drawn',
        );
        self::assertSame('third socket', $this->pair('E-12')->channel);
    }
}
