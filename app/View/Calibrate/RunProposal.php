<?php

declare(strict_types=1);

namespace Rheacid\View\Calibrate;

use Rheacid\Core\Solutions\BufferPlan;

/** Which bottles are proposed for a run, and in which order. */
final readonly class RunProposal
{
    /**
     * @param list<string> $order codes of the bottles to be fitted
     * @param string|null $readBack code of the bottle that is read back
     */
    public function __construct(public BufferPlan $plan, public array $order, public ?string $readBack) {}
}
