<?php

declare(strict_types=1);

namespace Tests\Browser;

use Carbon\CarbonImmutable;
use Facebook\WebDriver\WebDriverKeys;
use Rheacid\Actions\Calibrate\AcceptPoint;
use Rheacid\Core\Electrode\FindingCode;
use Rheacid\Core\Settling\Stability;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\ControlCheck;
use Rheacid\Models\Replicate;
use Rheacid\Records\IdempotencyKey;

/** Common slips at the calibration and at the reading, made by a person in a real browser: none passes as good. */
final class SlipsTest extends BrowserTestCase
{
    protected function clock(): string
    {
        return CarbonImmutable::now()->startOfSecond()->subDays(6)->toIso8601String();
    }

    protected function setUp(): void
    {
        parent::setUp();
        CarbonImmutable::setTestNow();
    }

    public function test_a_cold_bottle_typed_as_warm_is_questioned_and_a_warm_check_by_another_thermometer_finds_it(): void
    {
        $this->before(1, 97.0);
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);
        $oda->opens("/calibrate/{$this->pair()->id}")
            ->taps('change')
            ->chooses('thermometer', (string) $this->probe()?->id)
            ->taps('typed from a real meter')
            ->taps('Start anyway')
            ->sees('type what it shows');
        foreach (
            [
                ['Q-27', 'Accept 7.0', '4.01 now'],
                ['Q-28', 'Accept 4.0', 'Accept read-back'],
                ['R-07', 'Accept read-back', 'Use with care.'],
            ] as [$lot, $accept, $then]
        ) {
            // Truly at 8 °C, typed as the room.
            $oda->fills('Potential', (string) $this->shown($this->lot($lot)->buffer()->phAt(8), 97.0, celsius: 8))
                ->fills('Temperature', '21')
                ->watches()
                ->taps($accept)
                ->sees($then);
        }
        $oda->sees('As found, a buffer read')->sees('Question the new buffers first')->sees('Not yet for critical or legal limits.');
        self::assertContains(
            FindingCode::AsFoundJumped,
            array_column(Calibration::query()->orderByDesc('id')->firstOrFail()->found(), 'code'),
        );

