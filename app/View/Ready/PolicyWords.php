<?php

declare(strict_types=1);

namespace Rheacid\View\Ready;

use Rheacid\Core\Care\IntervalKind;
use Rheacid\Core\Electrode\FitMethod;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Core\Solutions\BufferOrder;
use Rheacid\Models\Policy;

/** A policy in the words of the bench. */
final class PolicyWords
{
    public static function interval(Policy $policy): string
    {
        $n = $policy->interval_count;

        return match ($policy->interval_kind) {
            IntervalKind::EachUse => 'before each use',
            IntervalKind::Daily => 'each day',
            IntervalKind::Hours => "every $n h",
            IntervalKind::Days => $n === 1 ? 'every day' : "every $n days",
            IntervalKind::Readings => "every $n readings",
        };
    }

    public static function kind(IntervalKind $kind): string
    {
        return match ($kind) {
            IntervalKind::EachUse => 'one use or session (required for critical limits)',
            IntervalKind::Daily => 'each day',
            IntervalKind::Hours => 'a number of hours',
            IntervalKind::Days => 'a number of days (non-critical use only)',
            IntervalKind::Readings => 'a number of readings, at most a month',
        };
    }

    public static function buffers(Policy $policy): string
    {
        return self::family($policy->buffer_family) . ', ' . self::order($policy->buffer_order);
    }

    public static function family(BufferFamily $family): string
    {
        return match ($family) {
            BufferFamily::Technical => '4.01 / 7.00 / 10.01',
            BufferFamily::Standard => '4.01 / 6.86 / 9.18',
            BufferFamily::Any => 'either family',
        };
    }

    public static function order(BufferOrder $order): string
    {
        return match ($order) {
            BufferOrder::NeutralFirst => 'neutral first',
            BufferOrder::LowestFirst => 'lowest first',
            BufferOrder::Free => 'any order',
        };
    }

    public static function fit(FitMethod $fit): string
    {
        return match ($fit) {
            FitMethod::Segments => 'segments between neighbouring buffers',
            FitMethod::LeastSquares => 'one line through all buffers',
        };
    }

    public static function rinse(Policy $policy): string
    {
        return $policy->rinse === 'tap' ? 'clean tap water' : 'distilled or deionised water';
    }
}
