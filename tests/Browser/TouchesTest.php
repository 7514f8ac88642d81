<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Models\Calibration;
use Rheacid\Models\CareEvent;
use Rheacid\Models\Measurement;
use Rheacid\Models\Thermometer;
use Rheacid\Models\Verification;

/** What the usual case costs, counted; eyes on the cup; and what a lost answer does not do. */
final class TouchesTest extends BrowserTestCase
{
    public function test_two_points_and_a_read_back_on_the_bench_cost_eight_touches_at_most(): void
    {
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/calibrate/{$this->pair()->id}")
            ->sees('7.00 from Q-27 → 4.01 from Q-28 → read back in R-07');

        $oda->taps('Start anyway')
            ->sees('Waiting for the electrode.')
            ->chooses('speed', '60')
            ->taps('pH 7.00 · Q-27')
            ->seesAcceptAwake()
            ->taps('Accept 7.0')
            ->sees('4.01 now')
            ->taps('pH 4.01 · Q-28')
            ->seesAcceptAwake()
            ->taps('Accept 4.0')
            ->sees('Accept read-back')
            ->taps('pH 4.01 reference · R-07')
            ->seesAcceptAwake()
            ->taps('Accept read-back')
            ->sees('Usable until');

        self::assertLessThanOrEqual(8, $oda->touches);
        self::assertSame(Verdict::Pass, Calibration::query()->sole()->verdict);
    }

    public function test_the_same_run_typed_costs_six_touches_beyond_the_numbers_and_the_source_is_remembered(): void
    {
        $this->calibrate();
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/calibrate/{$this->pair()->id}")
            ->taps('Start anyway')
            ->sees('type what it shows');
        foreach ([7.02, 4.0, 4.0] as $station => $ph) {
            $oda->fills('Potential', (string) $this->shown($ph))->fills('Temperature', '21')->lets(31)->seesAcceptAwake();
            $oda->taps(['Accept 7.0', 'Accept 4.0', 'Accept read-back'][$station])->sees(
                [0 => '4.01 now', 1 => 'Accept read-back', 2 => 'Usable until'][$station],
            );
        }

        self::assertLessThanOrEqual(6, $oda->touches);
    }

    public function test_a_typed_reading_of_two_portions_costs_four_touches_beyond_the_numbers_from_the_page_of_its_batch(): void
    {
        $this->calibrate();
        $this->vouch();
        $this->measure([5.2, 5.21]);
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/batches/{$this->batch()->id}")
            ->taps('Measure: blend')
            ->sees('Portion 1');
        foreach ([1, 2] as $portion) {
            $oda->fills('Potential', (string) $this->shown(5.1))->fills('Temperature', '21')->lets(61)->seesAcceptAwake();
            $oda->taps("Accept portion $portion")->sees($portion === 1 ? 'Portion 2' : 'Not needed');
        }
        $oda->taps('Record reading on CS-0417')->sees('Recorded on CS-0417.');

        self::assertLessThanOrEqual(4, $oda->touches);
        self::assertSame(2, Measurement::query()->count());
    }

    public function test_from_today_a_typed_reading_of_two_portions_costs_three_touches_beyond_the_numbers(): void
    {
        $this->calibrate();
        $this->vouch();
        $this->measure([5.2, 5.21]);
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->taps('Measure')
            ->sees('What is next')
            ->taps('Measure CS-0417')
            ->sees('Portion 1');
        foreach ([1, 2] as $portion) {
            // The keyboard ends the number with Enter, which leads from field to field and from the last one on.
            $oda->fills('Potential', (string) $this->shown(5.1))->lets(61)->seesAcceptAwake();
            $oda->presses(WebDriverKeys::ENTER)
                ->types('21')
                ->presses(WebDriverKeys::ENTER)
                ->sees($portion === 1 ? 'Portion 2' : 'Not needed');
        }
        $oda->taps('Record reading on CS-0417')->sees('Recorded on CS-0417.');

        self::assertLessThanOrEqual(3, $oda->touches);
        self::assertSame(2, Measurement::query()->count());
    }

    public function test_an_ice_check_costs_five_touches_at_most(): void
    {
        $thermometer = Thermometer::query()->where('code', 'T-08')->firstOrFail();
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/verify/$thermometer->id");

        $oda->taps('slush of crushed ice')
            ->sees('These readings come from the simulated bath')
            ->taps('everything as drawn')
            ->taps('Record check')
            ->sees('Within tolerance.')
            ->taps('Use without correction')
            ->sees('Use without correction.');

        self::assertLessThanOrEqual(5, $oda->touches);
        self::assertCount(5, Verification::query()->orderByDesc('id')->firstOrFail()->bath);
    }

