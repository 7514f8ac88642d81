<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Rheacid\Models\Facts;
use Rheacid\Queries\Batches\DeadlineFacts;

/** What a batch on the board still asks for. */
final class BatchDue
{
    /** @var list<DeadlineFacts>|null */
    private ?array $unpacked = null;

    /**
     * @param array<int, array<string, mixed>> $deadlines packed DeadlineFacts, soonest first
     * @param array<string, array{hours: float|null, saidAt: string|null}> $steps that limits count from and nobody has recorded, with when
     *     somebody said "not yet"
     * @param array{occasion: int, drawnAt: string, until: string, places: list<string>}|null $waiting the newest sample, where it lacks
     *     places
     */
    public function __construct(
        public readonly array $deadlines,
        public readonly array $steps = [],
        public readonly ?array $waiting = null,
        public readonly bool $needsRoute = false,
    ) {}

    /** @return list<DeadlineFacts> soonest first */
    public function deadlines(): array
    {
        return $this->unpacked ??= array_map(
            static fn(array $facts): DeadlineFacts => Facts::made(DeadlineFacts::class, $facts),
            array_values($this->deadlines),
        );
    }

    /** The first that has not been met. */
    public function next(): ?DeadlineFacts
    {
        foreach ($this->deadlines() as $deadline) {
            if (!$deadline->isMet) {
                return $deadline;
            }
        }

        return null;
    }
}
