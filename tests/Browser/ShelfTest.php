<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Rheacid\Core\Care\ElectrodeKind;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Core\Measuring\Source;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\Electrode;
use Rheacid\Models\Pair;
use Rheacid\Models\Thermometer;

/** What a lead and a checker do at the shelf, in a real browser. */
final class ShelfTest extends BrowserTestCase
{
    public function test_a_file_is_previewed_corrected_on_the_page_and_imported(): void
    {
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens('/ready')
            ->taps('Import from a file')
            ->sees('Check file')
            ->fills('Or paste the text', "what;code;name;kind;first_used_on\nelectrode;E-41;Spare;sealed gel;1.11.2026")
            ->taps('Check file')
            ->sees('Some lines have errors.')
            ->sees('Type a date like 2026-11-20');

        $oda->fills('Text', "what;code;name;kind;first_used_on\nelectrode;E-41;Spare;sealed gel;2026-01-05")
            ->taps('Check again')
            ->sees('Ready to import.');
        self::assertFalse(Electrode::query()->where('code', 'E-41')->exists());
        $oda->taps('Import')->waitsUntil(static fn(): bool => Electrode::query()->where('code', 'E-41')->exists(), 'the shelf to be taken');
        $oda->sees('E-41');
        self::assertSame(ElectrodeKind::SealedGel, Electrode::query()->where('code', 'E-41')->sole()->kind);
    }

    public function test_an_electrode_on_another_meter_starts_uncalibrated(): void
    {
        $old = $this->calibrate()->pair;
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens('/ready/pairing')
            ->fills('Electrode or sensor', 'E-07')
            ->fills('Meter', 'M-B')
            ->fills('Socket', 'third socket')
            ->taps('Pair Enter')
            ->sees('Tick "exchange" to part them first')
            ->taps('Separate them from')
            ->taps('Pair Enter')
            ->sees('E-07 on Cellar meter B, third socket')
            ->sees('never calibrated');

        $oda->opens("/pairs/$old->id")
            ->sees('Separated')
            ->opens("/calibrations/{$old->newestCalibration?->id}")
            ->sees('Ended when E-07 was separated from Bench meter A');
        self::assertSame(1, Pair::query()->together()->whereRelation('electrode', 'code', 'E-07')->count());
    }

    public function test_a_lead_makes_a_stricter_policy_and_the_next_calibration_is_judged_by_it(): void
    {
        $sela = $this->atTheBench()
            ->signsIn('sela', self::PASSPHRASE)
            ->opens('/policies')
            ->taps('Process')
            ->sees('Save policy')
            ->fills('Lowest slope, %', '99')
            ->fills('Reason for the change', 'new electrodes')
            ->leavesFields()
            ->presses(WebDriverKeys::ENTER)
            ->sees('Version 2');
        $calibration = $this->calibrate(98.0);
        $sela
            ->opens("/calibrations/$calibration->id")
            ->sees('Process, version 2')
            ->sees('slope 99–102 %');
        self::assertSame(Verdict::Fail, $calibration->verdict);
    }

    public function test_a_second_person_sees_who_uses_an_electrode_and_takes_over_with_a_reason(): void
    {
        $run = $this->openRun();
        $perrin = $this->atTheBench()
            ->signsIn('perrin', self::PASSPHRASE)
            ->opens("/calibrate/{$this->pair()->id}")
            ->sees('Oda Venn has been calibrating this pair since')
            ->taps('Open it')
            ->sees('Oda Venn has been calibrating since')
            ->taps('Take over calibration')
            ->sees('Give a reason to take over');
        self::assertSame($this->people['checker']->id, CalibrationRun::query()->findOrFail($run->id)->holder_id);

        $perrin
            ->fills('Reason to take over', 'Oda is at the vat')
            ->taps('Take over calibration')
            ->sees('Accept 7.0')
            ->fills('Potential', (string) $this->shown(7.016))
            ->fills('Temperature', '21')
            ->watches()
            ->leavesFields()
            ->presses(WebDriverKeys::ENTER)
            ->sees('4.01 now');
        self::assertSame(
            [$this->people['second']->id, Source::Typed],
            [CalibrationRun::query()->findOrFail($run->id)->holder_id, $run->points()->sole()->source],
        );
    }

    public function test_a_comparison_ends_in_a_certificate(): void
    {
        $stick = Thermometer::query()->where('code', 'T-08')->sole();
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/verify/$stick->id?method=comparison")
            ->sees('Reference')
            ->chooses('reference', 'T-00')
            ->fills('Reference reading', '63.05')
            ->fills('First reading', '63,2')
            ->fills('Second', '63.1')
            ->fills('Third', '63.2')
            ->taps('Record check')
            ->sees('Within tolerance.')
            ->leavesFields()
            ->presses(WebDriverKeys::ENTER)
            ->sees('Use without correction.')
            ->taps('Certificate');

        $oda->sees('T-00 at 63.05 °C')->sees('Ledger head');
        $pdf = (string) $oda->browser->findElement(WebDriverBy::linkText('PDF'))->getAttribute('href');
        self::assertSame(
            '%PDF-',
            $oda->browser->executeAsyncScript(
                'const done = arguments[1]; fetch(arguments[0]).then(r => r.text()).then(text => done(text.slice(0, 5)))',
                [$pdf],
            ),
        );
    }

    public function test_a_redox_electrode_is_checked_by_typing(): void
    {
        $oda = $this->atTheBench(390, 844)
            ->signsIn('oda', self::PASSPHRASE)
            ->opens('/calibrate')
            ->taps('Calibrate X-01')
            ->sees('redox')
            ->chooses('lot', 'N-01')
            ->taps('Or type')
            ->fills('Redox potential', '221 mV')
            ->fills('Temperature', '25')
            ->taps('was stable')
            ->taps('Accept typed reading')
            ->sees('Pass.')
            ->sees('1.0 mV offset');

        self::assertFalse($oda->scrollsSideways());
    }
}
