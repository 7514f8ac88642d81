<?php

declare(strict_types=1);

namespace Tests\Browser;

use Facebook\WebDriver\Exception\StaleElementReferenceException;
use Facebook\WebDriver\Remote\RemoteWebDriver;
use Facebook\WebDriver\Remote\RemoteWebElement;
use Facebook\WebDriver\WebDriverBy;
use Facebook\WebDriver\WebDriverKeys;
use Facebook\WebDriver\WebDriverSelect;
use PHPUnit\Framework\Assert;

/** Somebody in front of the browser, with a person's verbs. Elements are found by what they are called, never by their place. */
final class Person
{
    public readonly RemoteWebDriver $browser;

    /** How often something was tapped or touched; what was typed is not counted. */
    public int $touches = 0;

    public function __construct(public readonly Chromium $chromium, private readonly string $address)
    {
        $this->browser = $chromium->driver;
    }

    public function opens(string $path): self
    {
        $this->browser->get($this->address . $path);

        return $this;
    }

    public function signsIn(string $username, string $passphrase): self
    {
        return $this->opens('/sign-in')
            ->types($username)
            ->presses(WebDriverKeys::TAB)
            ->types($passphrase)
            ->presses(WebDriverKeys::ENTER)
            ->sees('Today');
    }

    /** Types where the focus is, as a keyboard does. */
    public function types(string $text): self
    {
        $this->browser->getKeyboard()->sendKeys($text);

        return $this;
    }

    /** Presses a key; where it leads to another page, that page is waited for by what is seen next. */
    public function presses(string $key): self
    {
        $this->browser->getKeyboard()->pressKey($key)->releaseKey($key);

        return $this;
    }

    /** Moves the focus with the Tab key alone until it stands on what is called so. */
    public function tabsTo(string $name): self
    {
        $seen = [];
        for ($i = 0; $i < 60; $i++) {
            $this->presses(WebDriverKeys::TAB);
            $here = $this->focused();
            if (str_contains($here, $name)) {
                return $this;
            }
            $seen[] = $here;
        }
        Assert::fail("\"$name\" cannot be reached by the Tab key. On the way: " . implode(' | ', $seen));
    }

    public function taps(string $name): self
    {
        $this->touches++;

        return $this->steadily(function () use ($name): void {
            $element = $this->opened($this->named($name));
            // As a person scrolls: what is tapped does not hide behind the bar at the lower edge.
            $this->browser->executeScript('arguments[0].scrollIntoView({block: "center"})', [$element]);
            $element->click();
        });
    }

    /** A touch of a finger, as the browser gets it from the screen. */
    public function touches(string $name): self
    {
        $this->touches++;
        $element = $this->named($name);
        $this->browser->executeScript('arguments[0].scrollIntoView({block: "center"})', [$element]);
        $place = $this->browser->executeScript(
            'const r = arguments[0].getBoundingClientRect(); return [r.x + r.width / 2, r.y + r.height / 2];',
            [$element],
        );
        assert(is_array($place));
        foreach ([['touchStart', [['x' => $place[0], 'y' => $place[1]]]], ['touchEnd', []]] as [$type, $points]) {
            $this->chromium->tells('Input.dispatchTouchEvent', ['type' => $type, 'touchPoints' => $points]);
        }

        return $this;
    }

    public function chooses(string $name, string $value): self
    {
        return $this->steadily(fn() => (new WebDriverSelect($this->opened($this->found(WebDriverBy::name($name)))))->selectByValue($value));
    }

    public function fills(string $label, string $text): self
    {
        return $this->steadily(function () use ($label, $text): void {
            $field = $this->opened($this->found(WebDriverBy::xpath("//*[@id = //label[normalize-space() = '$label']/@for]")));
            $field->clear();
            $field->sendKeys($text);
        });
    }

    /** A day and time; how it is typed depends on the browser's language. */
    public function sets(string $label, string $moment): self
    {
        $field = $this->found(WebDriverBy::xpath("//*[@id = //label[normalize-space() = '$label']/@for]"));
        $this->browser->executeScript(
            'arguments[0].value = arguments[1]; arguments[0].dispatchEvent(new Event("input", { bubbles: true }))',
            [$field, $moment],
        );

        return $this;
    }

    public function sees(string $text): self
    {
        $this->waitsUntil(fn(): bool => str_contains($this->page(), $text), "\"$text\" to be seen");

        return $this;
    }

    /** So many seconds pass on the clock of the page. */
    public function lets(int $seconds): self
    {
        $this->browser->executeScript("const real = Date.now; Date.now = () => real() + $seconds * 1000");

        return $this;
    }

