<?php

declare(strict_types=1);

namespace Tests\Feature;

use Carbon\CarbonImmutable;
use Database\Demo\Scenario;
use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Core\Care\PairState;
use Rheacid\Models\Calibration;
use Rheacid\Models\Decision;
use Rheacid\Queries\Ready\ElectrodeHistory;
use Rheacid\Queries\Ready\Readiness;
use Rheacid\Records\LedgerCheck;

/** The demo, lived through by the application's own actions. */
final class ScenarioTest extends BenchTestCase
{
    /** @var array<string, list<mixed>> what was measured, by the moment at which it was lived */
    private static array $lived = [];

    /** @return iterable<string, array{string}> */
    public static function hours(): iterable
    {
        yield 'in the morning' => ['2026-11-24T09:41:00Z'];
        yield 'the same morning again' => ['2026-11-24T09:41:00Z'];
        yield 'in the middle of the night' => ['2026-03-29T00:30:00Z'];
    }

    #[DataProvider('hours')]
    public function test_the_demo_can_be_loaded_at_any_hour_and_is_always_whole_and_the_same(string $now): void
    {
        self::emptyDatabase();
        CarbonImmutable::setTestNow($now);

        app(Scenario::class)->load(self::PASSPHRASE);

        self::assertSame(
            ['CS-0409' => 'held', 'CS-0417' => 'running', 'CS-0421' => 'running'],
            array_combine(
                ['CS-0409', 'CS-0417', 'CS-0421'],
                array_map(fn(string $code): string => $this->batch($code)->state()->value, ['CS-0409', 'CS-0417', 'CS-0421']),
            ),
        );
        self::assertSame([82, 28], [Calibration::query()->count(), Decision::query()->count()]);
        $trend = ElectrodeHistory::of($this->pair('E-05'))->trend;
        self::assertEqualsWithDelta(-5, (float) $trend?->percentPerYear, 3, 'a slope is lost by 2–8 % a year');
        self::assertLessThan(
            60,
            CarbonImmutable::parse($now)->diffInDays(CarbonImmutable::parse((string) $trend?->leavesPolicyOn)),
            'one electrode leaves the policy within two months',
        );
        self::assertSame(PairState::Soaking, Readiness::of($this->pair('E-09'))->state);
        self::assertSame(1, $this->lot('Q-27')->status()->usesLeft, 'one bottle is nearly used up');
        self::assertNull(LedgerCheck::run()['difference']);
        self::assertEquals(CarbonImmutable::parse($now), CarbonImmutable::now(), 'and the clock is put back');
        $measured = [...Calibration::query()->orderBy('id')->pluck('slope_percent'), ...Decision::query()->orderBy('id')->pluck('value')];
        self::assertSame(self::$lived[$now] ??= array_values($measured), $measured, 'the same moment gives the same past');
    }
}
