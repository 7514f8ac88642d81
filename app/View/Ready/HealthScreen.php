<?php

declare(strict_types=1);

namespace Rheacid\View\Ready;

use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Rheacid\Core\Care\CareSchedule;
use Rheacid\Core\Numbers;
use Rheacid\Core\Words\CareWords;
use Rheacid\Models\Calibration;
use Rheacid\Models\Pair;
use Rheacid\Queries\Ready\Cleaning;
use Rheacid\Queries\Ready\ElectrodeHistory;
use Rheacid\Site\SiteClock;
use Rheacid\View\Figures\HistoryChart;

/** How an electrode fares: its figures over time with what the policy allows, and when the next one is to be ordered. */
final readonly class HealthScreen
{
    /** @param list<HistoryChart> $charts */
    private function __construct(public ElectrodeHistory $health, public array $charts, public string $sign, public string $sentence) {}

    public static function of(Pair $pair): self
    {
        $health = ElectrodeHistory::of($pair);
        [$sign, $sentence] = self::sentence($pair, $health);

        return new self($health, self::charts($pair, $health), $sign, $sentence);
    }

    /** @return array{string, string} */
    private static function sentence(Pair $pair, ElectrodeHistory $health): array
    {
        $trend = $health->trend;
        $perYear = $trend?->percentPerYear;
        $rest
            = ' In use since '
            . SiteClock::day($pair->electrode->first_used_on)
            . '; plan a replacement for '
            . SiteClock::day(CareSchedule::replaceBy($pair->electrode->first_used_on))
            . ' at the latest.';
        if ($trend === null || $perYear === null) {
            return ['idle', 'Too few calibrations for a trend.' . $rest];
        }
        $moves = sprintf('The slope %s %s %% per year.', $perYear < 0 ? 'falls by' : 'rises by', Numbers::fixed(abs($perYear), 1));
        if ($trend->leavesPolicyOn === null) {
            return ['met', $moves . ' It is not expected to leave the policy soon.' . $rest];
        }
        $orderBy = CarbonImmutable::parse($trend->earliest ?? $trend->leavesPolicyOn)->subDays(CareSchedule::ORDER_AHEAD_DAYS);

        return [
            CareSchedule::isForeseen(new \DateTimeImmutable($trend->leavesPolicyOn), CarbonImmutable::now()) ? 'care' : 'met',
            sprintf(
                '%s It reaches %s %%, the lowest allowed, about %s. Order a replacement by %s.',
                $moves,
                Numbers::plain($pair->policy->slope_low_percent),
                SiteClock::reckonedDay($trend->leavesPolicyOn, $trend->earliest, $trend->latest),
                SiteClock::day($orderBy),
            ),
        ];
    }

    /** What a cleaning did: slope, response and check buffer before and after. */
    public static function cleaning(Cleaning $cleaning): string
    {
        $proof = $cleaning->proof;
        if ($proof === null) {
            return 'soak it 1 h, then calibrate. Slope, response and check buffer will show the effect.';
        }
        $change = static fn(string $what, ?float $before, ?float $after, int $decimals, string $unit): ?string => $before === null
        || $after === null
            ? null
            : sprintf('%s %s → %s%s', $what, Numbers::fixed($before, $decimals), Numbers::fixed($after, $decimals), $unit);

        return implode(
            ', ',
            array_filter([
                $change('slope', $proof->slopeBefore, $proof->slopeAfter, 1, ' %'),
                $change('response', $proof->responseBefore, $proof->responseAfter, 0, ' s'),
                $change('check buffer', $cleaning->checkBefore, $cleaning->checkAfter, 2, ' pH off'),
            ]),
        )
            . '. '
            . CareWords::effect($proof->effect);
    }

    /** @return list<HistoryChart> */
    private static function charts(Pair $pair, ElectrodeHistory $health): array
    {
        $policy = $pair->policy;
        $of = static fn(string $column): array => self::series($health->calibrations, $column);
        $slopes = array_filter(
            ['acid side' => $of('slope_percent'), 'alkaline side' => $of('alkaline_slope_percent')],
            static fn(array $points): bool => $points !== [],
        );
        $limit = $policy->offset_mv ?? ($policy->zero_point_ph === null ? null : round($policy->zero_point_ph * 59.16, 1));

        return array_values(
            array_filter(
                [
                    new HistoryChart(
                        'Slope, % of the ideal',
                        $slopes,
                        $policy->slope_low_percent,
                        $policy->slope_high_percent,
                        self::trend($health),
                        self::reach($health),
                    ),
                    new HistoryChart('Offset at pH 7, mV', ['offset' => $of('offset_mv')], $limit === null ? null : -$limit, $limit),
                    new HistoryChart('Response, s', ['response' => $of('response_time_s')], 0.0, $policy->response_time_s),
                    new HistoryChart(
                        'Read-back error, pH',
                        ['read back' => $of('read_back_error_ph')],
                        -$policy->read_back_limit_ph,
                        $policy->read_back_limit_ph,
                        least: 0.01,
                    ),
                ],
                static fn(HistoryChart $chart): bool => array_merge([], ...array_values($chart->series)) !== [],
            ),
        );
    }

    /**
     * @param Collection<int, Calibration> $calibrations
     *
     * @return list<array{CarbonImmutable, float}>
     */
    public static function series(Collection $calibrations, string $column): array
    {
        return array_values(
            $calibrations
                ->filter(static fn(Calibration $calibration): bool => is_float($calibration->getAttribute($column)))
                ->map(
                    static fn(Calibration $calibration): array => [
                        CarbonImmutable::instance($calibration->at),
                        (float) $calibration->getAttribute($column),
                    ],
                )
                ->all(),
        );
    }

    /** @return array{}|array{array{CarbonImmutable, float}, array{CarbonImmutable, float}} */
    private static function trend(ElectrodeHistory $health): array
    {
        $trend = $health->trend;
        $first = $health->calibrations->first();
        if ($trend?->percentPerYear === null || $first === null) {
            return [];
        }
        $ends = [
            CarbonImmutable::instance($first->at),
            CarbonImmutable::parse($trend->leavesPolicyOn ?? CarbonImmutable::now()->toDateString()),
        ];

        return array_map(static fn(CarbonImmutable $at): array => [$at, (float) $trend->at($at->toDateString())], $ends);
    }

    /** @return array{CarbonImmutable|null, CarbonImmutable|null}|null */
    private static function reach(ElectrodeHistory $health): ?array
    {
        $date = static fn(?string $on): ?CarbonImmutable => $on === null ? null : CarbonImmutable::parse($on);

        return $health->trend?->leavesPolicyOn === null ? null : [$date($health->trend->earliest), $date($health->trend->latest)];
    }
}
