<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

use Rheacid\Core\Contradiction;

/** A volume that does not lie above the one before. */
final class VolumesNotIncreasing extends \DomainException implements Contradiction
{
    public function __construct(public readonly int $index)
    {
        parent::__construct('Volumes must increase from line to line.');
    }
}
