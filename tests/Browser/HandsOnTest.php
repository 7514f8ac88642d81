<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationPoint;
use Rheacid\Models\Measurement;

/** The slice under real conditions: a phone in a dark cellar, a lost connection, gloves, other hands. */
final class HandsOnTest extends BrowserTestCase
{
    public function test_the_whole_journey_by_touch_on_a_telephone_in_the_dark(): void
    {
        $oda = $this->atTheBench(390, 844, dark: true)->signsIn('oda', self::PASSPHRASE);
        self::assertSame(
            'rgb(26, 34, 39)',
            $oda->browser->executeScript("return getComputedStyle(document.querySelector('.surface')).backgroundColor"),
            'the dark scheme',
        );

        $oda->touches('Calibrate: Calibrate E-07')
            ->sees('read back in')
            ->touches('Start anyway')
            ->sees('Waiting for the electrode.')
            ->chooses('speed', '60');
        $oda->touches('pH 7.00 · Q-27')
            ->seesAcceptAwake()
            ->touches('Accept 7.0')
            ->sees('4.01 now')
            ->touches('pH 4.01 · Q-28')
            ->seesAcceptAwake()
            ->touches('Accept 4.0')
            ->sees('Accept read-back')
            ->touches('pH 4.01 reference · R-07')
            ->seesAcceptAwake()
            ->touches('Accept read-back')
            ->sees('Usable until');
        self::assertSame(Verdict::Pass, Calibration::query()->sole()->verdict);

        $oda->touches('Measure a batch')
            ->sees('Batches to measure')
            ->touches('Measure CS-0417')
            ->sees('Start measuring')
            ->touches('Start measuring')
            ->sees('Portion 1')
            ->chooses('speed', '60');
        $oda->touches('sample of CS-0417')
            ->seesAcceptAwake()
            ->touches('Accept portion 1')
            ->sees('Portion 2')
            ->touches('sample of CS-0417')
            ->seesAcceptAwake()
            ->touches('Accept portion 2')
            ->sees('Not needed')
            ->touches('Record reading on CS-0417')
            ->sees('Recorded on CS-0417.');

        self::assertEqualsWithDelta(5.7, $this->decided(Measurement::query()->sole())->value, 0.02);
    }

    public function test_a_connection_lost_in_the_middle_of_a_run_loses_nothing(): void
    {
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);
        $oda->opens("/calibrate/{$this->pair()->id}")
            ->taps('typed from a real meter')
            ->taps('Start anyway')
            ->sees('type what it shows')
            ->fills('Potential', '-4,2')
            ->fills('Temperature', '21,5');

        $this->connection($oda, lost: true);
        $oda->watches()->taps('Accept 7.0')->sees('No connection. What you typed');
        self::assertSame(0, CalibrationPoint::query()->count());

        $this->connection($oda, lost: false);
        $oda->browser->navigate()->refresh();
        $oda->sees('is back; it was not recorded yet');
        self::assertSame(
            ['-4,2', '21,5'],
            $oda->browser->executeScript("return ['mv', 'celsius'].map((name) => document.querySelector('[name=' + name + ']').value)"),
        );

