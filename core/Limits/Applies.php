<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** When a limit is due. */
enum Applies: string
{
    case Always = 'always';
    case Start = 'start';
    case Equilibrium = 'equilibrium';
    case Finished = 'finished';

    /** No later than so many hours after the batch began. */
    case WithinHours = 'within_hours';

    public function words(): string
    {
        return match ($this) {
            self::Always => 'always',
            self::Start => 'at the start',
            self::Equilibrium => 'at equilibrium',
            self::Finished => 'when finished',
            self::WithinHours => 'within',
        };
    }
}
