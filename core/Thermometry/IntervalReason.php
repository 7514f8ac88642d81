<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

enum IntervalReason: string
{
    case Keep = 'keep';
    case Doubled = 'doubled';
    case Halved = 'halved';

    /** The policy's shortest or longest interval stood in the way. */
    case Capped = 'capped';
}
