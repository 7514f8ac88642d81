<?php

declare(strict_types=1);

namespace Rheacid\Queries\Batches;

use Carbon\CarbonImmutable;
use Rheacid\Core\Forecast\Forecast;
use Rheacid\Core\Limits\LimitKind;
use Rheacid\Core\Urgency\DeadlineWarning;

/** By when a batch must have met what, and what its readings let expect. */
final readonly class DeadlineFacts
{
    /**
     * @param string $written the limit: pH ≤ 4.6
     * @param bool $isMet by a trusted occasion that was drawn in time
     * @param Forecast|null $forecast null where there is none to tell
     * @param float $hours that the limit gives from its step on
     * @param string|null $toGo how far the newest value is from proving it
     */
    public function __construct(
        public string $name,
        public LimitKind $kind,
        public string $written,
        public CarbonImmutable $at,
        public bool $isMet,
        public ?Forecast $forecast,
        public float $hours,
        public ?string $toGo = null,
    ) {}

    /** @return list<DeadlineWarning> what is to be warned of now */
    public function warnings(CarbonImmutable $now): array
    {
        return $this->isMet ? [] : DeadlineWarning::of($now->diffInSeconds($this->at) / 3600, $this->hours, $this->forecast?->verdict);
    }
}
