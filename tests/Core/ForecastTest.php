<?php

declare(strict_types=1);

namespace Tests\Core;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Rheacid\Core\Batches\BatchState;
use Rheacid\Core\Contradiction;
use Rheacid\Core\Forecast\Forecast;
use Rheacid\Core\Forecast\ForecastModel;
use Rheacid\Core\Forecast\ForecastVerdict;
use Rheacid\Core\Limits\Conformity;
use Rheacid\Core\Urgency\DeadlineWarning;
use Rheacid\Core\Urgency\Urgency;
use Rheacid\Core\Words\ForecastWords;

final class ForecastTest extends TestCase
{
    public function test_a_ferment_without_scatter_is_forecast_to_the_second_with_no_interval(): void
    {
        $forecast = Forecast::of(self::ferment([0, 12, 24, 36, 48, 60]), 4.0, withinH: 100.0);

        self::assertSame(ForecastModel::FallingSigmoid, $forecast->model);
        self::assertEqualsWithDelta(40 + 12 * log((5.7 - 4.0) / (4.0 - 3.8)), $forecast->etaH, 1e-6);
        self::assertEqualsWithDelta($forecast->etaH, $forecast->highH, 1e-6);
    }

    public function test_the_target_is_reached_only_when_the_uncertainty_is_beyond_it_too(): void
    {
        $readings = [[0.0, 5.7], [24.0, 4.58], [48.0, 4.5]];

        self::assertEqualsWithDelta((24 * 1.1) / 1.12, Forecast::of($readings, 4.6)->etaH, 1e-9);
        self::assertEqualsWithDelta(24 + (24 * 0.05) / 0.08, Forecast::of($readings, 4.6, 0.07)->etaH, 1e-9);
        self::assertSame(48.0, Forecast::of($readings, 4.6, 0.1)->etaH, 'a hair of rounding does not miss it');
    }

    /** @return iterable<string, array{list<array{float, float}>, float, float, ForecastVerdict}> readings, target, deadline, verdict */
    public static function clocks(): iterable
    {
        $six = self::ferment([0, 12, 24, 36, 48, 60]);
        $eight = self::ferment([0, 12, 24, 36, 48, 54, 58, 60]);
        yield 'met before the deadline' => [[[0.0, 5.0], [20.0, 4.5]], 4.6, 24.0, ForecastVerdict::Met];
        yield 'met after it' => [[[0.0, 5.0], [30.0, 4.5]], 4.6, 12.0, ForecastVerdict::Late];
        yield 'not met, and the deadline is past' => [[[0.0, 5.0], [30.0, 4.9]], 4.6, 24.0, ForecastVerdict::Late];
        yield 'read at the very deadline and not met: the clock has not yet run out' => [
            [[0.0, 5.0], [24.0, 4.9]],
            4.6,
            24.0,
            ForecastVerdict::AtRisk,
        ];
        yield 'far enough before the deadline' => [$six, 4.0, 100.0, ForecastVerdict::OnTrack];
        yield 'six readings are trusted to four fifths of the time only' => [$six, 4.0, 70.0, ForecastVerdict::AtRisk];
        yield 'eight are trusted to the whole of it' => [$eight, 4.0, 70.0, ForecastVerdict::OnTrack];
        yield 'a straight line has no interval, so it promises nothing' => [
            [[0.0, 5.7], [1.0, 5.0], [2.0, 4.7]],
            4.6,
            100.0,
            ForecastVerdict::AtRisk,
        ];
    }

    /** @param non-empty-list<array{float, float}> $readings */
    #[DataProvider('clocks')]
    public function test_a_deadline_at_risk_is_reported_while_something_can_still_be_done(
        array $readings,
        float $target,
        float $withinH,
        ForecastVerdict $verdict,
    ): void {
        self::assertSame($verdict, Forecast::of($readings, $target, 0.0, $withinH)->verdict);
        self::assertNull(Forecast::of($readings, $target)->verdict, 'without a deadline nothing is judged');
    }

    public function test_a_curve_that_comes_to_rest_above_the_target_gets_no_date(): void
    {
        $forecast = Forecast::of(self::ferment([0, 12, 24, 36, 48, 60, 72]), 3.7);

        self::assertSame([ForecastModel::None, null], [$forecast->model, $forecast->etaH]);
        self::assertEqualsWithDelta(3.8, (float) $forecast->levelsOffPh, 0.01, 'and the pH at which it comes to rest is told');
    }

    public function test_two_readings_or_a_rising_ferment_give_no_forecast(): void
    {
        foreach (
            [
                [[0.0, 5.7], [10.0, 5.0]],
                [[0.0, 5.7], [10.0, 5.0], [20.0, 5.2], [30.0, 5.3]],
                array_map(static fn(int $n): array => [$n * 10.0, 5.0 + $n * 0.05], range(0, 7)),
            ] as $readings
        ) {
            $forecast = Forecast::of($readings, 4.6);
            self::assertSame([ForecastModel::None, null], [$forecast->model, $forecast->etaH]);
        }
    }

