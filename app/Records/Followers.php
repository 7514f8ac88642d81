<?php

declare(strict_types=1);

namespace Rheacid\Records;

/** Who keeps in step with the records: told in the transaction of every action which rows it wrote, and once more after its commit. */
final readonly class Followers
{
    /**
     * @param list<\Closure(array<string, array<int, array<string, string|null>>>, int): void> $followers
     * @param \Closure(): void $afterwards
     */
    public function __construct(private array $followers, private \Closure $afterwards) {}

    /**
     * @param array<string, array<int, array<string, string|null>>> $rows what an action wrote, by table and id
     * @param int $seq of its line in the ledger
     */
    public function follow(array $rows, int $seq): void
    {
        foreach ($this->followers as $follower) {
            $follower($rows, $seq);
        }
    }

    /** What was recorded is recorded: what goes wrong here is reported, and made good by whoever comes next. */
    public function afterwards(): void
    {
        try {
            ($this->afterwards)();
        } catch (\Throwable $failure) {
            report($failure);
        }
    }
}
