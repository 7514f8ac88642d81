<?php

declare(strict_types=1);

namespace Rheacid\Core\Measuring;

use Rheacid\Core\Care\ElectrodeKind;

/** What a sample is made of, as far as it changes how it is measured. */
enum Matrix: string
{
    case Still = 'still';
    case Sparkling = 'sparkling';
    case HotMash = 'hot-mash';
    case Brined = 'brined';
    case Slurry = 'slurry';
    case Insertion = 'insertion';
    case Oily = 'oily';
    case Weak = 'weak';

    public function words(): string
    {
        return match ($this) {
            self::Still => 'still liquid: wine, must, juice',
            self::Sparkling => 'sparkling: beer, cider, kombucha',
            self::HotMash => 'hot mash and wort',
            self::Brined => 'pieces in brine',
            self::Slurry => 'semi-solid, as a slurry',
            self::Insertion => 'semi-solid, by insertion',
            self::Oily => 'oily: dressings, emulsions',
            self::Weak => 'very weak solution: water, diluted drinks',
        };
    }

    /** The tip is pushed into the food only where it is made for it: a round bulb does not survive that. Common practice, no source. */
    public function suits(ElectrodeKind $electrode): bool
    {
        return $this !== self::Insertion || $electrode === ElectrodeKind::Spear;
    }
}
