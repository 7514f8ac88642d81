<?php

declare(strict_types=1);

namespace Rheacid\Core\Measurands;

use Rheacid\Core\BeyondRange;

/** A unit that a quantity has not. */
final class UnitUnknown extends \DomainException implements BeyondRange
{
    public function __construct(public readonly Measurand $measurand, public readonly string $unit)
    {
        $accepted = array_filter(
            [$measurand->unit(), ...array_keys($measurand->otherUnits()), $measurand === Measurand::Temperature ? '°F' : ''],
            static fn(string $one): bool => $one !== '',
        );
        parent::__construct(
            sprintf(
                '"%s" is not a unit of %s. Use: %s.',
                $unit,
                $measurand->name(),
                $accepted === [] ? 'none, it is a bare number' : implode(', ', $accepted),
            ),
        );
    }
}
