<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

enum ChartSignal: string
{
    /** Beyond two standard deviations. */
    case Warn = 'warn';

    /** Beyond three. */
    case Act = 'act';

    /** Seven in a row on one side of the centre. */
    case OneSide = 'one-side';
}
