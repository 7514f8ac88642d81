<?php

declare(strict_types=1);

namespace Tests\Forms;

use Carbon\CarbonImmutable;
use Illuminate\Foundation\Testing\TestCase;
use Illuminate\Http\Request;
use Rheacid\Core\Words\WallClock;
use Rheacid\Records\Refused;
use Rheacid\Site\Settings;

/** What forms say is read without a database: one that is asked is an error. The clock stands at noon on a day in November. */
abstract class FormTestCase extends TestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        config(['database.default' => 'no database']);
        $this->app->instance(
            Settings::class,
            new Settings('Quillmere Pantry Works', false, false, false, false, WallClock::of(new \DateTimeZone('Europe/Berlin')), null),
        );
        CarbonImmutable::setTestNow('2026-11-25T12:00:00Z');
    }

    protected function tearDown(): void
    {
        CarbonImmutable::setTestNow();
        parent::tearDown();
    }

    /** @param array<string, mixed> $sent */
    protected static function request(array $sent): Request
    {
        return Request::create('/', 'POST', $sent);
    }

    /** @return array{string|null, string}|null field and message; null where it was taken */
    protected static function refused(\Closure $read): ?array
    {
        try {
            $read();
        } catch (Refused $refused) {
            return [$refused->field(), $refused->getMessage()];
        }

        return null;
    }
}
