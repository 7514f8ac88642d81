<?php

declare(strict_types=1);

namespace Rheacid\Core\Logs;

use Rheacid\Core\Settling\Settling;

/** A logger's file of one temperature against time: what it read when it had become stable. */
final class TemperatureLog
{
    /** Within so much for thirty seconds it has become stable, or within the display's digit. Common practice, no source. */
    private const BAND_C = 0.1;
    private const READINGS = 3;

    /** Of a probe in any bath, in °C or °F. */
    private const LOWEST = -100.0;
    private const HIGHEST = 1000.0;
    private const ACCEPTED = 'Accepted: a text file with seconds and temperature in two columns separated by comma, semicolon or tab, one '
        . 'point per line.';

    /**
     * @param float $digit of the display, in the unit of the file
     *
     * @return non-empty-list<float> three readings spread over the last rest, in the unit of the file
     *
     * @throws LogRefused if it is no such file, or never came to rest
     */
    public static function readings(string $bytes, float $digit): array
    {
        try {
            return self::atRest(self::samples(LogTable::read($bytes)), $digit);
        } catch (LogRefused $refused) {
            throw $refused->accepting(self::ACCEPTED);
        }
    }

    /**
     * @param non-empty-list<array{float, float}> $samples
     *
     * @return non-empty-list<float>
     */
    private static function atRest(array $samples, float $digit): array
    {
        $band = max(self::BAND_C, $digit);
        for ($end = count($samples); $end > 0; $end--) {
            $part = array_slice($samples, 0, $end);
            if (Settling::of($part, $band, Settling::WINDOW_S)->settled) {
                return self::spread($part);
            }
        }
        throw LogRefused::file(sprintf('The temperature was never stable within %s for %d s.', $band, Settling::WINDOW_S));
    }

    /** @return non-empty-list<array{float, float}> */
    private static function samples(LogTable $table): array
    {
        $samples = [];
        foreach ($table->rows as $line => $cells) {
            if (count($cells) < 2) {
                throw LogRefused::line($line, 'no seconds and temperature.');
            }
            $second = LogCell::seconds($cells[0], $line);
            if ($samples !== [] && $second <= $samples[count($samples) - 1][0]) {
                throw LogRefused::line($line, sprintf('time does not increase ("%s").', $cells[0]));
            }
            $samples[] = [$second, LogCell::number($cells[count($cells) - 1], $line, '°', self::LOWEST, self::HIGHEST)];
        }

        return $samples;
    }

    /**
     * @param non-empty-list<array{float, float}> $samples that end at rest
     *
     * @return non-empty-list<float>
     */
    private static function spread(array $samples): array
    {
        $end = $samples[count($samples) - 1][0];
        $window = array_values(array_filter($samples, static fn(array $sample): bool => $sample[0] >= $end - Settling::WINDOW_S));
        $step = intdiv(count($window) - 1, self::READINGS - 1);

        return [$window[0][1], $window[$step][1], $window[count($window) - 1][1]];
    }
}
