<?php

declare(strict_types=1);

namespace Rheacid\Core\Thermometry;

use Rheacid\Core\Numbers;

/** What a check proves about a thermometer, its uncertainty counted. */
enum VerificationVerdict: string
{
    case Within = 'within';
    case Inconclusive = 'inconclusive';
    case Outside = 'outside';

    /** @param float $errorC, $expandedU and $toleranceC in °C */
    public static function of(float $errorC, float $expandedU, float $toleranceC): self
    {
        return match (true) {
            Numbers::atMost(abs($errorC) + $expandedU, $toleranceC) => self::Within,
            !Numbers::atMost(abs($errorC) - $expandedU, $toleranceC) => self::Outside,
            default => self::Inconclusive,
        };
    }
}
