<?php

declare(strict_types=1);

namespace Tests\Browser;

use Carbon\CarbonImmutable;
use Facebook\WebDriver\WebDriverKeys;
use Rheacid\Core\Access\TimeCode;
use Rheacid\Models\Measurement;
use Rheacid\Models\SiteZone;
use Rheacid\Site\Settings;

/** What a lead settles for a site, and for themselves. */
final class SettingsTest extends BrowserTestCase
{
    public function test_a_site_changes_its_time_zone_and_an_ambiguous_time_is_asked_about(): void
    {
        $sela = $this->atTheBench()->signsIn('sela', self::PASSPHRASE)->opens('/settings')->sees('Settings');
        $sela->fills('Time zone', 'Atlantic/Azores')->taps('Change time zone')->sees('The site uses Atlantic/Azores');
        Settings::forget();
        // The zone before lies an hour or two ahead: on the wall the last half hour comes again.
        $from = CarbonImmutable::instance(SiteZone::query()->orderByDesc('id')->firstOrFail()->in_force_from);
        $drawn = $from->subMinutes(30);
        $wall = $drawn->setTimezone('Europe/Dublin')->format('Y-m-d\TH:i');

        $sela
            ->opens("/measure/{$this->batch()->id}/other")
            ->chooses('of', 'temperature|core')
            ->fills('Value', '21.4');
        $sela->chooses('thermometer', (string) $this->thermometer()->id);
        $this->writes($sela, 'drawn_at', $wall);
        $this->writes($sela, 'measured_at', $wall);
        $sela->taps('Record value')->sees('occurred twice. Choose the first or the second.');
        self::assertSame(0, Measurement::query()->count());
        $sela->chooses('drawn_at_hour', 'first')->chooses('measured_at_hour', 'first')->taps('Record value');
        $sela->waitsUntil(static fn(): bool => Measurement::query()->exists(), 'the reading to be recorded');

        self::assertSame($drawn->format('H:i'), Measurement::query()->sole()->occasion->drawn_at->format('H:i'));
    }

    public function test_a_lead_sets_up_an_authenticator_and_signs_in_with_it(): void
    {
        $sela = $this->atTheBench()->signsIn('sela', self::PASSPHRASE)->opens('/yourself/code')->sees('scan the code or type the key');
        $sela->waitsUntil(
            static fn(): bool => (bool) $sela->browser->executeScript(
                "const c = document.querySelector('canvas'); return !c.hidden && new Set(c.getContext('2d').getImageData(0, 0, c.width, "
                    . "c.height).data).size > 1",
            ),
            'the square to be drawn',
        );
        $key = (string) $sela->browser->executeScript("return document.querySelector('.secret').innerText.replace(/\\s/g, '')");
        $sela
            ->fills('Authenticator code', $this->code($key))
            ->fills('Passphrase', self::PASSPHRASE)
            ->leavesFields()
            ->presses(WebDriverKeys::ENTER)
            ->sees('They are shown only now.');
        $recovery = (string) $sela->browser->executeScript("return document.querySelector('.codes li').innerText");

        $sela
            ->taps('Sign out')
            ->sees('I have an invitation code')
            ->fills('Sign-in name', 'sela')
            ->fills('Passphrase', self::PASSPHRASE)
            ->presses(WebDriverKeys::ENTER)
            ->sees('Authenticator code');
        $sela->types('123456')->presses(WebDriverKeys::ENTER)->sees('That code is not valid');
        $sela->taps('I do not have my phone')->fills('Recovery code', $recovery)->presses(WebDriverKeys::ENTER)->sees('Sela Thornmere');
    }

    /** As another program calculates it. */
    private function code(string $key): string
    {
        exec('oathtool --totp --base32 ' . escapeshellarg($key), $said);
        self::assertSame(TimeCode::DIGITS, strlen($said[0] ?? ''));

        return $said[0];
    }

    /** A browser takes a day and a time in the order of its own language. */
    private function writes(Person $person, string $name, string $value): void
    {
        $person->browser->executeScript("document.querySelector('[name=$name]').value = '$value'");
    }
}
