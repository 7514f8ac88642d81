<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** The air pressure at the pot, from what was read of a barometer or a weather report. */
final class StationPressure
{
    /**
     * So little above the standard pressure of the place nothing is asked; at 100 m a reduced one lies 1.2 above. Common practice, no
     * source.
     */
    private const UNASKED_KPA = 1.0;

    /**
     * @param float $kpa as read
     * @param bool|null $isReduced to sea level, as weather reports give it; null where nobody said
     * @param float|null $siteM elevation of the site, where it is known
     *
     * @return float kPa at the site
     *
     * @throws \Rheacid\Core\Contradiction if it looks reduced to sea level and nobody said so, or the elevation for the reduction is
     * missing
     */
    public static function of(float $kpa, ?bool $isReduced, ?float $siteM): float
    {
        if ($isReduced === true) {
            return $siteM === null ? throw new ElevationNeeded() : ($kpa * BoilingPoint::kpaAt($siteM)) / BoilingPoint::kpaAt(0);
        }
        if ($isReduced === null && $siteM !== null && $kpa > BoilingPoint::kpaAt($siteM) + self::UNASKED_KPA) {
            throw new LooksReduced($kpa, $siteM, BoilingPoint::kpaAt($siteM));
        }

        return $kpa;
    }
}
