<?php

declare(strict_types=1);

namespace Rheacid\Models;

enum PointKind: string
{
    case Fit = 'fit';
    case ReadBack = 'read-back';
}
