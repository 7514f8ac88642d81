<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** What decides which limits an occasion is judged by. */
final readonly class Occasion
{
    /**
     * @param array<string, float> $hoursSince hours from each step that has begun to the moment of drawing
     * @param array<string, bool> $conditions how they were answered for the batch
     * @param list<string> $metInTime limits that an earlier occasion of the batch has met by their deadline
     */
    public function __construct(public Stage $stage, public array $hoursSince = [], public array $conditions = [], public array $metInTime = []) {}
}
