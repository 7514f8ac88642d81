<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** What it costs to heat water further than needed: m·c·ΔT / efficiency × price. */
final class ErrorCost
{
    /** Specific heat of water near 60 °C in kJ/(kg K); handbook value, from memory. */
    private const KJ_PER_KG_K = 4.18;
    private const KJ_PER_KWH = 3600.0;

    /**
     * @param float $kgPerHour and $hours a year that are heated
     * @param float $errorC degrees too far
     * @param float $efficiency above 0, at most 1
     * @param float $pricePerKwh in any money
     *
     * @return array{kwh: float, cost: float} a year
     */
    public static function perYear(float $kgPerHour, float $hours, float $errorC, float $efficiency, float $pricePerKwh): array
    {
        $kwh = $kgPerHour * $hours * self::KJ_PER_KG_K * abs($errorC) / self::KJ_PER_KWH / $efficiency;

        return ['kwh' => $kwh, 'cost' => $kwh * $pricePerKwh];
    }
}
