<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Contradiction;

/** A signal of another kind than the pair was calibrated in. */
final class WrongSignal extends \DomainException implements Contradiction
{
    public function __construct(public readonly bool $isMvNeeded)
    {
        parent::__construct(
            $isMvNeeded
                ? 'This pair was calibrated in mV. Type mV, not the pH shown.'
                : 'This pair was calibrated by its meter. Type the pH shown, not mV.',
        );
    }
}
