<?php

declare(strict_types=1);

namespace Rheacid\Records;

/** Who keeps in step with the records: told in the transaction of every action which rows it wrote. */
final readonly class Followers
{
    /** @param list<\Closure(array<string, array<int, array<string, string|null>>>): void> $followers */
    public function __construct(private array $followers) {}

    /** @param array<string, array<int, array<string, string|null>>> $rows what an action wrote, by table and id */
    public function follow(array $rows): void
    {
        foreach ($this->followers as $follower) {
            $follower($rows);
        }
    }
}
