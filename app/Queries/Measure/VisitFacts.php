<?php

declare(strict_types=1);

namespace Rheacid\Queries\Measure;

use Carbon\CarbonImmutable;
use Rheacid\Core\Uncertainty\SiteRepeatability;
use Rheacid\Models\BlindPair;
use Rheacid\Models\Measurement;
use Rheacid\Models\RoundStop;

/** What is read of a stop of a round before its reading is kept: beside which first cup it stands, and what such pairs told so far. */
final readonly class VisitFacts
{
    /**
     * @param Measurement|null $first of the other cup; null where that was not read, or there is none
     * @param float|null $firstPh of its first portion
     */
    private function __construct(
        public RoundStop $stop,
        public ?Measurement $first,
        public ?float $firstPh,
        public SiteRepeatability $before,
    ) {}

    public static function of(RoundStop $stop, CarbonImmutable $now): self
    {
        // Under codes the second cup may be read before the first.
        $first = ($stop->original ?? $stop->duplicate)?->visit?->measurement;

        return new self(
            $stop,
            $first,
            $first === null ? null : (float) $first->replicates()->firstOrFail()->value,
            BlindPair::by($now),
        );
    }
}
