<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

/** How an electrode or sensor is built, as far as its care and use depend on it. */
enum ElectrodeKind: string
{
    case GeneralPurpose = 'general-purpose';
    case SealedGel = 'sealed-gel';
    case BuiltIn = 'built-in';
    case Refillable = 'refillable';
    case DoubleJunction = 'double-junction';
    case Sleeve = 'sleeve';
    case Spear = 'spear';
    case Flat = 'flat';
    case ConductivityCell = 'conductivity-cell';
    case RedoxElectrode = 'redox-electrode';

    /** Whether electrolyte can be refilled; null where the kind does not tell. */
    public function hasFillHole(): ?bool
    {
        return match ($this) {
            self::Refillable, self::DoubleJunction, self::Sleeve => true,
            self::GeneralPurpose => null,
            default => false,
        };
    }

    public function words(): string
    {
        return match ($this) {
            self::GeneralPurpose => 'general purpose',
            self::SealedGel => 'sealed gel',
            self::BuiltIn => 'built in, sealed gel',
            self::Refillable => 'refillable',
            self::DoubleJunction => 'refillable, double junction',
            self::Sleeve => 'sleeve junction, refillable',
            self::Spear => 'spear tip for direct insertion',
            self::Flat => 'flat surface',
            self::ConductivityCell => 'conductivity cell',
            self::RedoxElectrode => 'redox electrode',
        };
    }
}
