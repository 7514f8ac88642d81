<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\CareStep;
use Rheacid\Core\Electrode\Diagnosis;
use Rheacid\Core\Electrode\Verdict;

/** The newest calibration of a pair on the board; all of it null where there is none. */
final readonly class PairCalibration
{
    public function __construct(
        public ?int $id = null,
        public ?Verdict $verdict = null,
        public ?CarbonImmutable $at = null,
        public ?CarbonImmutable $dueAt = null,
        public bool $isDoubtful = false,
        public ?CareKind $dueBecause = null,
        public bool $isSpent = false,
        public ?Diagnosis $diagnosis = null,
        public ?Diagnosis $alsoDiagnosed = null,
        public ?CareStep $nextStep = null,
        public ?float $bracketLow = null,
        public ?float $bracketHigh = null,
    ) {}
}
