<?php

declare(strict_types=1);

namespace Rheacid\Models;

enum RunState: string
{
    case Open = 'open';
    case Completed = 'completed';
    case Abandoned = 'abandoned';
}
