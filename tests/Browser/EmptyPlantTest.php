<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Illuminate\Support\Facades\Cache;
use Rheacid\Guard\SetUpCode;
use Rheacid\Models\Measurement;
use Rheacid\Models\Site;
use Rheacid\Records\LedgerCheck;
use Rheacid\Site\Settings;

/** From nothing to the first reading, by whoever founds the plant. */
final class EmptyPlantTest extends BrowserTestCase
{
    private const PASSPHRASE_OF_HER_OWN = 'three words and a comma';

    /** Typed on the way. */
    private int $fields = 0;

    private bool $isByKeyboard = false;

    public function test_by_mouse_in_at_most_sixty_clicks_and_forty_five_fields(): void
    {
        $runa = $this->founds($this->atTheBench());
        $this->reads($runa, $this->leaving($runa, static fn(string $name): Person => $runa->taps($name)));

        self::assertLessThanOrEqual(60, $runa->touches, 'clicks');
        self::assertLessThanOrEqual(45, $this->fields, 'fields');
        self::assertNull(LedgerCheck::run()['difference']);
    }

    public function test_by_keyboard_alone(): void
    {
        $this->isByKeyboard = true;
        $runa = $this->founds($this->atTheBench());
        $this->reads(
            $runa,
            $this->leaving($runa, static fn(string $name): Person => $runa->leavesFields()->tabsTo($name)->presses(WebDriverKeys::ENTER)),
        );
    }

    public function test_by_telephone(): void
    {
        $runa = $this->founds($this->atTheBench(390, 844));
        $this->reads(
            $runa,
            $this->leaving($runa, static function (string $name) use ($runa): Person {
                self::assertFalse($runa->scrollsSideways(), "before $name at {$runa->browser->getCurrentURL()}");

                return $runa->touches($name);
            }),
        );
    }

    /**
     * Each thing that is done here leads to another page, which is waited for: a field of it that takes the focus as it comes would
     * take the next key as well.
     *
     * @param callable(string): Person $does
     *
     * @return callable(string): Person
     */
    private function leaving(Person $runa, callable $does): callable
    {
        return static function (string $name) use ($runa, $does): Person {
            $runa->browser->executeScript('window.isLeft = true');
            $does($name);
            $runa->waitsUntil(
                static fn(): bool => (bool) $runa->browser->executeScript('return !window.isLeft && document.readyState === "complete"'),
                "the page after $name",
            );
            usleep(150_000);

            return $runa;
        };
    }

    private function founds(Person $runa): Person
    {
        self::emptyDatabase();
        Cache::flush();
        Settings::forget();
        $code = SetUpCode::fresh();
        $runa->opens('/sign-in')->sees('Set up your site');
        foreach (
            [
                'Set-up code' => strtolower($code),
                'Site name' => 'Saltmarsh Ferments',
                'Time zone' => 'Europe/Lisbon',
                'Elevation' => '12 m',
                'Your name' => 'Runa Thistle',
                'Sign-in name' => 'runa',
                'Passphrase' => self::PASSPHRASE_OF_HER_OWN,
                'Repeat passphrase' => self::PASSPHRASE_OF_HER_OWN,
                'PIN' => '246810',
            ] as $label => $text
        ) {
            $this->fills($runa, $label, $text);
        }
        $runa->presses(WebDriverKeys::ENTER)->sees('The site is set up');
        self::assertFalse(Site::isDemo());

        return $runa;
    }

