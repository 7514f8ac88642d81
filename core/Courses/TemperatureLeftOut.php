<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Contradiction;

/** A temperature that is given, though its time was left out. */
final class TemperatureLeftOut extends \DomainException implements Contradiction
{
    public function __construct(public readonly int $index)
    {
        parent::__construct('This temperature is in a stretch that is excluded; only those outside are accepted.');
    }
}
