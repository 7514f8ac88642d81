<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\Days;
use Rheacid\Core\Numbers;

/** A check of a thermometer, as the next interval and the drift count it. */
final readonly class PastCheck
{
    /**
     * @param string $on YYYY-MM-DD
     * @param float $errorC reading minus truth
     * @param float $toleranceC to either side
     * @param bool $isProven within or outside, not neither
     */
    public function __construct(public string $on, public float $errorC, public float $toleranceC, public bool $isProven = true) {}

    public function isWithin(): bool
    {
        return Numbers::atMost(abs($this->errorC), $this->toleranceC);
    }

    /** Whether the error has not moved significantly since an earlier check. */
    public function isNear(self $earlier, IntervalPolicy $policy): bool
    {
        return Numbers::atMost(abs($this->errorC - $earlier->errorC), $policy->significantShare * $this->toleranceC);
    }

    /**
     * @param non-empty-list<self> $checks
     *
     * @return non-empty-list<self> in the order of time
     *
     * @throws \Rheacid\Core\DateTwice if a date appears twice
     */
    public static function sorted(array $checks): array
    {
        return Days::sorted($checks, static fn(self $check): string => $check->on);
    }
}
