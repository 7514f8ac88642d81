<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

use Rheacid\Core\Electrode\Verdict;

/** The state of a pair, and until when it holds. */
final readonly class PairStatus
{
    private function __construct(public PairState $state, public ?\DateTimeImmutable $until = null, public ?CareKind $because = null) {}

    /**
     * @param CalibrationFacts|null $newest the newest calibration of the pair, whatever came of it
     * @param \DateTimeImmutable|null $soakingUntil the end of the newest soak
     * @param CareKind|null $out what took the electrode out of use, if it has not been taken back since
     * @param bool $isStored put into storage, and nothing was done with it since
     */
    public static function at(
        \DateTimeImmutable $now,
        ?CalibrationFacts $newest,
        ?\DateTimeImmutable $soakingUntil,
        ?CareKind $out,
        bool $isStored = false,
    ): self {
        return match (true) {
            $out === CareKind::Retired => new self(PairState::Retired),
            $out !== null => new self(PairState::OutOfUse, null, $out),
            $soakingUntil !== null && $soakingUntil > $now => new self(PairState::Soaking, $soakingUntil),
            $newest !== null && self::isSound($newest) && !$newest->isSpent && $newest->dueAt > $now => new self(
                $newest->verdict === Verdict::Pass ? PairState::Ready : PairState::UseWithCare,
                $newest->dueAt,
            ),
            $newest?->verdict === Verdict::Fail => new self(PairState::Failed),
            $newest?->isDoubtful === true => new self(PairState::Doubtful),
            $newest?->dueBecause !== null => new self(PairState::Due, null, $newest->dueBecause),
            $isStored => new self(PairState::Stored),
            $newest === null => new self(PairState::Uncalibrated),
            $newest->dueAt > $now => new self(PairState::Spent),
            default => new self(PairState::Overdue, $newest->dueAt),
        };
    }

    private static function isSound(CalibrationFacts $calibration): bool
    {
        return $calibration->verdict !== Verdict::Fail && !$calibration->isDoubtful && $calibration->dueBecause === null;
    }
}
