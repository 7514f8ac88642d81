<?php

declare(strict_types=1);

namespace Rheacid\Queries\Ready;

use Carbon\CarbonImmutable;
use Illuminate\Database\Eloquent\Builder;
use Illuminate\Support\Collection;
use Rheacid\Core\Electrode\ElectrodeTrend;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationRun;
use Rheacid\Models\CalibrationVoid;
use Rheacid\Models\Pair;
use Rheacid\Models\Site;
use Rheacid\Site\SiteClock;

/** How an electrode has fared on its meter, and where its slope is heading. */
final readonly class ElectrodeHistory
{
    /** An electrode lives about a year; so many of its newest calibrations tell all that is still true. */
    private const NEWEST = 400;
    private const DRAWN = 120;

    /**
     * @param Collection<int, Calibration> $calibrations the newest, in the order of time, as far as a figure has place
     * @param ElectrodeTrend|null $trend null before the first slope
     */
    private function __construct(public Collection $calibrations, public ?ElectrodeTrend $trend) {}

    public static function of(Pair $pair): self
    {
        return new self(
            self::counted($pair)->with('void')->orderByDesc('at')->limit(self::DRAWN)->get()->reverse()->values(),
            self::trend($pair),
        );
    }

    /**
     * What the simulated bench gave says nothing of a real electrode.
     *
     * @return Builder<Calibration>
     */
    private static function counted(Pair $pair): Builder
    {
        $all = Calibration::query()->where('pair_id', $pair->id);

        return Site::isDemo()
            ? $all
            : $all->whereIn(
                'calibration_run_id',
                CalibrationRun::query()->select('id')->where('pair_id', $pair->id)->whereIn('source', Site::evidence()),
            );
    }

    /**
     * The last slopes, as a small figure shows them.
     *
     * @return list<float> in percent, oldest first
     */
    public static function slopes(Pair $pair, int $most): array
    {
        $last = Calibration::withSlope(self::counted($pair))->orderByDesc('at')->limit($most)->pluck('slope_percent');

        return array_values($last->reverse()->map(static fn(mixed $slope): float => is_numeric($slope) ? (float) $slope : 0.0)->all());
    }

    /** Of the slope alone, without reading everything else of each calibration. */
    public static function trend(Pair $pair): ?ElectrodeTrend
    {
        // A failed one tells of a mishap, not of the glass; of a day the last one counts.
        $rows = Calibration::withSlope(self::counted($pair))
            ->toBase()
            ->where('verdict', '<>', Verdict::Fail->value)
            ->whereNotIn('id', CalibrationVoid::query()->select('calibration_id'))
            ->orderByDesc('at')
            ->limit(self::NEWEST)
            ->get(['at', 'slope_percent']);
        $byDay = [];
        foreach ($rows->reverse() as $row) {
            $on = SiteClock::local(CarbonImmutable::parse($row->at, 'UTC'))->toDateString();
            $byDay[$on] = [$on, (float) $row->slope_percent];
        }

        return $byDay === [] ? null : ElectrodeTrend::of(array_values($byDay), $pair->policy->slope_low_percent);
    }
}
