<?php

declare(strict_types=1);

namespace Rheacid\Core\Maths;

use Rheacid\Core\DateTwice;
use Rheacid\Core\Days;

/** A straight line through what an instrument was on some days, and the days on which it meets a limit. */
final readonly class DatedTrend
{
    /** Below this many days no date is told. */
    public const ENOUGH = 4;

    private const HORIZON_YEARS = 10;

    /** @param float $perYear of the line */
    private function __construct(public float $perYear, private TrendLine $line, private int $firstDay, private bool $isEnough) {}

    /**
     * @param non-empty-list<array{string, float}> $history date YYYY-MM-DD and value, in any order
     *
     * @return self|null null from a single day
     *
     * @throws DateTwice if a date appears twice
     */
    public static function through(array $history): ?self
    {
        $history = Days::sorted($history, static fn(array $row): string => $row[0]);
        $first = Days::number($history[0][0]);
        $line = TrendLine::through(
            array_map(static fn(array $row): float => (float) (Days::number($row[0]) - $first), $history),
            array_column($history, 1),
        );

        return $line === null ? null : new self($line->slope * Days::IN_A_YEAR, $line, $first, count($history) >= self::ENOUGH);
    }

    /** The line on a day, in the unit of the values. */
    public function at(string $date): float
    {
        return $this->line->at((float) (Days::number($date) - $this->firstDay));
    }

    /**
     * The days after the last one on which the line meets a limit that it is heading for: by the early edge of the 90 % band
     * of the mean line, by the line itself, by the late edge. Null where that is not within ten years.
     *
     * @return array{string|null, string|null, string|null}
     */
    public function meets(float $limit): array
    {
        return array_map(
            function (int $edge) use ($limit): ?string {
                $day = $this->isEnough ? $this->line->meets($limit, $edge, self::HORIZON_YEARS * Days::IN_A_YEAR) : null;

                return $day === null ? null : Days::date($this->firstDay + (int) round($day));
            },
            [-1, 0, 1],
        );
    }
}
