<?php

declare(strict_types=1);

namespace Rheacid\Core\Measurands;

use Rheacid\Core\BeyondRange;
use Rheacid\Core\Numbers;

/** A value that a quantity cannot have. */
final class ValueImpossible extends \DomainException implements BeyondRange
{
    public function __construct(public readonly Measurand $measurand, public readonly float $value)
    {
        [$low, $high] = $measurand->range();
        parent::__construct(
            sprintf(
                '%s of %s is not plausible. Type %s to %s %s.',
                ucfirst($measurand->name()),
                Numbers::plain($value),
                Numbers::plain($low),
                Numbers::plain($high),
                $measurand->unit(),
            ),
        );
    }
}
