<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

use Rheacid\Core\Contradiction;

/** A trial whose values turn back or stand still. */
final class TrialNotMonotone extends \DomainException implements Contradiction
{
    public function __construct(public readonly int $index)
    {
        parent::__construct('The values of a trial must all rise or all fall.');
    }
}