        $oda->watches()->taps('Accept 7.0')->sees('4.01 now');
        self::assertSame(-4.2, CalibrationPoint::query()->sole()->mv);
        self::assertStringNotContainsString('is back', $oda->page(), 'what is recorded is no longer kept');
    }

    public function test_a_live_trace_goes_on_when_the_connection_is_back(): void
    {
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);
        $oda->opens("/calibrate/{$this->pair()->id}")
            ->taps('Start anyway')
            ->sees('Waiting for the electrode.')
            ->chooses('speed', '30')
            ->taps('pH 7.00 · Q-27')
            ->sees('of 30 s');

        $this->connection($oda, lost: true);
        $oda->sees('No connection.');
        $this->connection($oda, lost: false);

        $oda->seesAcceptAwake()->waitsUntil(static fn(): bool => !str_contains($oda->page(), 'No connection.'), 'the warning to go');
        $oda->taps('Accept 7.0')->sees('4.01 now');
        self::assertTrue(CalibrationPoint::query()->sole()->settled);
    }

    public function test_points_are_asked_for_each_second_by_the_holder_each_fourth_by_others_and_never_in_the_background(): void
    {
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);
        $oda->opens("/calibrate/{$this->pair()->id}")
            ->taps('Start anyway')
            ->sees('Waiting for the electrode.');
        $pace = static fn(Person $person): mixed => $person->browser->executeScript(
            'return document.getElementById("live").getAttribute("hx-trigger")',
        );
        self::assertSame('every 1s', $pace($oda));
        $asked = static fn(): int => (int) $oda->browser->executeScript(
            'return performance.getEntriesByType("resource").filter((one) => one.name.endsWith("/live")).length',
        );
        $oda->waitsUntil(static fn(): bool => $asked() > 0, 'the first points');

        $oda->browser->executeScript('Object.defineProperty(document, "hidden", {configurable: true, get: () => true})');
        usleep(500_000);
        $before = $asked();
        usleep(2_500_000);
        self::assertSame($before, $asked());
        $oda->browser->executeScript('delete document.hidden');
        $oda->waitsUntil(static fn(): bool => $asked() > $before, 'points again');

        $other = $this->atTheBench()
            ->signsIn('perrin', self::PASSPHRASE)
            ->opens((string) parse_url($oda->browser->getCurrentURL(), PHP_URL_PATH));
        self::assertSame('every 4s', $pace($other));
    }

    public function test_another_person_takes_over_in_two_taps_and_a_pin(): void
    {
        $pin = self::PIN;
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE)->opens('/batches')->sees('CS-0417');

        $oda->taps('Oda Venn')
            ->sees('Who is at the bench?')
            ->taps('Perrin Quillby')
            ->sees('PIN')
            ->types($pin)
            ->presses(WebDriverKeys::ENTER);

        $oda->sees('Perrin Quillby is at the bench.');
        self::assertStringEndsWith('/batches', $oda->browser->getCurrentURL());
    }

    public function test_a_common_passphrase_is_refused_and_a_new_one_ends_every_other_session(): void
    {
        $elsewhere = $this->atTheBench(390, 844)->signsIn('oda', self::PASSPHRASE)->opens('/batches')->sees('CS-0417');
        $oda = $this->atTheBench()
            ->signsIn('oda', self::PASSPHRASE)
            ->opens('/yourself')
            ->taps('Passphrase, PIN and sessions')
            ->sees('this device');
        self::assertSame(1, $oda->browser->executeScript('return document.querySelectorAll("main form[action*=sessions]").length'));
        $types = static fn(string $now, string $new) => $oda
            ->fills('Current passphrase', $now)
            ->fills('New passphrase', $new)
            ->fills('Repeat new passphrase', $new)
            ->taps('Change passphrase');

        $types('not hers', 'kettle and nine herons')->sees('That is not your passphrase.');
        $types(self::PASSPHRASE, 'Password12345')->sees('very common');
        $types(self::PASSPHRASE, 'kettle and nine herons')->sees('Passphrase changed.')->sees('this device');

        self::assertSame(
            0,
            $oda->browser->executeScript('return document.querySelectorAll("main form[action*=sessions]").length'),
            'no other session is left',
        );
        $elsewhere->opens('/batches')->sees('Passphrase');
        self::assertStringEndsWith('/sign-in', $elsewhere->browser->getCurrentURL());
    }

    public function test_shortcut_keys_can_be_switched_off_on_this_device(): void
    {
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);
        $oda->leavesFields()->types('?')->sees('Use keyboard shortcuts')->taps('Use keyboard shortcuts')->taps('Close');

        $oda->leavesFields()->types('2');
        self::assertStringNotContainsString('/ready', $oda->browser->getCurrentURL());

        $oda->types('?')->taps('Use keyboard shortcuts')->taps('Close')->leavesFields()->types('2')->sees('Meters with electrodes');
    }

    public function test_every_target_is_large_enough_for_a_gloved_finger(): void
    {
        $this->calibrate();
        $oda = $this->atTheBench(390, 844)->signsIn('oda', self::PASSPHRASE);
        $small = [];
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
                '/hands',
                "/pairs/{$this->pair()->id}/check",
            ] as $path
        ) {
            $found = $oda->opens($path)->browser->executeScript(
                <<<'JS'
                // A link within a sentence may be as tall as its line.
                const inSentence = (e) => e.tagName === 'A' && e.closest('p, dd, dt, small') !== null;
                const inputs = 'main input:not([type=hidden]):not([type=checkbox]):not([type=radio])';
                return [...document.querySelectorAll(`main a, main button, main select, ${inputs}, nav li a, .hands a, .hands button`)]
                    .filter((e) => e.offsetParent !== null && !inSentence(e) && e.getBoundingClientRect().height < 43.5)
                    .map((e) => `${location.pathname} ${e.innerText.trim() || e.name} ${Math.round(e.getBoundingClientRect().height)} px`);
                JS
                ,
            );
            array_push($small, ...is_array($found) ? $found : []);
        }

        self::assertSame([], $small);
    }

    /** The browser's own network emulation. */
    private function connection(Person $person, bool $lost): void
    {
        $person->chromium->tells('Network.enable');
        $person->chromium->tells('Network.emulateNetworkConditions', [
            'offline' => $lost,
            'latency' => 0,
            'downloadThroughput' => -1,
            'uploadThroughput' => -1,
        ]);
    }

    public function test_a_new_person_joins_by_code_with_the_keyboard_alone_and_is_signed_out_when_disabled(): void
    {
        $sela = $this->atTheBench()
            ->signsIn('sela', self::PASSPHRASE)
            ->opens('/people')
            ->fills('Name', 'Runa Thistle')
            ->fills('Sign-in name', 'runa')
            ->taps('Invite')
            ->sees('is the invitation code of Runa Thistle');
        self::assertSame(1, preg_match('/[A-Z0-9]{4}-[A-Z0-9]{4}-[A-Z0-9]{4}/', $sela->page(), $code));

        $runa = $this->atTheBench(390, 844)
            ->opens('/sign-in')
            ->tabsTo('I have an invitation code')
            ->presses(WebDriverKeys::ENTER)
            ->sees('Choose a passphrase and a PIN');
        $runa
            ->types($code[0] ?? '')
            ->presses(WebDriverKeys::TAB)
            ->types('three words and a comma')
            ->presses(WebDriverKeys::TAB)
            ->types('three words and a comma')
            ->presses(WebDriverKeys::TAB)
            ->types('246810')
            ->presses(WebDriverKeys::ENTER)
            ->sees('Welcome, Runa Thistle.');
        self::assertFalse($runa->scrollsSideways());
    }
}
