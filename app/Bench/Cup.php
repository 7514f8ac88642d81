<?php

declare(strict_types=1);

namespace Rheacid\Bench;

/** A cup on the simulated bench by its label; what is truly in it is not told. */
final readonly class Cup
{
    public function __construct(public int $id, public string $label, public ?int $lotId, public ?int $batchId) {}
}
