<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Contradiction;

/** A signal of another kind than the pair was calibrated in. */
final class WrongSignal extends \DomainException implements Contradiction
{
    public function __construct(public readonly bool $isMvNeeded)
    {
        parent::__construct($isMvNeeded ? 'This pair was calibrated in mV; mV are needed, not the pH that a meter shows.' : 'This pair was calibrated by its meter; a pH as shown is needed, not mV.');
    }
}
