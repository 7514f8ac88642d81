<?php

declare(strict_types=1);

namespace Rheacid\Core\Sampling;

use Rheacid\Core\Measurands\Measurand;

/** Which places that a method asks for an occasion still lacks, counted for each quantity on its own. */
final class Places
{
    /** So long an occasion waits for its other places. Common practice, no source. */
    public const HOURS = 2.0;

    /**
     * Whether a quantity is read place by place: pH and the temperature of the food, not what is measured of a mixed sample or of a room.
     */
    public static function counts(Measurand $measurand, string $basis): bool
    {
        return $measurand === Measurand::Ph || ($measurand === Measurand::Temperature && $basis !== 'chamber');
    }

    /**
     * @param list<string> $needed places that the method asks for
     * @param list<array{measurand: Measurand, basis: string, place: string}> $read
     *
     * @return list<array{measurand: string, basis: string, places: list<string>}> the quantities that lack places
     */
    public static function lacking(array $needed, array $read): array
    {
        $seen = [];
        foreach ($read as $one) {
            if (self::counts($one['measurand'], $one['basis'])) {
                $seen["{$one['measurand']->value}|{$one['basis']}"][] = $one['place'];
            }
        }
        $lacking = [];
        foreach ($seen as $quantity => $places) {
            [$measurand, $basis] = explode('|', $quantity, 2);
            $missing = array_values(array_diff($needed, $places));
            if ($missing !== []) {
                $lacking[] = ['measurand' => $measurand, 'basis' => $basis, 'places' => $missing];
            }
        }

        return $lacking;
    }

    /** Until when a place can still be drawn with it. */
    public static function until(\DateTimeImmutable $drawn): \DateTimeImmutable
    {
        return $drawn->modify(sprintf('+%d seconds', (int) (3600 * self::HOURS)));
    }
}
