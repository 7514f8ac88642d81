<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** Where a batch stands when a sample is drawn, as the checker declares it. */
enum Stage: string
{
    case Start = 'start';
    case Underway = 'underway';
    case Equilibrium = 'equilibrium';
    case Finished = 'finished';

    /** A finished product has passed equilibrium, so the limits of equilibrium bind it too. */
    public function makesDue(Applies $applies): bool
    {
        return match ($applies) {
            Applies::Always => true,
            Applies::Start => $this === self::Start,
            Applies::Equilibrium => $this === self::Equilibrium || $this === self::Finished,
            Applies::Finished => $this === self::Finished,
            Applies::WithinHours => false,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::Start => 'at the start',
            self::Underway => 'under way',
            self::Equilibrium => 'at equilibrium',
            self::Finished => 'finished',
        };
    }
}
