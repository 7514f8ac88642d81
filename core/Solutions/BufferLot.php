<?php

declare(strict_types=1);

namespace Rheacid\Core\Solutions;

/** A bottle of calibration buffer as the plan sees it. Dates are YYYY-MM-DD, which sort as they stand. */
final readonly class BufferLot
{
    public function __construct(
        public string $id,
        public string $buffer,
        public float $nominalPh,
        public string $expiresOn,
        public int $usesLeft,
    ) {}

    /** Why it cannot be used on that day; null if it can. */
    public function rejection(string $on): ?string
    {
        return match (true) {
            $this->expiresOn < $on => 'expired',
            $this->usesLeft < 1 => 'used-up',
            default => null,
        };
    }
}
