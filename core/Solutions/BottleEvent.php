<?php

declare(strict_types=1);

namespace Rheacid\Core\Solutions;

/** What is done to a bottle, or happens to it. */
enum BottleEvent: string
{
    case Opened = 'opened';
    case MadeUp = 'made-up';
    case Dipped = 'dipped';
    case Discarded = 'discarded';
}
