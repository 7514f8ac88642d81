<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** The one order of worst: what is sealed as the reason, stands in the first line, in lists and in letters. */
enum WorstFirst: int
{
    case BindingOutside = 0;
    case Unread = 1;
    case Late = 2;
    case BindingNotProven = 3;
    case OtherOutside = 4;
    case OtherNotProven = 5;
    /** Nobody answered its question, or nothing was measured for it: it may hide something. */
    case Unknown = 6;
    case Met = 7;
    case NotDue = 8;

    public static function of(JudgedLimit|NotDue $one): self
    {
        if ($one instanceof NotDue) {
            return match ($one->reason) {
                NotDueReason::Unread => self::Unread,
                NotDueReason::Unanswered, NotDueReason::NoResult => self::Unknown,
                NotDueReason::Time, NotDueReason::Stage => self::NotDue,
            };
        }
        $binds = $one->limit->limit->kind->binds();

        return match ($one->conformity) {
            Conformity::Inside => self::Met,
            Conformity::Inconclusive => match (true) {
                !$binds => self::OtherNotProven,
                // The value itself would meet it: only the hour is missed.
                $one->late => self::Late,
                default => self::BindingNotProven,
            },
            Conformity::Outside => $binds ? self::BindingOutside : self::OtherOutside,
        };
    }

    /**
     * The worst first; within one rank critical before legal, then what has least to spare, then the order of the product.
     *
     * @param list<JudgedLimit> $due
     * @param list<NotDue> $notDue
     *
     * @return list<JudgedLimit|NotDue>
     */
    public static function ordered(array $due, array $notDue): array
    {
        $all = [...$due, ...$notDue];
        $rank = static fn(JudgedLimit|NotDue $one): array => [
            self::of($one)->value,
            $one->limit->limit->kind->rank(),
            $one instanceof JudgedLimit ? $one->spare() : 0.0,
        ];
        usort($all, static fn(JudgedLimit|NotDue $a, JudgedLimit|NotDue $b): int => $rank($a) <=> $rank($b));

        return $all;
    }

    /**
     * The same, without what is merely not due or unknown.
     *
     * @param list<JudgedLimit> $due
     * @param list<NotDue> $notDue
     *
     * @return list<JudgedLimit|NotDue>
     */
    public static function worst(array $due, array $notDue): array
    {
        return self::ordered(
            $due,
            array_values(array_filter($notDue, static fn(NotDue $one): bool => $one->reason === NotDueReason::Unread)),
        );
    }
}
