<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Contradiction;

/** A temperature that is given, though its time was left out. */
final class TemperatureLeftOut extends \DomainException implements Contradiction
{
    public function __construct(public readonly int $index)
    {
        parent::__construct('This temperature lies within a stretch that is left out; only those outside are accepted.');
    }
}
