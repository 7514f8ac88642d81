<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

/** The temperatures for which a check speaks: its neighbourhood. Common practice, no source. */
final class VerifiedRange
{
    private const NEAR_C = 10.0;
    /** About 20 °C: the room temperature at which samples are measured is still counted. */
    private const ICE_TO_C = 25.0;

    /** @return array{float, float} °C; an ice point reaches up to room temperature, any other check 10 °C either way */
    public static function of(VerificationMethod $method, float $referenceC): array
    {
        return $method === VerificationMethod::Ice || $method === VerificationMethod::Rtd
            ? [$referenceC - self::NEAR_C, self::ICE_TO_C]
            : [$referenceC - self::NEAR_C, $referenceC + self::NEAR_C];
    }

    /**
     * What the checks leave open of the temperatures at which it is used.
     *
     * @param list<array{float, float}> $covered °C, of each check in force
     *
     * @return list<array{float, float}> °C, ascending
     */
    public static function gaps(array $covered, float $useLowC, float $useHighC): array
    {
        usort($covered, static fn(array $a, array $b): int => $a[0] <=> $b[0]);
        $gaps = [];
        $from = $useLowC;
        foreach ($covered as [$low, $high]) {
            if ($low >= $useHighC) {
                break;
            }
            if ($low > $from) {
                $gaps[] = [$from, $low];
            }
            $from = max($from, $high);
        }

        return $from < $useHighC ? [...$gaps, [$from, $useHighC]] : $gaps;
    }
}
