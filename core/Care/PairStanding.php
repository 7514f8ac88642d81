<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

use Rheacid\Core\Electrode\Verdict;

/** The state of a pair, and until when it holds. */
final readonly class PairStanding
{
    private function __construct(public PairState $state, public ?\DateTimeImmutable $until) {}

    /**
     * @param CalibrationFacts|null $newest the newest calibration of the pair, whatever came of it
     * @param \DateTimeImmutable|null $soakingUntil the end of the newest soak
     * @param bool $outOfUse taken out of use by a person
     */
    public static function at(\DateTimeImmutable $now, ?CalibrationFacts $newest, ?\DateTimeImmutable $soakingUntil, bool $outOfUse): self
    {
        return match (true) {
            $outOfUse => new self(PairState::OutOfUse, null),
            $soakingUntil !== null && $soakingUntil > $now => new self(PairState::Soaking, $soakingUntil),
            $newest === null => new self(PairState::Uncalibrated, null),
            $newest->verdict === Verdict::Fail => new self(PairState::Failed, null),
            $newest->isDoubtful => new self(PairState::Doubtful, null),
            $newest->dueAt <= $now => new self(PairState::Overdue, $newest->dueAt),
            default => new self($newest->verdict === Verdict::Pass ? PairState::Ready : PairState::UseWithCare, $newest->dueAt),
        };
    }
}
