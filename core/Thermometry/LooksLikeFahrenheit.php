<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\Contradiction;

/** A reading in °C that can only be in °F. */
final class LooksLikeFahrenheit extends \DomainException implements Contradiction
{
    public function __construct(public readonly float $reading, public readonly float $celsius)
    {
        parent::__construct(sprintf('%s looks like °F (%.1f °C). Choose °F, or type the unit after the number.', $reading, $celsius));
    }
}
