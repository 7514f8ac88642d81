<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Measurement;
use Rheacid\Models\RunState;
use Rheacid\Records\LedgerCheck;

/** From the buffer to one trusted reading on a batch. */
final class JourneyTest extends BrowserTestCase
{
    public function test_by_keyboard_alone_from_today_to_a_reading_on_its_batch(): void
    {
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);

        $oda->sees('Calibrate E-07')
            ->presses(WebDriverKeys::ENTER)
            ->sees('read back in')
            ->presses(WebDriverKeys::ENTER)
            ->sees('Waiting for the electrode.')
            ->tabsTo('speed')
            ->types('60')
            ->movesTheElectrodeAndAccepts('pH 7.00 · Q-27')
            ->sees('4.01 now')
            ->movesTheElectrodeAndAccepts('pH 4.01 · Q-28')
            ->sees('Accept read-back')
            ->movesTheElectrodeAndAccepts('pH 4.01 reference · R-07')
            ->sees('Usable until');
        self::assertSame(Verdict::Pass, Calibration::query()->sole()->verdict);

        $oda->presses(WebDriverKeys::ENTER)
            ->sees('What is next')
            ->tabsTo('Measure CS-0417')
            ->presses(WebDriverKeys::ENTER)
            ->sees('Blended mash')
            ->leavesFields()
            ->presses(WebDriverKeys::ENTER)
            ->sees('Portion 1')
            ->tabsTo('speed')
            ->types('60')
            ->movesTheElectrodeAndAccepts('sample of CS-0417')
            ->sees('Portion 2')
            ->movesTheElectrodeAndAccepts('sample of CS-0417')
            ->sees('Not needed: the portions agree within 0.05')
            ->presses(WebDriverKeys::ENTER)
            ->sees('Recorded on CS-0417.')
            ->sees('Critical limit met.')
            ->tabsTo('Glass whole')
            ->presses(WebDriverKeys::ENTER)
            ->sees('Glass whole: noted.')
            ->leavesFields()
            ->presses(WebDriverKeys::ENTER)
            ->sees('Readings')
            ->sees('open');

        $reading = Measurement::query()->sole();
        self::assertEqualsWithDelta(5.7, $this->decided($reading)->value, 0.02, 'the demo cup holds pH 5.70');
        self::assertNull(LedgerCheck::run()['difference']);
        $oda->tabsTo('open')
            ->presses(WebDriverKeys::ENTER)
            ->sees('Probe thermometer T-03')
            ->sees('Q-27')
            ->tabsTo('calibrated')
            ->presses(WebDriverKeys::ENTER)
            ->sees('Policy');
    }

    public function test_a_run_survives_a_reload_and_is_left_on_record(): void
    {
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);
        $oda->opens("/calibrate/{$this->pair()->id}")
            ->taps('Start anyway')
            ->sees('Waiting for the electrode.')
            ->tabsTo('speed')
            ->types('60')
            ->movesTheElectrodeAndAccepts('pH 7.00 · Q-27')
            ->sees('4.01 now');

        $oda->browser->navigate()->refresh();

        $oda->sees('4.01 now')->taps('Leave')->sees('Calibration ended.');
        self::assertSame(RunState::Abandoned, CalibrationRun::query()->sole()->state);
        self::assertSame(['opened', 'asked', 'left'], CalibrationRun::query()->sole()->events()->pluck('kind')->all());
    }

    public function test_accept_is_disabled_until_stable_and_an_early_accept_needs_a_reason(): void
    {
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);
        $oda->opens("/calibrate/{$this->pair()->id}")
            ->taps('Start anyway')
            ->sees('Waiting for the electrode.')
            ->taps('pH 7.00 · Q-27')
            ->sees('of 30 s');

        $oda->taps('Accept 7.0');
        self::assertStringContainsString('of 30 s', $oda->page(), 'a sleeping button does nothing');

        $oda->taps('Accept before it is stable')
            ->fills('Reason not to wait', 'the vat cannot wait')
            ->taps('Accept with reason')
            ->sees('accepted before it was stable');
    }

    public function test_a_meter_without_a_bench_is_typed(): void
    {
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);
        $oda->opens("/calibrate/{$this->pair()->id}")
            ->taps('typed from a real meter')
            ->taps('Start anyway')
            ->sees('type what it shows');

        $oda->fills('Potential', '4.0 volts')
            ->fills('Temperature', '21,5')
            ->watches()
            ->taps('Accept 7.0')
            ->sees('A potential in mV like 177.4');
        self::assertSame(
            '21,5',
            $oda->browser->executeScript("return document.querySelector('[name=celsius]').value"),
            'nothing typed is lost',
        );

        $oda->fills('Potential', '4,0')->taps('±')->watches()->taps('Accept 7.0')->sees('4.01 now');
    }

    public function test_without_scripts_the_newest_points_are_fetched_by_hand(): void
    {
        $run = $this->openRun(['Q-27', 'Q-28']);
        $run->update(['source' => 'simulated']);
        $oda = $this->atTheBench(scripts: false);
        $oda->opens('/sign-in');
        $oda->browser->findElement(\Facebook\WebDriver\WebDriverBy::name('username'))->sendKeys('oda');
        $oda->browser->findElement(\Facebook\WebDriver\WebDriverBy::name('passphrase'))->sendKeys(self::PASSPHRASE . WebDriverKeys::ENTER);

        $oda->opens("/runs/{$run->id}");
        self::assertStringContainsString('Show the newest points', $oda->browser->getPageSource());
    }

    public function test_on_a_telephone_no_page_scrolls_sideways(): void
    {
        $this->calibrate();
        $reading = $this->measure([4.45, 4.46]);
        $oda = $this->atTheBench(390, 844)->signsIn('oda', self::PASSPHRASE);

        foreach (
            [
                '/',
                '/ready',
                '/calibrate',
                "/calibrate/{$this->pair()->id}",
                '/measure',
                "/measure/{$this->batch()->id}",
                '/batches',
                "/batches/{$this->batch()->id}",
                "/readings/{$reading->id}",
                "/readings/{$reading->id}/correction",
                "/calibrations/{$reading->calibration_id}",
                "/pairs/{$this->pair()->id}",
                "/lots/{$this->lot('Q-31')->id}",
            ] as $path
        ) {
            self::assertFalse($oda->opens($path)->scrollsSideways(), $path);
        }
    }
}
