<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Celsius;
use Rheacid\Core\Numbers;
use Rheacid\Core\Style;

/** A measured quantity as a person types it: comma or point, with or without its unit. */
enum Quantity: string
{
    case Ph = 'pH';
    case Millivolt = 'mV';
    case Temperature = '°C';
    case Seconds = 's';
    case Conductivity = 'µS/cm';
    case Percent = '%';

    /** Of a thermometer under check. */
    case Thermometer = ' °C';
    case Pressure = 'kPa';
    case Elevation = 'm';
    case Ohm = 'Ω';
    case Megaohm = 'MΩ';

    /** Units of pressure in kPa: exact by definition, but mmHg and inHg conventional (13.5951 g/cm³, 9.80665 m/s²). */
    private const KPA = [
        'hpa' => 0.1,
        'mbar' => 0.1,
        'bar' => 100.0,
        'pa' => 0.001,
        'mmhg' => 0.133322387415,
        'torr' => 101.325 / 760,
        'inhg' => 3.386388640341,
        'atm' => 101.325,
    ];
    private const METRES_PER_FOOT = 0.3048;

    /**
     * @return float in the quantity's own unit; °F is converted
     *
     * @throws QuantityRefused if it is no such number, or outside what the quantity can be
     */
    public function read(string $typed): float
    {
        $text = str_replace(['−', '–', "\u{00A0}", "\u{202F}"], ['-', '-', ' ', ' '], trim($typed));
        if (preg_match('/^([+-]?[0-9]{1,9}(?:[.,][0-9]{1,9})?) *([\p{L}°%\/ ]*)$/Du', $text, $match) !== 1) {
            throw new QuantityRefused($this, sprintf('"%s" is not understood.', mb_strimwidth($typed, 0, 40, '…')));
        }
        $number = (float) str_replace(',', '.', $match[1]);
        $unit = mb_strtolower(trim($match[2]));
        if (
            ($this === self::Temperature || $this === self::Thermometer)
            && (in_array($unit, ['f', '°f', 'degf', 'deg f'], true) || ($unit === '' && Style::isFahrenheitFirst()))
        ) {
            $number = Celsius::ofFahrenheit($number);
        } elseif ($this === self::Conductivity && in_array($unit, ['ms/cm', 'ms'], true)) {
            $number *= 1000;
        } elseif ($this === self::Pressure && isset(self::KPA[$unit])) {
            $number *= self::KPA[$unit];
        } elseif ($this === self::Elevation && in_array($unit, ['ft', 'feet'], true)) {
            $number *= self::METRES_PER_FOOT;
        } elseif ($this === self::Elevation && $unit === 'km') {
            $number *= 1000;
        } elseif ($unit !== '' && !in_array($unit, $this->units(), true)) {
            throw new QuantityRefused($this, sprintf('"%s" is not accepted here.', trim($match[2])));
        }
        [$low, $high] = $this->range();
        if ($number < $low || $number > $high) {
            throw new QuantityRefused(
                $this,
                sprintf('%s is outside %s to %s %s.', Numbers::plain($number), Numbers::plain($low), Numbers::plain($high), $this->value),
            );
        }

        return $number;
    }

    /** A plain number as a person types it, with a point where a comma stood and a true minus; anything else as it is. */
    public static function plain(string $typed): string
    {
        $text = str_replace(['−', '–'], '-', trim($typed));

        return preg_match('/^[+-]?[0-9]+,[0-9]+$/D', $text) === 1 ? str_replace(',', '.', $text) : $text;
    }

    public function accepted(): string
    {
        return match ($this) {
            self::Ph => 'A pH like 4.52 or 4,52 is accepted.',
            self::Millivolt => 'A potential in mV like 177.4 or −12,5 is accepted.',
            self::Temperature => Style::isFahrenheitFirst()
                ? 'A temperature in °F like 70.5, or with its unit like 21.4 C, is accepted.'
                : 'A temperature in °C like 21.4, or with its unit like 70.5 F, is accepted.',
            self::Seconds => 'Seconds like 44 are accepted.',
            self::Thermometer => 'A temperature like 0.4, or with its unit like 32.9 F, is accepted.',
            self::Pressure => 'A pressure in kPa like 98.2, or with its unit like 982 hPa or 737 mmHg, is accepted.',
            self::Elevation => 'An elevation in m like 350, or in ft, from −400 to 9000 m is accepted.',
            self::Ohm => 'A resistance in Ω like 100.02 is accepted.',
            self::Megaohm => 'An insulation in MΩ like 250 is accepted.',
            self::Percent => 'A slope in % like 98.2 is accepted.',
            self::Conductivity => 'A conductivity in µS/cm like 1413, or with its unit like 12.88 mS/cm, is accepted.',
        };
    }

    /** @return array{float, float} */
    private function range(): array
    {
        return match ($this) {
            self::Ph => [-2.0, 16.0],
            self::Millivolt => [-1000.0, 1000.0],
            self::Temperature => [-5.0, 130.0],
            self::Seconds => [0.0, 3600.0],
            self::Conductivity => [0.0, 500_000.0],
            self::Percent => [0.0, 200.0],
            self::Thermometer => [-200.0, 850.0],
            self::Pressure => [30.0, 110.0],
            self::Elevation => [-400.0, 9000.0],
            self::Ohm => [1.0, 10_000.0],
            self::Megaohm => [0.0, 1_000_000.0],
        };
    }

    /** @return list<string> */
    private function units(): array
    {
        return match ($this) {
            self::Ph => ['ph'],
            self::Millivolt => ['mv', 'millivolt'],
            self::Temperature => ['c', '°c', 'degc', 'deg c'],
            self::Seconds => ['s', 'sec', 'seconds'],
            self::Percent => ['%'],
            self::Thermometer => ['c', '°c', 'degc', 'deg c'],
            self::Pressure => ['kpa'],
            self::Elevation => ['m', 'metres', 'meters'],
            self::Ohm => ['ω', 'ohm', 'ohms'],
            self::Megaohm => ['mω', 'mohm', 'megaohm'],
            self::Conductivity => ['µs/cm', 'μs/cm', 'us/cm', 'µs', 'us'],
        };
    }
}
