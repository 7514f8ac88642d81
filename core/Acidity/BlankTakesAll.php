<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

use Rheacid\Core\BeyondRange;
use Rheacid\Core\Numbers;

/** A blank as large as the titration. */
final class BlankTakesAll extends \DomainException implements BeyondRange
{
    public function __construct(float $ml, float $blankMl)
    {
        parent::__construct(
            sprintf(
                'The blank used %s mL and the sample %s mL, so no acid is left to calculate.',
                Numbers::plain($blankMl),
                Numbers::plain($ml),
            ),
        );
    }
}
