<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

use Rheacid\Core\BeyondRange;
use Rheacid\Core\Numbers;

/** There is no guess beyond a bench trial. */
final class TargetOutsideTrial extends \DomainException implements BeyondRange
{
    public function __construct(float $target, float $low, float $high)
    {
        parent::__construct(
            sprintf(
                '%s is outside the trial, which covers %s to %s. Test a larger dose.',
                Numbers::plain($target),
                Numbers::plain($low),
                Numbers::plain($high),
            ),
        );
    }
}
