<?php

declare(strict_types=1);

namespace Rheacid\Core\Sampling;

/** Which cup of a round a sample is, where it carries a code. */
enum Cup: string
{
    /** All cups were drawn first and carry codes. */
    case Coded = 'coded';

    /** The second of a sample, read under a code in an order that hides the pair. */
    case Duplicate = 'duplicate';

    /** The second of a sample, read by somebody who knows it: it shows the spread, but proves none. */
    case Repeat = 'repeat';
}
