<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

use Rheacid\Core\Thermometry\CheckVerdict;
use Rheacid\Core\Thermometry\Outcome;

/** The state of a thermometer, and until when it holds. */
final readonly class ThermometerStanding
{
    private function __construct(public ThermometerState $state, public ?\DateTimeImmutable $until) {}

    /** @param CheckVerdict|null $verdict of the newest check; null without one */
    public static function at(\DateTimeImmutable $now, ?CheckVerdict $verdict, ?Outcome $outcome, ?\DateTimeImmutable $dueAt): self
    {
        return match (true) {
            $verdict === null || $dueAt === null => new self(ThermometerState::Unchecked, null),
            $outcome === Outcome::Replaced, $outcome === Outcome::OutOfUse => new self(ThermometerState::OutOfUse, null),
            $outcome === Outcome::Adjusted => new self(ThermometerState::Adjusted, null),
            $verdict === CheckVerdict::Outside && $outcome !== Outcome::Correct => new self(ThermometerState::Failed, null),
            $dueAt <= $now => new self(ThermometerState::Overdue, $dueAt),
            default => new self($verdict === CheckVerdict::Inconclusive && $outcome !== Outcome::Correct ? ThermometerState::WithCare : ThermometerState::Ready, $dueAt),
        };
    }
}