    public function test_a_reading_twice_at_one_time_is_refused(): void
    {
        $this->expectException(Contradiction::class);
        Forecast::of([[0.0, 5.7], [0.0, 5.6]], 4.6);
    }

    public function test_the_words_promise_no_more_than_the_numbers(): void
    {
        $at = static fn(float $hours): string => "h$hours";
        /** @param non-empty-list<array{float, float}> $readings */
        $say = static fn(array $readings, float $within): string => ForecastWords::sentence(
            Forecast::of($readings, 4.6, 0.0, $within),
            $at,
        );

        self::assertSame('expected about h16', $say([[0.0, 5.0], [20.0, 4.5]], 24.0));
        self::assertSame('expected about h16, after the deadline', $say([[0.0, 5.0], [20.0, 4.5]], 12.0));
        self::assertSame('expected about h40 at this pace, likely late', $say([[0.0, 5.6], [10.0, 5.35], [20.0, 5.1]], 30.0));
        self::assertSame(
            'expected about h40 at this pace, not certain',
            $say([[0.0, 5.6], [10.0, 5.35], [20.0, 5.1]], 50.0),
            'a line has no interval to rely on',
        );
        self::assertSame('no forecast yet (needs three falling readings)', $say([[0.0, 5.6]], 30.0));
        self::assertSame('not proven in time', $say([[0.0, 5.6], [31.0, 5.3]], 30.0));
        self::assertMatchesRegularExpression(
            '/^on track: expected about h[\d.]+, at the latest h[\d.]+ \(90 %\)$/',
            $say(self::ferment([0, 12, 24, 36, 40, 42]), 168.0),
        );
    }

    /**
     * From 5.7 to 3.8, half way at 40 h.
     *
     * @param non-empty-list<int> $hours
     *
     * @return non-empty-list<array{float, float}>
     */
    private static function ferment(array $hours): array
    {
        return array_map(static fn(int $at): array => [(float) $at, 3.8 + 1.9 / (1 + exp(($at - 40) / 12))], $hours);
    }

    public function test_a_deadline_is_warned_of_when_it_is_at_risk_and_when_a_quarter_of_its_time_is_left(): void
    {
        self::assertSame([], DeadlineWarning::of(25.0, 168.0, ForecastVerdict::OnTrack));
        self::assertSame([DeadlineWarning::AtRisk], DeadlineWarning::of(25.0, 168.0, ForecastVerdict::AtRisk));
        self::assertSame(
            [DeadlineWarning::AtRisk, DeadlineWarning::Soon],
            DeadlineWarning::of(24.0, 168.0, ForecastVerdict::Late),
            'a day at most',
        );
        self::assertSame([DeadlineWarning::Soon], DeadlineWarning::of(2.0, 4.0, null), 'two hours at least');
        self::assertSame([[], [DeadlineWarning::Soon]], [DeadlineWarning::of(6.1, 24.0, null), DeadlineWarning::of(6.0, 24.0, null)]);
        self::assertSame([], DeadlineWarning::of(0.0, 24.0, ForecastVerdict::Late), 'too late for a warning');
    }

    public function test_the_worst_batch_stands_first(): void
    {
        $of = static fn(
            BatchState $state,
            ?Conformity $newest = null,
            bool $isRead = true,
            bool $isLate = false,
            ForecastVerdict ...$forecasts,
        ): Urgency => Urgency::of($state, $newest, $isRead, $isLate, array_values($forecasts));

        $order = [
            $of(BatchState::Recalled, Conformity::Inside),
            $of(BatchState::Held, Conformity::Inside),
            $of(BatchState::Running, Conformity::Inside, isLate: true),
            $of(BatchState::Running, Conformity::Inside, true, false, ForecastVerdict::OnTrack, ForecastVerdict::AtRisk),
            $of(BatchState::Running, Conformity::Inconclusive),
            $of(BatchState::Running, isRead: false),
            $of(BatchState::Running, Conformity::Inside, true, false, ForecastVerdict::OnTrack),
            $of(BatchState::Planned),
            $of(BatchState::Released, Conformity::Outside),
        ];
        self::assertSame(Urgency::cases(), $order);
        self::assertSame(Urgency::Broken, $of(BatchState::Running, Conformity::Outside));
        self::assertSame(Urgency::GoneOut, Urgency::of(BatchState::Released, Conformity::Outside, true, false, [], isFoundSince: true));
    }

    public function test_readings_that_stand_still_tell_no_time(): void
    {
        $forecast = Forecast::of([[0.0, 5.5], [1.0, 5.0], [2.0, 5.0], [3.0, 5.0]], 4.6, 0.0, 48.0);

        self::assertNull($forecast->etaH);
        self::assertSame(ForecastVerdict::AtRisk, $forecast->verdict);
    }

    public function test_a_curve_that_the_readings_do_not_tell_gives_way_to_a_line(): void
    {
        $wide = Forecast::of([[0.0, 5.4], [1.0, 5.2], [2.0, 5.3], [3.0, 5.0], [4.0, 4.9], [5.0, 4.7]], 4.6, 0.0, 48.0);

        self::assertSame(ForecastModel::Line, $wide->model);
        self::assertNull($wide->highH, 'no interval is told');
    }
}
