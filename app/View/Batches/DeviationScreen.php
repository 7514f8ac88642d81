<?php

declare(strict_types=1);

namespace Rheacid\View\Batches;

use Rheacid\Models\Deviation;
use Rheacid\Models\LimitRow;

/** What the page of a deviation shows. */
final readonly class DeviationScreen
{
    /** @param LimitRow|null $limit as it stood when the batch began; null where the limit has gone */
    private function __construct(public Deviation $deviation, public ?LimitRow $limit) {}

    public static function of(Deviation $deviation): self
    {
        $deviation->load(['batch.product.limits', 'batch.newestEvent', 'person', 'actions.person', 'disposition.person']);

        return new self(
            $deviation,
            $deviation->batch->product->limits->first(static fn(LimitRow $limit): bool => $limit->name === $deviation->limit_name),
        );
    }
}
