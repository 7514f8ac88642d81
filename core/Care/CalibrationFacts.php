<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

use Rheacid\Core\Electrode\Verdict;

/** What the state of a pair needs to know of its newest calibration. */
final readonly class CalibrationFacts
{
    /**
     * @param bool $isDoubtful voided, or found off by more than the read-back limit in a run that was abandoned since
     * @param CareKind|null $dueBecause what happened since that makes a new one due at once
     * @param bool $isSpent its readings are taken, or its session is over
     */
    public function __construct(
        public Verdict $verdict,
        public \DateTimeImmutable $dueAt,
        public bool $isDoubtful,
        public ?CareKind $dueBecause = null,
        public bool $isSpent = false,
    ) {}
}
