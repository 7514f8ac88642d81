<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** What is true of a batch, and what may follow. */
enum BatchState: string
{
    case Planned = 'planned';
    case Running = 'running';
    case Held = 'held';
    case Released = 'released';
    case Diverted = 'diverted';
    case Discarded = 'discarded';
    case Closed = 'closed';

    public function mayBecome(self $next): bool
    {
        return in_array($next, match ($this) {
            self::Planned => [self::Running],
            self::Running => [self::Held, self::Released, self::Diverted, self::Discarded],
            self::Held => [self::Running, self::Released, self::Diverted, self::Discarded],
            self::Released, self::Diverted, self::Discarded => [self::Closed],
            self::Closed => [],
        }, true);
    }

    /** Whether it is still measured. */
    public function isLive(): bool
    {
        return $this === self::Running || $this === self::Held;
    }

    /** Whether a decision holds it. */
    public function isHeldBy(Overall $overall): bool
    {
        return $overall === Overall::Hold && $this->mayBecome(self::Held);
    }
}
