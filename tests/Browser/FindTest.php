<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\WebDriverKeys;

/** A thing or a page is found by the words that people use, by keyboard and by thumb. */
final class FindTest extends BrowserTestCase
{
    public function test_search_answers_while_a_person_types_and_an_exact_code_opens_its_page(): void
    {
        $oda = $this->atTheBench()->signsIn('oda', self::PASSPHRASE);

        $oda->presses('/')->types('chili')->sees('CS-0417 · Fermented chilli sauce');
        self::assertSame('/', parse_url($oda->browser->getCurrentURL(), PHP_URL_PATH), 'the page stays while somebody types');
        $oda->tabsTo('CS-0417')->presses(WebDriverKeys::ENTER)->sees('Sampling plan');
        self::assertStringContainsString('CS-0417', $oda->title());

        $oda->opens('/')->presses('/')->types('cs 0417')->presses(WebDriverKeys::ENTER)->sees('Sampling plan');
        self::assertStringContainsString('/batches/', $oda->browser->getCurrentURL());
        $oda->leavesFields()->presses('/')->types('durian')->presses(WebDriverKeys::ENTER)->sees('Nothing found for “durian”');
        self::assertStringContainsString(
            'durian',
            (string) $oda->browser->executeScript("return document.querySelector('[name=q]').value"),
            'what was typed is kept',
        );
    }

    public function test_on_a_phone_every_page_is_reached_through_site_by_right(): void
    {
        $oda = $this->atTheBench(390, 844)->signsIn('oda', self::PASSPHRASE)->taps('More')->sees('Policies');
        self::assertStringNotContainsString('Access log', $oda->page(), 'a checker is not led to what a checker may not open');
        self::assertFalse($oda->scrollsSideways());
        $oda->taps('Sign out')->sees('I have an invitation code');

        $sela = $oda->signsIn('sela', self::PASSPHRASE)->taps('More')->taps('Access log')->sees('Sela Thornmere signed in');
        self::assertStringContainsString('Access log', $sela->title());
    }
}
