<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use Rheacid\Bench\LogReading;
use Rheacid\Bench\Observation;
use Rheacid\Bench\ReadingSource;
use Rheacid\Bench\SimulatedBench;
use Rheacid\Bench\SimulatedReading;
use Rheacid\Bench\TypedReading;
use Rheacid\Core\Electrode\Signal;
use Rheacid\Core\Logs\Plateau;
use Rheacid\Core\Measuring\Source;
use Rheacid\Core\Settling\Settling;
use Rheacid\Core\Settling\Trace;
use Rheacid\Records\Refused;

/** What every source of readings promises, wherever its readings come from. */
final class ReadingSourceTest extends BenchTestCase
{
    /** @return iterable<string, array{Source}> */
    public static function sources(): iterable
    {
        foreach (Source::cases() as $source) {
            yield $source->value => [$source];
        }
    }

    #[DataProvider('sources')]
    public function test_a_reading_that_stood_still_for_the_window_is_taken(Source $source): void
    {
        $seen = $this->reading($source, isStill: true)->observe(null, Settling::WINDOW_S);

        self::assertTrue($seen->settled);
        self::assertNull($seen->movedPh());
        $seen->ensureSettled(Settling::WINDOW_S, null);
        $this->assertIsAReading($seen, $source);
    }

    #[DataProvider('sources')]
    public function test_a_reading_that_did_not_needs_a_reason(Source $source): void
    {
        $seen = $this->reading($source, isStill: false)->observe(null, Settling::WINDOW_S);

        self::assertFalse($seen->settled);
        $this->assertIsAReading($seen, $source);
        $seen->ensureSettled(Settling::WINDOW_S, 'the bottle is nearly empty');
        $this->expectException(Refused::class);
        $seen->ensureSettled(Settling::WINDOW_S, null);
    }

    #[DataProvider('sources')]
    public function test_a_longer_window_is_not_filled_by_a_shorter_stay(Source $source): void
    {
        self::assertFalse($this->reading($source, isStill: true)->observe(null, 600.0)->settled);
    }

    private function assertIsAReading(Observation $seen, Source $source): void
    {
        self::assertSame($source, $seen->source);
        self::assertTrue(is_finite($seen->signal->idealMv($seen->celsius)));
        self::assertThat($seen->celsius, self::logicalAnd(self::greaterThan(15.0), self::lessThan(30.0)));
        self::assertSame($source === Source::Typed, $seen->trace === null, 'what a device wrote is kept whole');
        self::assertSame($source === Source::Simulated, $seen->immersionId !== null, 'one immersion serves one reading');
        self::assertGreaterThanOrEqual(0.0, $seen->waitedS() ?? 0.0);
    }

    private function reading(Source $source, bool $isStill): ReadingSource
    {
        if ($source === Source::Typed) {
            return new TypedReading(Signal::mv(-4.0), 21.4, false, 40.0, $isStill ? 60.0 : 10.0);
        }
        if ($source === Source::Imported) {
            // A log that was cut by a shorter window has not stood still for a longer one.
            $log = Trace::of(array_map(static fn(int $s): array => [$s / 2, -4.0, 21.4], range(0, $isStill ? 180 : 40)));

            return new LogReading(Plateau::in($log, null, $isStill ? Settling::WINDOW_S : 10.0)[0]);
        }
        $this->immerse('lot_id', $this->lot('Q-29')->id);
        $this->wait($isStill ? 300 : 3);

        return new SimulatedReading(app(SimulatedBench::class), $this->pair(), null);
    }
}