        $oda->opens("/pairs/{$this->pair()->id}/check")
            ->sees('In doubt.')
            ->chooses('lot', 'Q-31')
            ->chooses('thermometer', (string) $this->thermometer()->id)
            ->taps('Or type from a real meter')
            ->fills('Potential', (string) $this->shown($this->lot('Q-31')->buffer()->phAt(21), 97.0))
            ->fills('Temperature', '21,4')
            ->watches()
            ->taps('Accept typed reading')
            ->sees('Check failed.');
        self::assertSame($this->thermometer()->id, ControlCheck::query()->orderByDesc('id')->firstOrFail()->thermometer_id);
    }

    public function test_a_near_twin_in_the_cup_asks_for_its_label_by_keyboard_too(): void
    {
        $this->before(4, 97.0);
        $oda = $this->atTheBench(390, 844)->signsIn('oda', self::PASSPHRASE);
        $oda->opens("/calibrate/{$this->pair()->id}")
            ->taps('change')
            ->taps('typed from a real meter')
            ->taps('Start anyway')
            ->sees('type what it shows')
            ->fills('Potential', (string) $this->shown($this->lot('R-08')->buffer()->phAt(21), 97.0))
            ->fills('Temperature', '21')
            ->watches()
            ->taps('Accept 7.0')
            ->sees('By the last runs of this electrode, this is pH 6.86 reference rather than pH 7.00');
        self::assertSame(
            '21',
            $oda->browser->executeScript("return document.querySelector('[name=celsius]').value"),
            'nothing typed is lost',
        );
        self::assertFalse($oda->scrollsSideways());
        self::assertSame(
            0,
            CalibrationPoint::query()
                ->where('source', 'typed')
                ->where('at', '>', CarbonImmutable::now()->subMinutes(5))
                ->count(),
        );

        $oda->watches()->tabsTo('I looked at the label')->types(' ')->leavesFields()->presses(WebDriverKeys::ENTER)->sees('4.01 now');
        self::assertStringContainsString('6.86', (string) CalibrationPoint::query()->orderByDesc('id')->firstOrFail()->twin);
    }

    public function test_a_reading_is_watched_from_the_moment_it_was_typed_and_a_said_one_proves_nothing(): void
    {
        $this->calibrate();
        $this->vouch();
        $batch = $this->batch();
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/measure/$batch->id")
            ->chooses('pair', (string) $this->pair()->id)
            ->chooses('thermometer', (string) $this->thermometer()->id)
            ->taps('typed from a real meter')
            ->taps('Start measuring')
            ->sees('Portion 1');

        $oda->fills('Potential', (string) $this->shown(4.45))->fills('Temperature', '21,4')->sees('Accept portion 1 in');
        $oda->taps('Accept portion 1');
        self::assertSame(0, Replicate::query()->count(), 'a sleeping button does nothing');
        $oda->lets(61)
            ->sees('still ' . $this->shown(4.45))
            ->taps('Accept portion 1')
            ->sees('Portion 2');

        $oda->fills('Potential', (string) $this->shown(4.45))
            ->fills('Temperature', '21,4')
            ->taps('before I typed it')
            ->taps('Accept portion 2')
            ->sees('Not needed')
            ->sees('stable by the checker’s word');
        self::assertSame([Stability::Watched, Stability::Said], Replicate::query()->orderBy('id')->pluck('stability')->all());
        $oda->taps('Record reading on CS-0417')->sees('Recorded on CS-0417.');
        self::assertSame(['stability-said'], $batch->occasions()->orderByDesc('id')->firstOrFail()->decision->blocks ?? []);
    }

    public function test_a_run_left_for_twenty_minutes_says_so_to_whoever_takes_it_over_and_asks_why_it_goes_on(): void
    {
        CarbonImmutable::setTestNow(CarbonImmutable::now()->subMinutes(20));
        $run = $this->openRun();
        foreach (['Q-29', 'Q-31'] as $station => $lot) {
            app(AcceptPoint::class)(
                $this->people['checker'],
                IdempotencyKey::own(),
                $run->refresh(),
                $station,
                $this->typed($this->shown($this->lot($lot)->buffer()->phAt(21))),
                self::answers('as it stands'),
            );
        }
        CarbonImmutable::setTestNow();

        $perrin = $this->atTheBench()
            ->signsIn('perrin', self::PASSPHRASE)
            ->opens('/calibrate')
            ->sees('last touched 20 min ago')
            ->opens("/runs/$run->id")
            ->sees('Left for 20 min.')
            ->fills('Reason to take over', 'Oda is at the vat')
            ->taps('Take over calibration')
            ->sees('Accept read-back');
        $perrin
            ->fills('Potential', (string) $this->shown($this->lot('Q-29')->buffer()->phAt(21)))
            ->fills('Temperature', '21')
            ->watches()
            ->taps('Accept read-back')
            ->sees('The previous point was accepted 20 min ago.')
            ->fills('Why you go on after the break', 'the buffers stood covered')
            ->watches()
            ->taps('Accept read-back')
            ->sees('Use with care.')
            ->sees('20 min lay between two points')
            ->sees('Not yet for critical or legal limits.')
            ->sees('the buffers stood covered');
        $perrin->sees('Oda Venn, Perrin Quillby');
        self::assertSame('the buffers stood covered', CalibrationPoint::query()->orderByDesc('id')->firstOrFail()->gap_reason);
    }

    /** Sound runs on the days before today. */
    private function before(int $runs, float $percent): void
    {
        for ($day = $runs; $day >= 1; $day--) {
            CarbonImmutable::setTestNow(CarbonImmutable::now()->subDays($day));
            $this->calibrate($percent);
            CarbonImmutable::setTestNow();
        }
    }
}
