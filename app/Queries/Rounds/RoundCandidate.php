<?php

declare(strict_types=1);

namespace Rheacid\Queries\Rounds;

use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Sampling\SamplingState;
use Rheacid\Models\Batch;

/** A batch that can be on a round: as what and where it is read, and whether its sampling plan asks for it now. */
final readonly class RoundCandidate
{
    /**
     * @param non-empty-list<string> $places one sample each
     * @param SamplingState|null $line of its plan that asks first for a pH
     */
    public function __construct(
        public Batch $batch,
        public Stage $stage,
        public array $places,
        public bool $isDue,
        public ?SamplingState $line,
    ) {}
}
