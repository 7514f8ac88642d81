<?php

declare(strict_types=1);

namespace Rheacid\Models;

/** A row that is written once and sealed: times to the millisecond, nothing filled in behind the writer's back, never changed. */
trait Sealed
{
    /** Its name in the plural, worked out once: the framework asks for it many times in every action. */
    public function getTable(): string
    {
        static $table = null;

        return $this->table ?? ($table ??= parent::getTable());
    }

    public function usesTimestamps(): bool
    {
        return false;
    }

    public function getDateFormat(): string
    {
        return 'Y-m-d H:i:s.v';
    }

    /** @return array<string> every column is set by an action that names it */
    public function getGuarded(): array
    {
        return [];
    }

    /** @return list<string> columns that stand in the ledger by their digest */
    public function largeColumns(): array
    {
        return [];
    }

    protected static function bootSealed(): void
    {
        $refuse = static fn(): never => throw new \LogicException(
            static::class . ' is a record: correct it with a new row; it is never changed.',
        );
        static::updating($refuse);
        static::deleting($refuse);
    }
}
