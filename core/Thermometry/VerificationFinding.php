<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** What a check lets suspect, in the order in which it is told. Thresholds are common practice, no source. */
enum VerificationFinding: string
{
    /** Nobody said how the ice bath was made: found where a check is kept, not by the job of the contract. */
    case BathUntold = 'BATH_UNTOLD';

    /** All that an ice bath of cubes, or one with salt, would do. */
    case BathSuspect = 'BATH_SUSPECT';

    /** The readings wander more than a display's digit explains. */
    case Unsteady = 'UNSTEADY';

    /** The uncertainty is more than half the tolerance. */
    case ReferenceTooCoarse = 'REFERENCE_TOO_COARSE';
}
