<?php

declare(strict_types=1);

namespace Rheacid\Core\Simulation;

/** What can be wrong at the simulated bench, as behind each signature that a calibration can show. */
enum Fault: string
{
    case Healthy = 'healthy';
    case Dry = 'dry';
    case Blocked = 'blocked';
    case Coated = 'coated';
    case Aged = 'aged';
    case Poisoned = 'poisoned';
    case Cracked = 'cracked';
    case Swapped = 'swapped';
    case Exhausted = 'exhausted';
    case OtherFamily = 'other-family';
    case AlkalineTaken = 'alkaline-taken';
    case TemperatureLow = 'temperature-low';
    case ColdBuffers = 'cold-buffers';

    public function words(): string
    {
        return match ($this) {
            self::Healthy => 'healthy',
            self::Dry => 'dry membrane',
            self::Blocked => 'blocked junction',
            self::Coated => 'coated glass',
            self::Aged => 'worn glass',
            self::Poisoned => 'poisoned reference',
            self::Cracked => 'cracked bulb',
            self::Swapped => '7.00 and 4.01 swapped in their cups',
            self::Exhausted => 'exhausted buffers',
            self::OtherFamily => '7.00 in the cup of 6.86',
            self::AlkalineTaken => 'alkaline buffer took up carbon dioxide',
            self::TemperatureLow => 'temperature sensor reads far too low',
            self::ColdBuffers => 'buffers out of the refrigerator, temperature read in the room',
        };
    }
}
