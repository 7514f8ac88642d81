<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** What decides which limits a sample is judged by. */
final readonly class SampleFacts
{
    /** @param list<string> $answeredYes conditions that are true of the batch */
    public function __construct(public Stage $stage, public float $hoursSinceStart, public array $answeredYes = []) {}
}
