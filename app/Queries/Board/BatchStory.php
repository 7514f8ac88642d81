<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Carbon\CarbonImmutable;
use Rheacid\Models\Statement;

/** Why a batch on the board is in its state. */
final readonly class BatchStory
{
    /**
     * @param string|null $kept why, as the record keeps it
     * @param string|null $keptFound what was found after it went out, while nobody has decided about it, as the record keeps it
     */
    public function __construct(public ?CarbonImmutable $since, public ?string $kept, public ?string $keptFound) {}

    /** Why it is in this state, in words. */
    public function reason(): string
    {
        return (string) Statement::fromColumn($this->kept);
    }

    /** What was found after it was released, in words; null where nothing was, or a lead has decided. */
    public function found(): ?string
    {
        return Statement::fromColumn($this->keptFound);
    }
}
