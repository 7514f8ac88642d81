<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

enum NotDueReason: string
{
    /** Nobody has said whether its condition is true. */
    case Unanswered = 'unanswered';

    /** Its deadline has not come, or its step has not begun. */
    case Time = 'time';
    case Stage = 'stage';

    /** It is due, but nothing was measured that it asks for. */
    case NoResult = 'no-result';

    /** Its deadline has passed, nothing was measured, and it binds. */
    case Unread = 'unread';
}