    /** Looks at the typed number until the ring is full. */
    public function watches(): self
    {
        $this->lets(61)->waitsUntil(
            fn(): bool => (string) $this->browser->executeScript("return document.querySelector('[name=watched_s]').value") !== '',
            'the ring to be full',
        );

        return $this;
    }

    /** The reading has become stable: Accept is awake. */
    public function seesAcceptAwake(): self
    {
        $this->waitsUntil(
            fn(): bool => $this->browser->findElements(WebDriverBy::cssSelector('[data-accept][aria-disabled=false]')) !== [],
            'Accept to wake',
        );

        return $this;
    }

    /** A run of the simulated bench: move the electrode, wait until it has settled, accept by Enter. */
    public function movesTheElectrodeAndAccepts(string $cup): self
    {
        return $this->tabsTo($cup)->presses(WebDriverKeys::ENTER)->seesAcceptAwake()->leavesFields()->presses(WebDriverKeys::ENTER);
    }

    /** Lets go of whatever has the focus, as a click on empty paper does. */
    public function leavesFields(): self
    {
        $this->browser->executeScript('document.activeElement.blur()');

        return $this;
    }

    public function page(): string
    {
        // A page that is just being replaced has no text yet, and one that is still loading hears no key.
        return (string) $this->browser->executeScript(
            'return document.readyState === "complete" ? document.body.innerText.replace(/\\s+/g, " ") : ""',
        );
    }

    public function title(): string
    {
        return $this->browser->getTitle();
    }

    public function scrollsSideways(): bool
    {
        return (bool) $this->browser->executeScript(
            'return document.documentElement.scrollWidth > document.documentElement.clientWidth + 1',
        );
    }

    public function named(string $name): RemoteWebElement
    {
        return $this->found(
            WebDriverBy::xpath(
                "//*[self::a or self::button or self::summary or self::label][not(@aria-hidden = 'true')][contains(normalize-space(), "
                    . "'$name')]",
            ),
        );
    }

    /** Waits for it: on a slow machine a page may be on its way still. */
    private function found(WebDriverBy $by): RemoteWebElement
    {
        $elements = [];
        $this->waitsUntil(function () use ($by, &$elements): bool {
            $elements = $this->browser->findElements($by);

            return $elements !== [];
        }, $by->getValue());

        // What is folded away is not meant, where something open is called the same.
        $seen = count($elements) === 1 ? $elements : array_filter($elements, static fn(RemoteWebElement $one): bool => $one->isDisplayed());

        return array_values([...$seen, ...$elements])[0];
    }

    /** Opens what it is folded away in, as a person does who looks for it. */
    private function opened(RemoteWebElement $element): RemoteWebElement
    {
        $this->browser->executeScript(
            'for (let at = arguments[0].closest("details:not([open])"); at; at = at.parentElement.closest("details:not([open])")) { const '
                . 'summary = at.querySelector(":scope > summary"); if (!summary.contains(arguments[0])) summary.click(); }',
            [$element],
        );

        return $element;
    }

    /**
     * Does it on the page that stays: words may be seen on one that is just being replaced.
     *
     * @param callable(): mixed $act
     */
    private function steadily(callable $act): self
    {
        for ($tries = 1; ; $tries++) {
            try {
                $act();

                return $this;
            } catch (StaleElementReferenceException $gone) {
                if ($tries === 20) {
                    throw $gone;
                }
                usleep(100_000);
            }
        }
    }

    /** @param callable(): bool $condition */
    public function waitsUntil(callable $condition, string $for, int $seconds = 60): void
    {
        $deadline = microtime(true) + $seconds;
        while (!$condition()) {
            if (microtime(true) > $deadline) {
                $picture = sys_get_temp_dir() . '/rheacid-browser.png';
                $this->chromium->picture($picture);
                Assert::fail("Waited $seconds s for $for at {$this->browser->getCurrentURL()}; picture: $picture.\n" . $this->page());
            }
            usleep(100_000);
        }
    }

    private function focused(): string
    {
        return (string) $this->browser->executeScript(
            <<<'JS'
            const here = document.activeElement;
            if (here === document.body) return '';
            const label = here.labels && here.labels.length ? here.labels[0].innerText : '';
            return [label, here.getAttribute('aria-label') ?? '', here.innerText ?? ''].join(' ').replace(/\s+/g, ' ').trim().slice(0, 80);
            JS
            ,
        );
    }
}
