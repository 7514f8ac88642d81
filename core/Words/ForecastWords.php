<?php

declare(strict_types=1);

namespace Rheacid\Core\Words;

use Rheacid\Core\Forecast\Forecast;
use Rheacid\Core\Forecast\ForecastVerdict;
use Rheacid\Core\Numbers;

/** What a forecast says of a deadline: when, how sure, and never more than the readings bear. */
final class ForecastWords
{
    /** @param callable(float): string $at says a time, given in hours on the readings' clock */
    public static function sentence(Forecast $forecast, callable $at): string
    {
        $eta = $forecast->etaH === null ? '' : $at($forecast->etaH);

        return match (true) {
            $forecast->isReached => "expected about $eta" . ($forecast->verdict === ForecastVerdict::Late ? ', after the deadline' : ''),
            $forecast->verdict === ForecastVerdict::Late => 'not proven in time',
            $forecast->levelsOffPh !== null => sprintf('levels off at pH %s, above the limit', Numbers::fixed($forecast->levelsOffPh, 2)),
            $forecast->etaH === null => 'no forecast yet (needs three falling readings)',
            $forecast->verdict === ForecastVerdict::OnTrack => sprintf(
                'on track: expected about %s, at the latest %s (90 %%)',
                $eta,
                $at((float) $forecast->highH),
            ),
            $forecast->highH !== null => sprintf(
                'expected about %s, possibly as late as %s (90 %%), %s',
                $eta,
                $at($forecast->highH),
                self::short($forecast),
            ),
            default => sprintf('expected about %s at this pace, %s', $eta, self::short($forecast)),
        };
    }

    /** What to do while it is in doubt; before three readings fall, nothing but reading on can be advised. */
    public static function advice(?Forecast $forecast): string
    {
        $isUnknown
            = $forecast === null
            || ($forecast->etaH === null && $forecast->levelsOffPh === null && $forecast->verdict === ForecastVerdict::AtRisk);

        return $isUnknown ? 'Measure again.' : 'Measure again. Before the deadline you can warm it, extend the time or acidify.';
    }

    /** Two or three words for a drawing. */
    public static function short(Forecast $forecast): string
    {
        return match (true) {
            $forecast->isReached => 'proven',
            $forecast->verdict === ForecastVerdict::OnTrack => 'on track',
            $forecast->verdict === ForecastVerdict::Late => 'not proven in time',
            $forecast->levelsOffPh !== null => 'levels off above it',
            $forecast->etaH === null => 'no forecast yet',
            default => $forecast->withinH !== null && $forecast->etaH > $forecast->withinH ? 'likely late' : 'not certain',
        };
    }

    /** Its state in the words and shapes of the house. */
    public static function sign(ForecastVerdict $verdict): string
    {
        return match ($verdict) {
            ForecastVerdict::Met => 'met',
            // What is expected is not proven.
            ForecastVerdict::OnTrack => 'idle',
            ForecastVerdict::AtRisk => 'care',
            ForecastVerdict::Late => 'fail',
        };
    }
}
