<?php

declare(strict_types=1);

namespace Rheacid\Core\Release;

/** Why a binding limit keeps a batch from going out. */
enum MissingReason: string
{
    case Unanswered = 'unanswered';
    case NeverJudged = 'never-judged';
    case MissedInTime = 'missed-in-time';
    case Outside = 'outside';
    case NotProven = 'not-proven';

    /** An earlier occasion was outside. */
    case Breached = 'breached';
}
