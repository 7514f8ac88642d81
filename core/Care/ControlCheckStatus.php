<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

use Rheacid\Core\Limits\ReleaseBlock;

/**
 * Whether an independent buffer vouches for a calibration: read within 0.05 pH at the start, at least every ten samples or
 * two hours, and not failed since. Common practice, no source.
 */
enum ControlCheckStatus
{
    case Good;
    case Missing;
    case Failed;

    private const HOURS = 2;
    private const SAMPLES = 10;

    /**
     * @param bool|null $lastPassed the newest check on this calibration; null without one
     * @param int $samplesSince readings taken on the calibration since that check
     */
    public static function at(\DateTimeImmutable $now, ?bool $lastPassed, ?\DateTimeImmutable $lastAt, int $samplesSince): self
    {
        return match (true) {
            $lastPassed === null || $lastAt === null => self::Missing,
            !$lastPassed => self::Failed,
            $lastAt < $now->modify('-' . self::HOURS . ' hours') || $samplesSince >= self::SAMPLES => self::Missing,
            default => self::Good,
        };
    }

    public function block(): ?ReleaseBlock
    {
        return match ($this) {
            self::Good => null,
            self::Missing => ReleaseBlock::CheckBufferMissing,
            self::Failed => ReleaseBlock::CheckBufferFailed,
        };
    }
}
