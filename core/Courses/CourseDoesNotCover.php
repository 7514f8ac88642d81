<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Contradiction;
use Rheacid\Core\Numbers;

/** A pH reading that lies outside the record of temperatures by more than an hour. */
final class CourseDoesNotCover extends \DomainException implements Contradiction
{
    public function __construct(public readonly int $index, public readonly float $hours, public readonly bool $isBefore)
    {
        parent::__construct(sprintf('The pH reading at %s h lies more than an hour %s the record of temperatures.', Numbers::plain($hours), $isBefore ? 'before' : 'after'));
    }
}
