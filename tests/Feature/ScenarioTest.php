<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Database\Demo\Scenario;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Core\Care\PairState;
use Rheacid\Models\Calibration;
use Rheacid\Models\Decision;
use Rheacid\Records\LedgerCheck;
use Rheacid\Shelf\Health;
use Rheacid\Shelf\Readiness;

/** The demo, lived through by the application's own actions. */
final class ScenarioTest extends BenchTestCase
{
    /** @return iterable<string, array{string}> */
    public static function hours(): iterable
    {
        yield 'in the morning' => ['2026-11-24T09:41:00Z'];
        yield 'in the middle of the night' => ['2026-03-29T00:30:00Z'];
    }

    #[DataProvider('hours')]
    public function test_its_past_can_be_lived_at_any_hour_and_is_whole(string $now): void
    {
        self::emptyDatabase();
        CarbonImmutable::setTestNow($now);

        app(Scenario::class)->load(self::PASSPHRASE);

        self::assertSame(['CS-0409' => 'held', 'CS-0417' => 'running', 'CS-0421' => 'running'], array_combine(['CS-0409', 'CS-0417', 'CS-0421'], array_map(fn(string $code): string => $this->batch($code)->state(), ['CS-0409', 'CS-0417', 'CS-0421'])));
        self::assertSame([81, 13], [Calibration::query()->count(), Decision::query()->count()]);
        $trend = Health::of($this->pair('E-05'))->trend;
        self::assertEqualsWithDelta(-5, (float) $trend?->percentPerYear, 3, 'a slope is lost by 2–8 % a year');
        self::assertLessThan(60, CarbonImmutable::parse($now)->diffInDays(CarbonImmutable::parse((string) $trend?->leavesPolicyOn)), 'one electrode leaves the policy within two months');
        self::assertSame(PairState::Soaking, Readiness::of($this->pair('E-09'))->state);
        self::assertSame(1, $this->lot('Q-27')->load('uses')->usesLeft(), 'one bottle is nearly used up');
        self::assertNull(LedgerCheck::run()['difference']);
        self::assertEquals(CarbonImmutable::parse($now), CarbonImmutable::now(), 'and the clock is put back');
    }

    public function test_the_same_moment_gives_the_same_past(): void
    {
        $values = [];
        foreach ([1, 2] as $_) {
            self::emptyDatabase();
            CarbonImmutable::setTestNow('2026-11-24T09:41:00Z');
            app(Scenario::class)->load(self::PASSPHRASE);
            $values[] = Calibration::query()->orderBy('at')->pluck('bracket_high_ph')->all();
        }

        self::assertSame($values[0], $values[1]);
    }
}
