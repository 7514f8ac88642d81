<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

enum ThroughoutVerdict: string
{
    case Inside = 'inside';
    case Outside = 'outside';
    case Inconclusive = 'inconclusive';
    /** Nothing speaks against it, and its span is not over. */
    case Running = 'running';
}
