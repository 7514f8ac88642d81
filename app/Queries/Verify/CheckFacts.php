<?php

declare(strict_types=1);

namespace Rheacid\Queries\Verify;

use Rheacid\Models\Thermometer;
use Rheacid\Models\ThermometerService;
use Rheacid\Models\Verification;
use Rheacid\Queries\Ready\Thermometers;

/** All that is read of a thermometer to decide what a check says of it: nothing is asked after this. */
final readonly class CheckFacts
{
    /**
     * @param Verification|null $before the newest, whatever it found
     * @param Verification|null $lastGood the newest that did not fail
     * @param float|null $ohmBefore resistance at the last ice point
     */
    private function __construct(
        public Thermometer $thermometer,
        public ThermometerService $service,
        public ?Verification $before,
        public ?Verification $lastGood,
        public ?float $ohmBefore,
        public NextInterval $interval,
    ) {}

    public static function of(Thermometer $thermometer): self
    {
        return new self(
            $thermometer,
            $thermometer->service(),
            $thermometer->newestVerification()->with('outcome')->first(),
            Thermometers::lastGoodOf($thermometer->id),
            Verification::query()
                ->where('thermometer_id', $thermometer->id)
                ->whereNotNull('ohm')
                ->orderByDesc('at')
                ->first()?->ohm,
            NextInterval::of($thermometer),
        );
    }
}
