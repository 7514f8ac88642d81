<?php

declare(strict_types=1);

namespace Rheacid\Core\Cells;

use Rheacid\Core\Contradiction;

/** A conductivity cell shows nothing in its standard. */
final class CellReadsNothing extends \DomainException implements Contradiction
{
    public function __construct()
    {
        parent::__construct(
            'The cell reads nothing in the standard. Rinse it, immerse it deeper and knock off bubbles. Type a reading above 0 µS/cm.',
        );
    }
}
