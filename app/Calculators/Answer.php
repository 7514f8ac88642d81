<?php

declare(strict_types=1);

namespace Rheacid\Calculators;

/** What a calculator found. */
final readonly class Answer
{
    /**
     * @param string $headline the one number with its unit
     * @param string $formula with the numbers in it
     * @param list<string> $notes what follows from it, in steps
     * @param string|null $warning what must be minded first
     * @param array{what: string, amount: float, unit: string}|null $plan what could be planned as an addition to a batch
     * @param list<array{float, float}> $curve of a bench trial
     * @param array{float, float}|null $point on that curve
     */
    public function __construct(
        public string $headline,
        public string $formula,
        public array $notes = [],
        public ?string $warning = null,
        public ?array $plan = null,
        public array $curve = [],
        public ?array $point = null,
    ) {}
}
