<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\Maths\DatedTrend;

/** How the error of a thermometer walks, and when it would leave the tolerance, with the 90 % interval of the mean line. */
final readonly class Drift
{
    private function __construct(public ?float $cPerYear, public ?string $leavesOn, public ?string $earliest, public ?string $latest) {}

    /**
     * @param non-empty-list<PastCheck> $history in any order; °C
     *
     * @throws \Rheacid\Core\DateTwice if a date appears twice
     */
    public static function of(array $history): self
    {
        $trend = DatedTrend::through(array_map(static fn(PastCheck $check): array => [$check->on, $check->errorC], $history));
        if ($trend === null || count($history) < DatedTrend::ENOUGH) {
            return new self(null, null, null, null);
        }
        $last = PastCheck::sorted($history)[count($history) - 1];
        [$earliest, $on, $latest]
            = $trend->perYear === 0.0 ? [null, null, null] : $trend->meets($last->toleranceC * ($trend->perYear < 0 ? -1 : 1));

        return new self($trend->perYear, $on, $earliest, $latest);
    }
}
