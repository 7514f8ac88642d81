<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

/** Until when a calibration holds, by the policy of its instrument. Common practice, no source. */
final readonly class CalibrationInterval
{
    private const LONGEST_DAYS = 30;

    /** @param int $count hours, days or readings; 1 or more */
    public function __construct(public IntervalKind $kind, public int $count) {}

    /** @param \DateTimeImmutable $endOfDay of the plant's day in which it was calibrated */
    public function dueAt(\DateTimeImmutable $calibratedAt, \DateTimeImmutable $endOfDay): \DateTimeImmutable
    {
        return match ($this->kind) {
            IntervalKind::EachUse, IntervalKind::Daily => $endOfDay,
            IntervalKind::Hours => $calibratedAt->modify("+$this->count hours"),
            IntervalKind::Days => $calibratedAt->modify("+$this->count days"),
            IntervalKind::Readings => $calibratedAt->modify('+' . self::LONGEST_DAYS . ' days'),
        };
    }

    /**
     * @param int $readings taken since it was calibrated
     * @param bool $wasStored put back into storage since
     */
    public function isSpent(int $readings, bool $wasStored): bool
    {
        return match ($this->kind) {
            IntervalKind::Readings => $readings >= $this->count,
            IntervalKind::EachUse => $wasStored,
            default => false,
        };
    }
}
