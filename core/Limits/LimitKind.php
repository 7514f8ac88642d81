<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

enum LimitKind: string
{
    /** Separates acceptable from unacceptable for a hazard; cannot be traded off. */
    case Critical = 'critical';
    case Legal = 'legal';

    /** Set by the producer inside the critical limit. */
    case Operating = 'operating';
    case Spoilage = 'spoilage';

    /** Taste and style; missing it is a quality note. */
    case Target = 'target';

    /** Whether the uncertainty must be cleared, and whether missing it holds the batch. */
    public function binds(): bool
    {
        return $this === self::Critical || $this === self::Legal;
    }

    /** @return list<self> those that bind */
    public static function binding(): array
    {
        return array_values(array_filter(self::cases(), static fn(self $one): bool => $one->binds()));
    }

    /** 0 stands first: critical before legal, all others alike. */
    public function rank(): int
    {
        return match ($this) {
            self::Critical => 0,
            self::Legal => 1,
            self::Operating, self::Spoilage, self::Target => 2,
        };
    }
}
