<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** When an interval is lengthened, and within what bounds. The defaults are common practice, no source. */
final readonly class IntervalPolicy
{
    public const DOUBLE_AFTER = 5;
    public const SIGNIFICANT_SHARE = 0.3;
    public const MIN_DAYS = 7;
    public const MAX_DAYS = 730;

    /**
     * @param int $doubleAfter good checks in a row
     * @param float $significantShare of the tolerance: a shift beyond it is significant
     *
     * @throws ShortestAboveLongest if the shortest interval is above the longest
     */
    public function __construct(
        public int $doubleAfter = self::DOUBLE_AFTER,
        public float $significantShare = self::SIGNIFICANT_SHARE,
        public int $minDays = self::MIN_DAYS,
        public int $maxDays = self::MAX_DAYS,
    ) {
        if ($minDays > $maxDays) {
            throw new ShortestAboveLongest($minDays, $maxDays);
        }
    }
}
