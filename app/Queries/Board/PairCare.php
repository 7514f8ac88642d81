<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Carbon\CarbonImmutable;
use Rheacid\Core\Care\CareKind;

/** How the electrode of a pair is kept, on the board. */
final readonly class PairCare
{
    /** @param array<string, string> $due by kind of care, the moment from which it is due */
    public function __construct(
        public ?CarbonImmutable $soakingSince,
        public ?CarbonImmutable $soakingUntil,
        public ?CareKind $out,
        public bool $isStored,
        public array $due,
        public CarbonImmutable $firstUsed,
    ) {}
}
