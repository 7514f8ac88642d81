<?php

declare(strict_types=1);

namespace Rheacid\Core\Solutions;

/** Which bottles of one buffer a day's runs need: each run takes one use, and what expires first goes first. */
final readonly class BottlesNeeded
{
    /**
     * @param list<array{lot: BufferLot, uses: int}> $taken
     * @param int $missing uses that no bottle gives
     */
    private function __construct(public array $taken, public int $missing) {}

    /**
     * @param list<BufferLot> $lots of one buffer
     * @param int $runs 1 or more
     * @param string $on the day, YYYY-MM-DD
     */
    public static function of(array $lots, int $runs, string $on): self
    {
        $usable = array_filter($lots, static fn(BufferLot $lot): bool => $lot->rejection($on) === null);
        usort($usable, static fn(BufferLot $a, BufferLot $b): int => [$a->expiresOn, $a->id] <=> [$b->expiresOn, $b->id]);
        $taken = [];
        foreach ($usable as $lot) {
            $uses = min($runs, $lot->usesLeft);
            if ($uses > 0) {
                $taken[] = ['lot' => $lot, 'uses' => $uses];
                $runs -= $uses;
            }
        }

        return new self($taken, $runs);
    }
}
