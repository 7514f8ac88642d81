<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\BeyondRange;

/** What no such thermometer has, Ω. */
final class ResistanceOutOfRange extends \DomainException implements BeyondRange
{
    public function __construct(
        public readonly float $ohm,
        public readonly float $r0,
        public readonly float $low,
        public readonly float $high,
    ) {
        parent::__construct(
            sprintf('%.3f Ω is outside the range of a %g Ω thermometer; %.3f to %.3f Ω is accepted.', $ohm, $r0, $low, $high),
        );
    }
}
