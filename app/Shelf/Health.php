<?php

declare(strict_types=1);

namespace Rheacid\Shelf;

use Carbon\CarbonImmutable;
use Illuminate\Support\Collection;
use Rheacid\Core\Electrode\ElectrodeTrend;
use Rheacid\Core\Electrode\Verdict;
use Rheacid\Models\Calibration;
use Rheacid\Models\CalibrationVoid;
use Rheacid\Models\Pair;
use Rheacid\SiteClock;

/** How an electrode has fared on its meter, and where its slope is heading. */
final readonly class Health
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
        return new self(Calibration::query()->with('void')->where('pair_id', $pair->id)->orderByDesc('at')->limit(self::DRAWN)->get()->reverse()->values(), self::trend($pair));
    }

    /** Of the slope alone, without reading everything else of each calibration. */
    public static function trend(Pair $pair): ?ElectrodeTrend
    {
        // A failed one tells of a mishap, not of the glass; of a day the last one counts.
        $rows = Calibration::query()->toBase()->where('pair_id', $pair->id)->whereNotNull('slope_percent')->where('verdict', '<>', Verdict::Fail->value)
            ->whereNotIn('id', CalibrationVoid::query()->select('calibration_id'))->orderByDesc('at')->limit(self::NEWEST)->get(['at', 'slope_percent']);
        $byDay = [];
        foreach ($rows->reverse() as $row) {
            $on = SiteClock::local(CarbonImmutable::parse($row->at, 'UTC'))->toDateString();
            $byDay[$on] = [$on, (float) $row->slope_percent];
        }

        return $byDay === [] ? null : ElectrodeTrend::of(array_values($byDay), $pair->policy->slope_low_percent);
    }
}
