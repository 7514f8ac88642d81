<?php

declare(strict_types=1);

namespace Rheacid\View\Today;

use Rheacid\Core\Solutions\BottlesNeeded;
use Rheacid\Core\Solutions\BufferFamily;
use Rheacid\Core\Solutions\BufferLot;
use Rheacid\Core\Solutions\BufferPlan;
use Rheacid\Core\Solutions\SolutionKind;
use Rheacid\Core\Solutions\Spent;
use Rheacid\Queries\Board\BottleLine;
use Rheacid\Queries\Board\Lines;
use Rheacid\Site\SiteClock;

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
        $bottles = self::bottles();
        $plans = [];
        foreach ($family === BufferFamily::Any ? [BufferFamily::Technical, BufferFamily::Standard, BufferFamily::Any] : [$family] as $one) {
            $own = array_filter($bottles, static fn(BottleLine $bottle): bool => $one->holds((string) $bottle->contents->buffer));
            $plans[] = $plan = BufferPlan::for(
                $expectedPh === [] ? self::USUAL_PH : $expectedPh,
                SiteClock::today(),
                array_values(array_map(static fn(BottleLine $bottle) => $bottle->forPlan(), $own)),
            );
            if ($plan->brackets()) {
                return $plan;
            }
        }

        return $plans[0]->points === [] ? $plans[count($plans) - 1] : $plans[0];
    }

    /**
     * The bottles that today's runs on these buffers need.
     *
     * @return list<array{needed: BottlesNeeded, nominalPh: float}> by buffer
     */
    public static function uses(BufferPlan $plan, int $runs): array
    {
        $lots = array_map(static fn(BottleLine $bottle): BufferLot => $bottle->forPlan(), self::bottles());

        return array_map(
            static fn(BufferLot $point): array => [
                'needed' => BottlesNeeded::of(
                    array_values(array_filter($lots, static fn(BufferLot $lot): bool => $lot->buffer === $point->buffer)),
                    max(1, $runs),
                    SiteClock::today(),
                ),
                'nominalPh' => $point->nominalPh,
            ],
            $plan->points,
        );
    }

    /** @return list<BottleLine> */
    private static function bottles(): array
    {
        return array_values(
            array_filter(
                Lines::bottles(SolutionKind::Buffer),
                static fn(BottleLine $bottle): bool => $bottle->barredBy === null && $bottle->status()->spent !== Spent::NotMadeUp,
            ),
        );
    }
}
