<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Days;
use Rheacid\Core\Inconsistent;
use Rheacid\Core\Maths\TrendLine;

/**
 * How the slope of an electrode falls over the months, and when its line meets the policy's lowest slope.
 *
 * The interval is where the edges of the 90 % confidence band of the mean line meet the limit.
 */
final readonly class ElectrodeTrend
{
    /** Below this many calibrations no date is told. */
    public const ENOUGH = 4;

    private const HORIZON_YEARS = 10;

    /**
     * @param float|null $percentPerYear slope of the line in percentage points a year, negative when it falls; null from one calibration
     * @param string|null $leavesPolicyOn YYYY-MM-DD; null where it is not within ten years after the last calibration
     */
    private function __construct(
        public ?float $percentPerYear,
        public ?string $leavesPolicyOn,
        public ?string $earliest,
        public ?string $latest,
        private int $firstDay,
        private ?TrendLine $line,
    ) {}

    /**
     * @param non-empty-list<array{string, float}> $history date YYYY-MM-DD and slope in percent, in any order
     * @param float $limitPercent the policy's lowest slope
     *
     * @throws Inconsistent if a date stands twice
     */
    public static function of(array $history, float $limitPercent): self
    {
        $history = Days::sorted($history, static fn(array $row): string => $row[0]);
        $first = Days::number($history[0][0]);
        $x = array_map(static fn(array $row): float => (float) (Days::number($row[0]) - $first), $history);
        $y = array_column($history, 1);
        $line = TrendLine::through($x, $y);
        $perYear = $line === null ? null : $line->slope * Days::IN_A_YEAR;
        if ($line === null || count($x) < self::ENOUGH || $line->slope >= 0) {
            return new self($perYear, null, null, null, $first, $line);
        }
        [$earliest, $on, $latest] = array_map(static function (int $edge) use ($line, $limitPercent, $first): ?string {
            $day = $line->meets($limitPercent, $edge, self::HORIZON_YEARS * Days::IN_A_YEAR);

            return $day === null ? null : Days::date($first + (int) round($day));
        }, [-1, 0, 1]);

        return new self($perYear, $on, $earliest, $latest, $first, $line);
    }

    /** The line at a date, in percent; null from one calibration. */
    public function at(string $date): ?float
    {
        return $this->line?->at((float) (Days::number($date) - $this->firstDay));
    }
}
