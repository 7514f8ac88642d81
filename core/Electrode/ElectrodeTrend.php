<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Maths\DatedTrend;

/**
 * How the slope of an electrode falls over the months, and when its line meets the policy's lowest slope.
 *
 * The interval is where the edges of the 90 % confidence band of the mean line meet the limit.
 */
final readonly class ElectrodeTrend
{
    /**
     * @param float|null $percentPerYear slope of the line in percentage points a year, negative when it falls; null from one calibration
     * @param string|null $leavesPolicyOn YYYY-MM-DD; null where it is not within ten years after the last calibration, or too few are known
     */
    private function __construct(
        public ?float $percentPerYear,
        public ?string $leavesPolicyOn,
        public ?string $earliest,
        public ?string $latest,
        private ?DatedTrend $trend,
    ) {}

    /**
     * @param non-empty-list<array{string, float}> $history date YYYY-MM-DD and slope in percent, in any order
     * @param float $limitPercent the policy's lowest slope
     *
     * @throws \Rheacid\Core\DateTwice if a date appears twice
     */
    public static function of(array $history, float $limitPercent): self
    {
        $trend = DatedTrend::through($history);
        [$earliest, $on, $latest] = $trend !== null && $trend->perYear < 0 ? $trend->meets($limitPercent) : [null, null, null];

        return new self($trend?->perYear, $on, $earliest, $latest, $trend);
    }

    /** The line at a date, in percent; null from one calibration. */
    public function at(string $date): ?float
    {
        return $this->trend?->at($date);
    }
}
