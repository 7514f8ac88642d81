<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

/** Why it is not certain that the right buffer stands in the cup. */
enum CupDoubt
{
    /** It reads like nothing on the shelf. */
    case NoBuffer;

    /** Nearest to the expected one, but not near enough. */
    case Distance;

    /** It reads like another one. */
    case Another;

    /** Another one, too near to be told apart for certain, lies nearer. */
    case Neighbour;

    /** Another one fits what the electrode did in its last runs better: confirming the label does not settle it. */
    case Twin;
}
