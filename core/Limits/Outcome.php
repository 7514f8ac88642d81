<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** How a value with its uncertainty stands against one limit. */
enum Outcome: string
{
    case Inside = 'inside';
    case Inconclusive = 'inconclusive';
    case Outside = 'outside';
}
