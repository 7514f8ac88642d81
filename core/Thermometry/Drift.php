<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\Days;
use Rheacid\Core\Inconsistent;
use Rheacid\Core\Maths\TrendLine;

/** How the error of a thermometer walks, and when it would leave the tolerance, with the 90 % interval of the mean line. */
final readonly class Drift
{
    private const ENOUGH = 4;
    private const HORIZON_YEARS = 10;

    private function __construct(public ?float $cPerYear, public ?string $leavesOn, public ?string $earliest, public ?string $latest) {}

    /**
     * @param non-empty-list<array{on: string, error: float, tolerance: float}> $history in any order; °C
     *
     * @throws Inconsistent if a date stands twice
     */
    public static function of(array $history): self
    {
        $history = Days::sorted($history, static fn(array $check): string => $check['on']);
        $first = Days::number($history[0]['on']);
        $x = array_map(static fn(array $check): float => (float) (Days::number($check['on']) - $first), $history);
        $y = array_column($history, 'error');
        $line = TrendLine::through($x, $y);
        if ($line === null || count($x) < self::ENOUGH) {
            return new self(null, null, null, null);
        }
        $limit = $history[count($history) - 1]['tolerance'] * ($line->slope < 0 ? -1 : 1);
        [$earliest, $on, $latest] = array_map(static function (int $edge) use ($line, $limit, $first): ?string {
            $day = $line->slope === 0.0 ? null : $line->meets($limit, $edge, self::HORIZON_YEARS * Days::IN_A_YEAR);

            return $day === null ? null : Days::date($first + (int) round($day));
        }, [-1, 0, 1]);

        return new self($line->slope * Days::IN_A_YEAR, $on, $earliest, $latest);
    }
}
