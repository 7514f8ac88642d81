<?php

declare(strict_types=1);

namespace Tests\Browser;

use Tests\Feature\BenchTestCase;

/** The furnished bench as the web server of bin/test serves it, in real time, with a person in front of a real browser. */
abstract class BrowserTestCase extends BenchTestCase
{
    /** @var list<Chromium> of everybody who came to the bench in this test */
    private array $opened = [];

    protected function clock(): ?string
    {
        return null;
    }

    protected function atTheBench(int $width = 1280, int $height = 800, bool $dark = false, bool $scripts = true): Person
    {
        $this->opened[] = $chromium = Chromium::open($width, $height, $dark, $scripts);

        return new Person($chromium, self::address());
    }

    private static function address(): string
    {
        $url = config('app.url');

        return is_string($url) ? $url : '';
    }

    protected function tearDown(): void
    {
        foreach ($this->opened as $one) {
            $one->leave(self::address());
        }
        $this->opened = [];
        parent::tearDown();
    }
}
