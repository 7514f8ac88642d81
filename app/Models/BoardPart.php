<?php

declare(strict_types=1);

namespace Rheacid\Models;

/** What the board speaks of. */
enum BoardPart: string
{
    case Pair = 'pair';
    case Thermometer = 'thermometer';
    case Bottle = 'bottle';
    case Batch = 'batch';
}
