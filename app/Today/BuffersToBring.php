<?php

declare(strict_types=1);

namespace Rheacid\Today;

use Carbon\CarbonImmutable;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Core\Solutions\BufferLot;
use Rheacid\Core\Solutions\BufferPlan;
use Rheacid\Models\Lot;
use Rheacid\SiteClock;

/** The buffers for what will be measured, of one family, from bottles in date with uses left. */
final class BuffersToBring
{
    /** Where nothing is to be measured: what most of the trade needs. */
    private const USUAL_PH = [[4.0, 7.0]];

    /**
     * @param list<array{float, float}> $expectedPh
     * @param BufferFamily $family as the policy of an instrument asks; any: one family that brackets, the technical one first
     */
    public static function for(array $expectedPh, BufferFamily $family): BufferPlan
    {
        $today = SiteClock::local(CarbonImmutable::now())->toDateString();
        $lots = Lot::query()->onShelf()->with('uses')->where('kind', 'buffer')->orderBy('code')->get()->reject(static fn(Lot $lot): bool => $lot->isBarred() || ($lot->comes_as === 'powder' && $lot->openedOn() === null));
        $plans = [];
        foreach ($family === BufferFamily::Any ? [BufferFamily::Technical, BufferFamily::Standard, BufferFamily::Any] : [$family] as $one) {
            $own = $lots->filter(static fn(Lot $lot): bool => $one->holds((string) $lot->buffer));
            $plans[] = $plan = BufferPlan::for($expectedPh === [] ? self::USUAL_PH : $expectedPh, $today, array_values($own->map(static fn(Lot $lot): BufferLot => $lot->forPlan())->all()));
            if ($plan->brackets()) {
                return $plan;
            }
        }

        return $plans[0]->points === [] ? $plans[count($plans) - 1] : $plans[0];
    }
}
