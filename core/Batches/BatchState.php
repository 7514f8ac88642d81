<?php

declare(strict_types=1);

namespace Rheacid\Core\Batches;

use Rheacid\Core\Limits\Overall;

/** What is true of a batch, and what may follow. */
enum BatchState: string
{
    case Planned = 'planned';
    case Running = 'running';
    case Held = 'held';
    case Released = 'released';
    /** It had been released, and is recalled. */
    case Recalled = 'recalled';
    case Diverted = 'diverted';
    case Discarded = 'discarded';
    case Closed = 'closed';

    public function mayBecome(self $next): bool
    {
        return in_array($next, match ($this) {
            self::Planned => [self::Running],
            // Only a stage of a process is closed without having gone out: an action asks for that.
            self::Running => [self::Held, self::Released, self::Diverted, self::Discarded, self::Closed],
            self::Held => [self::Running, self::Released, self::Diverted, self::Discarded],
            self::Released => [self::Recalled, self::Closed],
            self::Recalled => [self::Released, self::Diverted, self::Discarded],
            self::Diverted, self::Discarded => [self::Closed],
            // What was closed without ever having gone out is not recalled: an action asks for that.
            self::Closed => [self::Recalled],
        }, true);
    }

    /** Whether it is being made: a decision can hold it. */
    public function isLive(): bool
    {
        return $this === self::Running || $this === self::Held;
    }

    /** Whether samples are still drawn of it: one that was recalled is measured again. */
    public function isMeasured(): bool
    {
        return $this->isLive() || $this === self::Recalled;
    }

    /** Whether what is found now may still fetch it back, or keep it back. */
    public function mayBeRecalled(): bool
    {
        return in_array($this, [self::Released, self::Closed, self::Recalled], true);
    }

    /** Whether a decision holds it. */
    public function isHeldBy(Overall $overall): bool
    {
        return $overall === Overall::Hold && $this->mayBecome(self::Held);
    }
}
