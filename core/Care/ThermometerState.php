<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

/** What a thermometer is fit for at a moment. */
enum ThermometerState: string
{
    case Ready = 'ready';

    /** Not proven within its tolerance, and not proven outside. */
    case WithCare = 'with-care';
    case Unchecked = 'unchecked';
    case Overdue = 'overdue';
    case Failed = 'failed';

    /** Adjusted, and not checked as left. */
    case Adjusted = 'adjusted';
    case OutOfUse = 'out-of-use';

    public function isInForce(): bool
    {
        return $this === self::Ready || $this === self::WithCare;
    }
}
