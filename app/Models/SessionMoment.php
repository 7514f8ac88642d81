<?php

declare(strict_types=1);

namespace Rheacid\Models;

/** When in a session a control check is read. */
enum SessionMoment: string
{
    case Start = 'start';
    case Within = 'within';
    case End = 'end';
}
