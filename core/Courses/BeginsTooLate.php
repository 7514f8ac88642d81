<?php

declare(strict_types=1);

namespace Rheacid\Core\Courses;

use Rheacid\Core\Contradiction;
use Rheacid\Core\Numbers;

/** Counting that would begin after all that is counted. */
final class BeginsTooLate extends \DomainException implements Contradiction
{
    public function __construct(public readonly float $fromH, public readonly float $lastH, string $what)
    {
        parent::__construct(sprintf('Counting begins (%s h) after %s (%s h).', Numbers::plain($fromH), $what, Numbers::plain($lastH)));
    }
}
