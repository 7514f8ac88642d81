<?php

declare(strict_types=1);

namespace Rheacid\Queries\Board;

use Carbon\CarbonImmutable;
use Rheacid\Core\Batches\BatchState;

/** Which batches a list shows, and in which order; what is not understood filters nothing. */
final readonly class BatchFilter
{
    public const WORST_FIRST = 'worst';
    public const BY_DEADLINE = 'deadline';
    public const BY_CODE = 'code';

    /** What is typed into the address, and what it says. */
    public const SORTS = [self::WORST_FIRST => 'worst first', self::BY_DEADLINE => 'next deadline first', self::BY_CODE => 'by code'];
    public const DUE = ['0' => 'overdue', '24' => 'due within 24 h', '72' => 'due within 3 days'];

    private function __construct(
        public ?BatchState $state,
        public ?string $product,
        public ?string $vessel,
        public ?string $due,
        public ?CarbonImmutable $dueBy,
        public string $sort,
    ) {}

    /** @param array<array-key, mixed> $sent */
    public static function from(array $sent): self
    {
        $text = static fn(string $field): ?string => is_string($sent[$field] ?? null) && $sent[$field] !== ''
            ? mb_substr($sent[$field], 0, 60)
            : null;
        $due = array_key_exists((string) $text('due'), self::DUE) ? $text('due') : null;

        return new self(
            BatchState::tryFrom((string) $text('state')),
            $text('product'),
            $text('vessel'),
            $due,
            $due === null ? null : CarbonImmutable::now()->addHours((int) $due),
            array_key_exists((string) $text('sort'), self::SORTS) ? (string) $text('sort') : self::WORST_FIRST,
        );
    }

    /** Whether only batches with a deadline ahead or past are shown, the first one first. */
    public function isByDeadline(): bool
    {
        return $this->sort === self::BY_DEADLINE || $this->dueBy !== null;
    }

    public function isEmpty(): bool
    {
        return $this->state === null && $this->product === null && $this->vessel === null && $this->due === null;
    }
}
