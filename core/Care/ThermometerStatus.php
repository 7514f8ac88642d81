<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

use Rheacid\Core\Thermometry\Outcome;
use Rheacid\Core\Thermometry\VerificationVerdict;

/** The state of a thermometer, and until when it holds. */
final readonly class ThermometerStatus
{
    private function __construct(public ThermometerState $state, public ?\DateTimeImmutable $until) {}

    /** @param VerificationVerdict|null $verdict of the newest check; null without one */
    public static function at(\DateTimeImmutable $now, ?VerificationVerdict $verdict, ?Outcome $outcome, ?\DateTimeImmutable $dueAt): self
    {
        return match (true) {
            $verdict === null || $dueAt === null => new self(ThermometerState::Unchecked, null),
            $outcome === Outcome::Replaced, $outcome === Outcome::OutOfUse => new self(ThermometerState::OutOfUse, null),
            $outcome === Outcome::Adjusted => new self(ThermometerState::Adjusted, null),
            $verdict === VerificationVerdict::Outside && $outcome !== Outcome::Correct => new self(ThermometerState::Failed, null),
            $dueAt <= $now => new self(ThermometerState::Overdue, $dueAt),
            default => new self(
                $verdict === VerificationVerdict::Inconclusive && $outcome !== Outcome::Correct
                    ? ThermometerState::WithCare
                    : ThermometerState::Ready,
                $dueAt,
            ),
        };
    }
}
