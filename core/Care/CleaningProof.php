<?php

declare(strict_types=1);

namespace Rheacid\Core\Care;

use Rheacid\Core\Numbers;

/** What a cleaning did to an electrode, by the calibrations before and after it. The thresholds are common practice, no source. */
final readonly class CleaningProof
{
    private const SLOPE_PERCENT = 1.0;
    private const RESPONSE_SHARE = 0.33;

    public CleaningEffect $effect;

    /**
     * @param float|null $slopeBefore percent of the ideal slope
     * @param float|null $responseBefore seconds to rest
     */
    public function __construct(
        public ?float $slopeBefore,
        public ?float $slopeAfter,
        public ?float $responseBefore,
        public ?float $responseAfter,
    ) {
        $slope = $slopeBefore === null || $slopeAfter === null ? 0.0 : $slopeAfter - $slopeBefore;
        $faster = $responseBefore === null || $responseAfter === null || $responseBefore <= 0 ? 0.0 : 1 - $responseAfter / $responseBefore;
        $this->effect = match (true) {
            // The response scatters too much from one calibration to the next to speak of harm alone.
            Numbers::atLeast(-$slope, self::SLOPE_PERCENT) => CleaningEffect::Worse,
            Numbers::atLeast($slope, self::SLOPE_PERCENT) || Numbers::atLeast($faster, self::RESPONSE_SHARE) => CleaningEffect::Better,
            default => CleaningEffect::None,
        };
    }
}
