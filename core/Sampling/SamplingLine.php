<?php

declare(strict_types=1);

namespace Rheacid\Core\Sampling;

use Rheacid\Core\Limits\Stage;

/** One line of a sampling plan: what is read when, how many, and where. */
final readonly class SamplingLine
{
    /**
     * @param string $measurand code of the quantity, and its basis
     * @param Stage|null $stage once, when that stage is declared; null where it is read again and again
     * @param float|null $everyHours h, from the start on
     * @param int $count pieces or places to one occasion, at least; how many portions of each is the method's to say
     * @param string $where the coldest, thickest or slowest place, in words
     */
    public function __construct(
        public string $measurand,
        public string $basis,
        public ?Stage $stage,
        public ?float $everyHours,
        public int $count,
        public string $where,
    ) {
        if (($stage === null) === ($everyHours === null) || ($everyHours !== null && $everyHours <= 0) || $count < 1) {
            throw new SamplingUnclear();
        }
    }
}
