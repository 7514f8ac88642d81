<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** What follows from all outcomes together. */
enum Overall: string
{
    case Accept = 'accept';

    /** A line for the lead; the batch goes on. */
    case Review = 'review';

    /** The batch is held. */
    case Hold = 'hold';

    /** Nothing holds it yet, but not all places are read. */
    case Open = 'open';
    /** No limit is due: nothing was accepted either. */
    case NothingJudged = 'nothing-judged';
}
