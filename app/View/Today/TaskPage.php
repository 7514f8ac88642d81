<?php

declare(strict_types=1);

namespace Rheacid\View\Today;

/** So many of the things to do as a screen has place for. */
final readonly class TaskPage
{
    private const SIZE = 30;

    /** @var list<Task> */
    public array $tasks;

    public int $of;

    private int $from;

    /** @param list<Task> $all in their order */
    public function __construct(array $all, int $from)
    {
        $this->of = count($all);
        $this->from = $from >= 0 && $from < $this->of ? $from - ($from % self::SIZE) : 0;
        $this->tasks = array_slice($all, $this->from, self::SIZE);
    }

    public function isFirst(): bool
    {
        return $this->from === 0;
    }

    /** Where the page before begins; null on the first. */
    public function before(): ?int
    {
        return $this->isFirst() ? null : $this->from - self::SIZE;
    }

    /** Where the next page begins; null on the last. */
    public function after(): ?int
    {
        return $this->from + self::SIZE < $this->of ? $this->from + self::SIZE : null;
    }
}
