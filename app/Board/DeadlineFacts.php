<?php

declare(strict_types=1);

namespace Rheacid\Board;

use Carbon\CarbonImmutable;
use Rheacid\Core\Limits\Forecast;
use Rheacid\Core\Limits\LimitKind;

/** By when a batch must have met what, and what its readings let expect. */
final readonly class DeadlineFacts
{
    /**
     * @param string $written the limit: pH ≤ 4.6
     * @param bool $isMet by a trusted occasion that was drawn in time
     * @param Forecast|null $forecast null where there is none to tell
     */
    public function __construct(public string $name, public LimitKind $kind, public string $written, public CarbonImmutable $at, public bool $isMet, public ?Forecast $forecast) {}
}
