<?php

declare(strict_types=1);

namespace Rheacid\Core\Batches;

/** Why a batch is not moved by hand. */
enum MoveRefused: string
{
    /** It is released, recalled, diverted or discarded by an act of its own. */
    case HasItsOwnAct = 'has-its-own-act';
    /** Only a stage of a process is closed without having gone out. */
    case NotReleased = 'not-released';
    case DeviationOpen = 'deviation-open';
}
