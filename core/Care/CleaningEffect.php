<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

enum CleaningEffect: string
{
    case Better = 'better';
    case None = 'none';
    case Worse = 'worse';
}
