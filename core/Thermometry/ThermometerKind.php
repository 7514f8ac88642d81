<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** How a thermometer is built, as far as its use depends on it. The usual figures are common practice, no source. */
enum ThermometerKind: string
{
    case Thermistor = 'thermistor';
    case Thermocouple = 'thermocouple';
    case Multimeter = 'multimeter';
    case Dial = 'dial';
    case Pt100 = 'pt100';
    case Pt1000 = 'pt1000';
    case Glass = 'glass';

    public function words(): string
    {
        return match ($this) {
            self::Thermistor => 'thermistor stick',
            self::Thermocouple => 'thermocouple stick',
            self::Multimeter => 'multimeter probe',
            self::Dial => 'bimetal dial',
            self::Pt100 => 'RTD Pt100',
            self::Pt1000 => 'RTD Pt1000',
            self::Glass => 'liquid in glass',
        };
    }

    public function isRtd(): bool
    {
        return $this === self::Pt100 || $this === self::Pt1000;
    }

    /** Only a dial has a nut or a screw. */
    public function isAdjustable(): bool
    {
        return $this === self::Dial;
    }

    /** Nominal resistance at 0 °C in Ω. */
    public function r0Ohm(): float
    {
        return $this === self::Pt1000 ? 1000.0 : 100.0;
    }

    public function usualImmersionMm(): int
    {
        return $this === self::Dial ? 60 : 50;
    }

    public function usualIntervalDays(): int
    {
        return $this->isRtd() ? 180 : 30;
    }
}
