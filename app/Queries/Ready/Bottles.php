<?php

declare(strict_types=1);

namespace Rheacid\Queries\Ready;

use Carbon\CarbonImmutable;
use Rheacid\Core\Solutions\BottleStatus;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Core\Solutions\Spent;
use Rheacid\Models\Bottle;
use Rheacid\Models\Lot;
use Rheacid\Models\Measures;
use Rheacid\Records\Refused;
use Rheacid\Site\SiteClock;

/** Bottles by their code, and whether they can serve. */
final class Bottles
{
    /** @throws Refused if there is none */
    public static function byCode(string $code, string $field = 'lot'): Lot
    {
        return Lot::query()->where('code', $code)->first() ?? throw Refused::because("There is no bottle $code.", $field);
    }

    /** Why a bottle of whatever kind cannot be used today; null if it can. */
    public static function spent(Bottle $bottle): ?string
    {
        $status = $bottle->status();

        return match ($status->spent) {
            null => null,
            Spent::Discarded => 'discarded',
            Spent::NotMadeUp => 'powder, not made up yet',
            Spent::Expired => 'expired ' . SiteClock::day(CarbonImmutable::parse($status->usableUntil, 'UTC')),
            Spent::UsedUp => sprintf('all %d uses spent', $bottle->usesAllowed()),
        };
    }

    /** All uses of its policy are spent, and not one more: that one is possible by reason. */
    public static function hasOneUseMore(Lot $lot): bool
    {
        return $lot->status()->spent === Spent::UsedUp && $lot->facts()->usesTaken === $lot->uses_allowed;
    }

    /** Why a bottle cannot serve a pH calibration today; null if it can. */
    public static function objection(Bottle $bottle): ?string
    {
        return match ($bottle->holds()) {
            SolutionKind::Buffer => self::spent($bottle),
            SolutionKind::Conductivity => 'a conductivity standard, not a pH buffer',
            default => 'not a pH buffer',
        };
    }

    /** Why a bottle cannot serve such a sensor today; null if it can. */
    public static function objectionToCell(Bottle $bottle, Measures $measures): ?string
    {
        $kind = $bottle->holds();

        return match (true) {
            $kind?->value === $measures->value => self::spent($bottle),
            $kind === SolutionKind::Buffer => sprintf('a pH buffer, not a %s standard', $measures->words()),
            default => sprintf('not a %s standard', $measures->words()),
        };
    }

    public static function left(BottleStatus $status): string
    {
        return match ($status->usesLeft) {
            null => 'not counted',
            0 => 'no use left',
            1 => 'one use left',
            default => "$status->usesLeft uses left",
        };
    }
}