    /** @param callable(string): Person $does by mouse, key or finger */
    private function reads(Person $runa, callable $does): void
    {
        $does('A meter');
        $runa->sees('Add a meter');
        $this->fillsAll($runa, ['Code on the label' => 'M-1', 'Name' => 'Bench meter', 'Resolution, mV' => '0.1']);
        $does('Add ');
        $this->next($runa, $does, 'An electrode', 'Add an electrode');
        $this->fillsAll($runa, [
            'Code on the label' => 'E-1',
            'Name' => 'Electrode one',
            'First used on' => '2026-06-01',
            'Stored wet since' => '2026-06-02',
        ]);
        $does('Add ');
        $runa->sees('Pair meter and electrode');
        $this->fillsAll($runa, ['Electrode or sensor' => 'E-1', 'Meter' => 'M-1']);
        $does('Pair Enter');
        $runa->sees('Never calibrated.');
        $this->next($runa, $does, 'A thermometer', 'Add a thermometer');
        $this->fillsAll($runa, ['Code on the label' => 'T-1', 'Name' => 'Stick thermometer']);
        $does('Add ');
        $this->next($runa, $does, 'Check the thermometer in an ice bath', 'Record check');
        $this->isByKeyboard ? $runa->tabsTo('everything as drawn')->presses(WebDriverKeys::SPACE) : $runa->taps('everything as drawn');
        $this->fillsAll($runa, ['First reading' => '0.1', 'Second' => '0.1', 'Third' => '0.0']);
        $does('Record check');
        $runa->sees('Within tolerance.');
        $does('Use without correction');
        foreach ([['B-7', 'pH 7.00', '7.00'], ['B-4', 'pH 4.01', '4.01']] as [$lot, $label, $buffer]) {
            $this->next($runa, $does, 'Two buffers', 'Add a bottle');
            $this->fillsAll($runa, [
                'Lot number' => $lot,
                'Label' => $label,
                'Buffer' => "technical $buffer",
                'Printed expiry' => '2028-06-30',
                'Opened on' => date('Y-m-d'),
            ]);
            $does('Add ');
            $runa->sees("Bottle $lot");
        }
        $this->next($runa, $does, 'A product', 'Products');
        $does('Kombucha');
        $runa->sees('Library · ferment');
        $does('Adopt product');
        $this->next($runa, $does, 'A batch', 'Start batch');
        $does('Choose');
        $runa->sees('Started at');
        $this->fillsAll($runa, ['Vessel' => 'jar 1', 'Size' => '5 L']);
        $does('Start ');
        $this->next($runa, $does, 'The first calibration', 'Calibrate');
        $does('Start anyway');
        foreach (
            [
                [-0.9, 'Accept 7.0', 'Accept 4.0'],
                [170.9, 'Accept 4.0', 'Accept read-back'],
                [-1.0, 'Accept read-back', 'Usable until'],
            ] as [$mv, $accept, $then]
        ) {
            $runa->sees($accept);
            $this->types($runa, $mv);
            $does($accept);
            $runa->sees($then);
        }
        $this->next($runa, $does, 'The first reading', 'Measure');
        $does('Start measuring');
        foreach ([1, 2] as $portion) {
            $runa->sees("Portion $portion");
            $this->types($runa, 200.1);
            $does("Accept portion $portion");
            $runa->sees($portion === 1 ? 'Portion 2' : 'Not needed');
        }
        $does('Record reading on');
        $runa->sees('Recorded on');
        self::assertSame(1, Measurement::query()->count());
        $runa->opens('/')->sees('Today');
        self::assertStringNotContainsString('First steps', $runa->page());
    }

    /** @param callable(string): Person $does */
    private function next(Person $runa, callable $does, string $step, string $title): void
    {
        $does('Today');
        $runa->sees('First steps');
        $does($step);
        $runa->sees($title);
    }

    private function types(Person $runa, float $mv): void
    {
        $this->fillsAll($runa, ['Potential' => (string) $mv, 'Temperature' => '21']);
        $runa->lets(61)->seesAcceptAwake();
    }

    /** @param array<string, string> $typed by label */
    private function fillsAll(Person $runa, array $typed): void
    {
        foreach ($typed as $label => $text) {
            $this->fills($runa, $label, $text);
        }
    }

    private function fills(Person $runa, string $label, string $text): void
    {
        $this->fields++;
        $field = $runa->browser->findElement(WebDriverBy::xpath("//*[@id = //label[normalize-space() = '$label']/@for]"));
        if ($field->getTagName() !== 'select') {
            $field->clear();
        }
        $field->sendKeys($text);
    }
}
