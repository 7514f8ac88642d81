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

    public function hasPages(): bool
    {
        return $this->of > self::SIZE;
    }

    /** Null on the first page. */
    public function previousPageUrl(): ?string
    {
        return $this->isFirst() ? null : route('today', ['from' => $this->from - self::SIZE]);
    }

    /** Null on the last page. */
    public function nextPageUrl(): ?string
    {
        return $this->from + self::SIZE < $this->of ? route('today', ['from' => $this->from + self::SIZE]) : null;
    }
}
