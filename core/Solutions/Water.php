<?php

declare(strict_types=1);

namespace Rheacid\Core\Solutions;

/** With what a powder is made up, or an electrode rinsed. */
enum Water: string
{
    case Distilled = 'distilled';
    case Tap = 'tap';
}
