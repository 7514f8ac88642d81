<?php

declare(strict_types=1);

namespace Rheacid\Core\Acidity;

/** Concentration times volume stays the same. */
final class Dilution
{
    /**
     * @param array{c1: float|null, v1: float|null, c2: float|null, v2: float|null} $known three of the four, above 0
     *
     * @return array{c1: float, v1: float, c2: float, v2: float}
     */
    public static function complete(array $known): array
    {
        ['c1' => $c1, 'v1' => $v1, 'c2' => $c2, 'v2' => $v2] = $known;

        return [
            'c1' => $c1 ?? (float) $c2 * (float) $v2 / (float) $v1,
            'v1' => $v1 ?? (float) $c2 * (float) $v2 / (float) $c1,
            'c2' => $c2 ?? (float) $c1 * (float) $v1 / (float) $v2,
            'v2' => $v2 ?? (float) $c1 * (float) $v1 / (float) $c2,
        ];
    }
}
