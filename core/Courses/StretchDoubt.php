<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

/** Why a stretch of temperatures proves nothing. */
enum StretchDoubt: string
{
    case NeverChecked = 'never-checked';
    case CheckFailed = 'check-failed';
    case CheckOverdue = 'check-overdue';
    case NotCovered = 'not-covered';

    /**
     * Null where it proves.
     *
     * @param bool|null $isFailed whether the thermometer's check was failed; null where there was none
     * @param bool $covers whether the check vouches for the highest temperature of the stretch
     */
    public static function of(?bool $isFailed, ?\DateTimeInterface $checkDueAt, \DateTimeInterface $readAt, bool $covers): ?self
    {
        return match (true) {
            $isFailed === null => self::NeverChecked,
            $isFailed => self::CheckFailed,
            $checkDueAt !== null && $checkDueAt < $readAt => self::CheckOverdue,
            !$covers => self::NotCovered,
            default => null,
        };
    }

    /** @param float $highestC of the stretch */
    public function words(float $highestC): string
    {
        return match ($this) {
            self::NeverChecked => 'its thermometer has never been checked',
            self::CheckFailed => 'its thermometer failed its check',
            self::CheckOverdue => 'the check of its thermometer was overdue',
            self::NotCovered => sprintf('no check of its thermometer covers %s °C', round($highestC, 1)),
        };
    }
}
