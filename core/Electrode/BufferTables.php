<?php

declare(strict_types=1);

namespace Rheacid\Core\Electrode;

use Rheacid\Core\Numbers;

/**
 * pH against °C of the shipped calibration buffers, as printed in their sources.
 *
 * - Primary standards (tartrate … carbonate-10.01): IUPAC Recommendations 2002 (Buck et al.), Pure Appl. Chem. 74 (2002)
 *   2169–2200, table 2. Recalled from memory with high certainty, not looked up; phthalate at 20 °C and citrate at 40 °C
 *   differ by 0.001 between editions.
 * - tetroxalate: secondary standard, three-decimal set of the older national tables; from memory, medium certainty.
 * - technical-…: typical certificate values after DIN 19267; from memory; makes differ by 0.01–0.02 away from 25 °C, so
 *   the table printed on the bottle wins.
 */
final class BufferTables
{
    /** @var array<string, non-empty-list<array{float|int, float}>> */
    private const TABLES = [
        'tartrate' => [[25, 3.557], [30, 3.552], [35, 3.549], [37, 3.548], [40, 3.547], [50, 3.549]],
        'citrate' => [
            [0, 3.863],
            [5, 3.84],
            [10, 3.82],
            [15, 3.802],
            [20, 3.788],
            [25, 3.776],
            [30, 3.766],
            [35, 3.759],
            [37, 3.756],
            [40, 3.754],
            [50, 3.749],
        ],
        'phthalate' => [
            [0, 4.0],
            [5, 3.998],
            [10, 3.997],
            [15, 3.998],
            [20, 4.0],
            [25, 4.005],
            [30, 4.011],
            [35, 4.018],
            [37, 4.022],
            [40, 4.027],
            [50, 4.05],
        ],
        'phosphate-6.86' => [
            [0, 6.984],
            [5, 6.951],
            [10, 6.923],
            [15, 6.9],
            [20, 6.881],
            [25, 6.865],
            [30, 6.853],
            [35, 6.844],
            [37, 6.841],
            [40, 6.838],
            [50, 6.833],
        ],
        'phosphate-7.41' => [
            [0, 7.534],
            [5, 7.5],
            [10, 7.472],
            [15, 7.448],
            [20, 7.429],
            [25, 7.413],
            [30, 7.4],
            [35, 7.389],
            [37, 7.386],
            [40, 7.38],
            [50, 7.367],
        ],
        'borax-9.18' => [
            [0, 9.464],
            [5, 9.395],
            [10, 9.332],
            [15, 9.276],
            [20, 9.225],
            [25, 9.18],
            [30, 9.139],
            [35, 9.102],
            [37, 9.088],
            [40, 9.068],
            [50, 9.011],
        ],
        'carbonate-10.01' => [
            [0, 10.317],
            [5, 10.245],
            [10, 10.179],
            [15, 10.118],
            [20, 10.062],
            [25, 10.012],
            [30, 9.966],
            [35, 9.926],
            [37, 9.91],
            [40, 9.889],
            [50, 9.828],
        ],
        'tetroxalate' => [
            [0, 1.666],
            [5, 1.668],
            [10, 1.67],
            [15, 1.672],
            [20, 1.675],
            [25, 1.679],
            [30, 1.683],
            [35, 1.688],
            [40, 1.694],
            [50, 1.707],
        ],
        'technical-4.01' => [
            [0, 4.01],
            [5, 4.0],
            [10, 4.0],
            [15, 4.0],
            [20, 4.0],
            [25, 4.01],
            [30, 4.02],
            [35, 4.03],
            [37, 4.03],
            [40, 4.04],
            [50, 4.06],
        ],
        'technical-7.00' => [
            [0, 7.12],
            [5, 7.09],
            [10, 7.06],
            [15, 7.04],
            [20, 7.02],
            [25, 7.0],
            [30, 6.99],
            [35, 6.98],
            [37, 6.98],
            [40, 6.97],
            [50, 6.97],
        ],
        'technical-7.01' => [
            [0, 7.13],
            [5, 7.1],
            [10, 7.07],
            [15, 7.05],
            [20, 7.03],
            [25, 7.01],
            [30, 7.0],
            [35, 6.99],
            [37, 6.99],
            [40, 6.98],
            [50, 6.98],
        ],
        'technical-10.01' => [
            [0, 10.32],
            [5, 10.25],
            [10, 10.18],
            [15, 10.12],
            [20, 10.06],
            [25, 10.01],
            [30, 9.97],
            [35, 9.93],
            [37, 9.91],
            [40, 9.89],
            [50, 9.83],
        ],
        'technical-3.00' => [[20, 3.0], [30, 3.0]],
    ];

    /** Those made to a certificate, not to a recipe. */
    private const TECHNICAL = ['technical-4.01', 'technical-7.00', 'technical-7.01', 'technical-10.01', 'technical-3.00'];

    public static function isTechnical(string $buffer): bool
    {
        return in_array($buffer, self::TECHNICAL, true);
    }

    /** @return non-empty-list<string> */
    public static function names(): array
    {
        return array_keys(self::TABLES);
    }

    /** As a person calls it, with its pH at 25 °C: "phthalate 4.01". */
    public static function label(string $buffer): string
    {
        $name = (string) preg_replace('/-[0-9.]+$/', '', $buffer);

        return sprintf('%s %s', $name, Numbers::fixed(Buffer::named($buffer)->phAt(25), 2));
    }

    public static function knows(string $buffer): bool
    {
        return isset(self::TABLES[$buffer]);
    }

    /** @return non-empty-list<array{float, float}> [°C, pH], temperatures strictly increasing */
    public static function of(string $buffer): array
    {
        return array_map(
            static fn(array $row): array => [(float) $row[0], $row[1]],
            self::TABLES[$buffer] ?? throw new \LogicException("No buffer is called $buffer."),
        );
    }
}
