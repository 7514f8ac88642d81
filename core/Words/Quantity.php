<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Numbers;
use Rheacid\Core\OutOfRange;

/** A measured quantity as a person types it: comma or point, with or without its unit. */
enum Quantity: string
{
    case Ph = 'pH';
    case Millivolt = 'mV';
    case Temperature = '°C';
    case Seconds = 's';

    /**
     * @return float in the quantity's own unit; °F is converted
     *
     * @throws OutOfRange if it is no such number, or outside what the quantity can be
     */
    public function read(string $typed): float
    {
        $text = str_replace(['−', '–', "\u{00A0}", "\u{202F}"], ['-', '-', ' ', ' '], trim($typed));
        if (preg_match('/^([+-]?[0-9]{1,9}(?:[.,][0-9]{1,9})?) *([\p{L}° ]*)$/Du', $text, $match) !== 1) {
            throw OutOfRange::because(sprintf('"%s" is not understood. %s', mb_strimwidth($typed, 0, 40, '…'), $this->accepted()));
        }
        $number = (float) str_replace(',', '.', $match[1]);
        $unit = mb_strtolower(trim($match[2]));
        if ($this === self::Temperature && in_array($unit, ['f', '°f', 'degf', 'deg f'], true)) {
            $number = ($number - 32) / 1.8;
        } elseif ($unit !== '' && !in_array($unit, $this->units(), true)) {
            throw OutOfRange::because(sprintf('"%s" is not accepted here. %s', trim($match[2]), $this->accepted()));
        }
        [$low, $high] = $this->range();
        if ($number < $low || $number > $high) {
            throw OutOfRange::because(sprintf('%s is outside %s to %s %s. %s', Numbers::plain($number), Numbers::plain($low), Numbers::plain($high), $this->value, $this->accepted()));
        }

        return $number;
    }

    public function accepted(): string
    {
        return match ($this) {
            self::Ph => 'A pH like 4.52 or 4,52 is accepted.',
            self::Millivolt => 'A potential in mV like 177.4 or −12,5 is accepted.',
            self::Temperature => 'A temperature in °C like 21.4, or with its unit like 70.5 F, is accepted.',
            self::Seconds => 'Seconds like 44 are accepted.',
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
        };
    }
}
