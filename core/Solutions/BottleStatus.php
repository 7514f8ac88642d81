<?php

declare(strict_types=1);

namespace Rheacid\Core\Solutions;

/** Whether a bottle can still be used on a day, and until when. Days are YYYY-MM-DD, which sort as they stand. */
final readonly class BottleStatus
{
    private function __construct(public ?Spent $spent, public string $usableUntil, public ?int $usesLeft) {}

    /** @param string $today on the site's clock */
    public static function on(string $today, BottleFacts $bottle): self
    {
        $opened
            = $bottle->openedOn === null
                ? null
                : (new \DateTimeImmutable($bottle->openedOn))->modify("+$bottle->daysAfterOpening days")->format('Y-m-d');
        $until = $opened === null ? $bottle->expiresOn : min($opened, $bottle->expiresOn);
        $left = $bottle->usesAllowed === null ? null : max(0, $bottle->usesAllowed - $bottle->usesTaken);

        return new self(
            match (true) {
                $bottle->isDiscarded => Spent::Discarded,
                $bottle->isPowder && $bottle->openedOn === null => Spent::NotMadeUp,
                $until < $today => Spent::Expired,
                $left === 0 => Spent::UsedUp,
                default => null,
            },
            $until,
            $left,
        );
    }
}
