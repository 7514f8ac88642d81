<?php

declare(strict_types=1);

namespace Rheacid\Core\Simulation;

/** What the probe of the simulated bench can be put into, mistakes too. The errors of the mistakes are common practice, no source. */
enum BathKind: string
{
    case Slush = 'slush';
    case Cubes = 'cubes';
    case Salted = 'salted';
    case AtTheWall = 'at-the-wall';
    case Boiling = 'boiling';
    case Stirred = 'stirred';

    public function words(): string
    {
        return match ($this) {
            self::Slush => 'slush of crushed ice',
            self::Cubes => 'ice cubes in water',
            self::Salted => 'salted ice',
            self::AtTheWall => 'slush, probe at the wall',
            self::Boiling => 'rolling boil',
            self::Stirred => 'stirred bath beside the reference',
        };
    }

    /** @param float $expectedC what a good bath would have */
    public function celsius(float $expectedC): float
    {
        return $expectedC + match ($this) {
            self::Cubes => 1.4,
            self::Salted => -2.2,
            self::AtTheWall => 0.7,
            default => 0.0,
        };
    }
}
