<?php

declare(strict_types=1);

namespace Rheacid\Measure;

/** Why an occasion was judged, or judged anew. */
enum DecisionCause: string
{
    case Recorded = 'recorded';
    case Joined = 'joined';
    case Corrected = 'corrected';
    case ControlCheck = 'control-check';
}