    public function test_a_foot_switch_does_a_whole_calibration_and_a_tone_says_when_a_reading_is_stable(): void
    {
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/calibrate/{$this->pair()->id}")
            ->sees('read back in')
            ->presses(WebDriverKeys::ENTER)
            ->sees('Waiting for the electrode.')
            ->chooses('speed', '10')
            ->leavesFields();
        $run = $oda->browser->getCurrentURL();
        $oda->types('9');
        foreach (['4.01 now', 'Accept read-back', 'Usable until'] as $next) {
            self::assertSame($run, $oda->browser->getCurrentURL(), 'a digit never leaves a run');
            $oda->presses(WebDriverKeys::ENTER)->sees('still')->seesAcceptAwake();
            $oda->waitsUntil(
                static fn(): bool => $oda->browser->executeScript('return document.documentElement.dataset.settled') === 'yes',
                'the moment of rest to be said',
            );
            $oda->presses(WebDriverKeys::ENTER)->sees($next);
        }

        self::assertSame(Verdict::Pass, Calibration::query()->sole()->verdict);
    }

    public function test_a_record_whose_answer_was_lost_is_not_recorded_twice(): void
    {
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens("/pairs/{$this->pair()->id}");
        // The server gets the sending, and its answer is never seen; nor is what the next page would have said.
        $oda->browser->executeScript(
            <<<'JS'
            window.addEventListener('submit', (event) => {
                event.preventDefault();
                fetch(event.target.getAttribute('action'), { method: 'POST', body: new FormData(event.target, event.submitter) })
                    .then(() => fetch('/batches'))
                    .then(() => { document.title = 'lost'; });
            })
            JS
            ,
        );
        $oda->taps('Store, top up')
            ->taps('Cap topped up')
            ->waitsUntil(static fn(): bool => $oda->title() === 'lost', 'the answer to be lost');

        $oda->opens("/pairs/{$this->pair()->id}")
            ->taps('Store, top up')
            ->taps('Cap topped up')
            ->sees('noted');
        self::assertSame(
            1,
            CareEvent::query()->where('kind', CareKind::ToppedUp)->where('electrode_id', $this->pair()->electrode_id)->count(),
            'the same thing again is the same record',
        );

        $oda->taps('Store, top up')->taps('Stored')->sees('Stored: noted.');
        $oda->taps('Store, top up')->taps('Cap topped up')->sees('Cap topped up: noted.');
        self::assertSame(
            2,
            CareEvent::query()->where('kind', CareKind::ToppedUp)->where('electrode_id', $this->pair()->electrode_id)->count(),
            'once it was seen to be recorded, it can be done again',
        );
    }

    public function test_care_due_on_today_takes_one_tap(): void
    {
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE)->opens('/');
        $before = CareEvent::query()->count();

        $oda->taps('Cap topped up')->sees('Cap topped up: noted.');

        self::assertSame([1, $before + 1], [$oda->touches, CareEvent::query()->count()]);
    }

    public function test_a_refresh_does_not_move_the_page(): void
    {
        $this->calibrate();
        $reading = $this->measure([4.45, 4.46]);
        foreach ([[1280, 800], [390, 844]] as [$width, $height]) {
            $oda = $this->atTheBench($width, $height)->signsIn('oda', self::PASSPHRASE);
            foreach (
                [
                    '/',
                    '/ready',
                    "/batches/{$this->batch()->id}",
                    "/readings/$reading->id",
                    "/calibrations/$reading->calibration_id",
                    "/calibrate/{$this->pair('E-05')->id}",
                ] as $path
            ) {
                self::assertLessThan(0.05, self::shift($oda->opens($path), 1), "$path at $width");
            }
            if ($width > 1000) {
                $oda->taps('Start anyway')
                    ->sees('Waiting for the electrode.')
                    ->chooses('speed', '10')
                    ->taps('pH 7.00 · Q-27')
                    ->sees('still');
                self::assertLessThan(0.05, self::shift($oda, 6), 'while a reading comes to rest');
            }
        }
    }

    /** Cumulative layout shift of the page since it was opened, as the browser tells it. */
    private static function shift(Person $oda, int $seconds): float
    {
        usleep($seconds * 1_000_000);
        $shift = $oda->browser->executeAsyncScript(
            <<<'JS'
            const done = arguments[0];
            let all = 0;
            new PerformanceObserver((list) => {
                for (const entry of list.getEntries()) if (!entry.hadRecentInput) all += entry.value;
            }).observe({ type: 'layout-shift', buffered: true });
            setTimeout(() => done(all), 200);
            JS
            ,
        );

        return is_numeric($shift) ? (float) $shift : INF;
    }
}
