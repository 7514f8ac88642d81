<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\BeyondRange;
use Rheacid\Core\Numbers;

/** A titration curve as it was typed, with the temperatures that belong to it. */
final class TypedCurve
{
    private const MOST_POINTS = 500;

    /**
     * °C of the sample, and that for which the meter compensated: its own where nobody says another.
     *
     * @return array{float, float}
     *
     * @throws BeyondRange
     */
    public static function temperatures(string $sample, string $compensation): array
    {
        $celsius = Quantity::Temperature->read($sample);

        return [$celsius, trim($compensation) === '' ? $celsius : Quantity::Temperature->read($compensation)];
    }

    /**
     * @param string $text one point per line: mL, then pH
     *
     * @return non-empty-list<array{float, float}>
     *
     * @throws NotUnderstood
     */
    public static function points(string $text): array
    {
        $points = [];
        $lines = preg_split('/\R/u', $text);
        if ($lines === false || count($lines) > self::MOST_POINTS) {
            throw new NotUnderstood(sprintf('Use at most %d lines.', self::MOST_POINTS));
        }
        foreach ($lines as $i => $line) {
            if (trim($line) === '') {
                continue;
            }
            $cells = preg_split('/\s*;\s*|\s+/', trim($line));
            $numbers = array_map(Quantity::plain(...), $cells === false ? [] : $cells);
            if (
                count($numbers) !== 2
                || !is_numeric($numbers[0])
                || !is_numeric($numbers[1])
                || (float) $numbers[0] < 0
                || (float) $numbers[1] < -2
                || (float) $numbers[1] > 16
            ) {
                throw new NotUnderstood(
                    sprintf('Line %d: type mL and pH, like %s; %s.', $i + 1, Numbers::fixed(6.2, 1), Numbers::fixed(7.95, 2)),
                );
            }
            $points[] = [(float) $numbers[0], (float) $numbers[1]];
        }
        if ($points === []) {
            throw new NotUnderstood(
                sprintf('Type one point per line, mL and pH, like %s; %s.', Numbers::fixed(6.2, 1), Numbers::fixed(7.95, 2)),
            );
        }

        return $points;
    }
}
