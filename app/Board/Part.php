<?php

declare(strict_types=1);

namespace Rheacid\Board;

/** What the board speaks of. */
enum Part: string
{
    case Pair = 'pair';
    case Thermometer = 'thermometer';
    case Bottle = 'bottle';
    case Batch = 'batch';
}
