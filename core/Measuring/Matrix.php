<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Care\ElectrodeKind;

/** What a sample is made of, as far as it changes how it is measured. */
enum Matrix: string
{
    case Still = 'still';
    case Must = 'must';
    case Sparkling = 'sparkling';
    case HotMash = 'hot-mash';
    case Brined = 'brined';
    case Slurry = 'slurry';
    case Insertion = 'insertion';
    case Surface = 'surface';
    case Oily = 'oily';
    case Weak = 'weak';

    public function words(): string
    {
        return match ($this) {
            self::Still => 'still liquid: wine, juice',
            self::Must => 'must with its solids',
            self::Sparkling => 'sparkling: beer, cider, kombucha',
            self::HotMash => 'hot mash and wort',
            self::Brined => 'pieces in brine',
            self::Slurry => 'semi-solid, as a slurry',
            self::Insertion => 'semi-solid, by insertion',
            self::Surface => 'surface of a solid',
            self::Oily => 'oily: dressings, emulsions',
            self::Weak => 'very weak solution: water, diluted drinks',
        };
    }

    /**
     * What the method asks of the electrode: a round bulb breaks in a sausage and does not lie on a surface, solids close a
     * simple junction. Common practice, no source.
     *
     * @return list<ElectrodeKind> empty where any will do
     */
    public function electrodes(): array
    {
        return match ($this) {
            self::Insertion => [ElectrodeKind::Spear],
            self::Surface => [ElectrodeKind::Flat],
            self::Must => [ElectrodeKind::Sleeve, ElectrodeKind::DoubleJunction],
            default => [],
        };
    }

    public function suits(ElectrodeKind $electrode): bool
    {
        return $this->electrodes() === [] || in_array($electrode, $this->electrodes(), true);
    }

    /** What it asks for, in words. */
    public function asks(): string
    {
        return match ($this) {
            self::Insertion => 'a spear tip',
            self::Surface => 'a flat electrode',
            self::Must => 'a sleeve or a double junction',
            default => 'any electrode',
        };
    }

    /** Where the tip is pushed in, a hole comes first. */
    public function needsPilotHole(): bool
    {
        return $this === self::Insertion;
    }
}
