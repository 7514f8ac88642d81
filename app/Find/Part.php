<?php

declare(strict_types=1);

namespace Rheacid\Find;

use Illuminate\Support\Facades\Gate;
use Rheacid\Core\Access\Right;

/** What can be found, in the order in which it is shown. */
enum Part: string
{
    case Batch = 'batch';
    case Electrode = 'electrode';
    case Meter = 'meter';
    case Thermometer = 'thermometer';
    case Bottle = 'bottle';
    case Product = 'product';
    case Method = 'method';
    case Person = 'person';
    case Deviation = 'deviation';
    case Note = 'note';

    public function heading(): string
    {
        return match ($this) {
            self::Batch => 'Batches',
            self::Electrode, self::Meter, self::Thermometer => 'Instruments',
            self::Bottle => 'Bottles',
            self::Product => 'Products',
            self::Method => 'Methods',
            self::Person => 'People',
            self::Deviation => 'Deviations',
            self::Note => 'Notes',
        };
    }

    /** @param int $leadsTo id of what its page is about */
    public function url(int $leadsTo): string
    {
        return match ($this) {
            self::Batch => route('batches.show', $leadsTo),
            // An electrode is shown with the meter that it is on; without one, it can be paired.
            self::Electrode, self::Meter => $leadsTo === 0
                ? route(Gate::allows(Right::Record->value) ? 'pairing' : 'ready')
                : route('pairs.show', $leadsTo),
            self::Thermometer => route('thermometers.show', $leadsTo),
            self::Bottle => route('lots.show', $leadsTo),
            self::Product => route('products.show', $leadsTo),
            self::Method => route('methods.show', $leadsTo),
            self::Person => route('people') . "#person-$leadsTo",
            self::Deviation => route('deviations.show', $leadsTo),
            self::Note => route('batches.show', $leadsTo) . '#notes',
        };
    }
}
