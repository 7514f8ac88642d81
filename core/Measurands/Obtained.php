<?php

declare(strict_types=1);

namespace Rheacid\Core\Measurands;

/** How a number of a quantity comes about. */
enum Obtained: string
{
    case ByInstrument = 'instrument';
    case ByTitration = 'titration';
    case FromElsewhere = 'elsewhere';
    case Derived = 'derived';
}
