<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

enum DegreeHoursVerdict: string
{
    case Within = 'within';
    case Exceeded = 'exceeded';
    case Running = 'running';
}
