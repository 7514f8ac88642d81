<?php

declare(strict_types=1);

namespace Rheacid\Core\Sampling;

use Rheacid\Core\Limits\Stage;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Core\Numbers;

/** Whether a batch is on today's way, by its sampling plan, and as what it is read. */
final class RoundStart
{
    /** h: what falls due while one is on the way is read on the way. Common practice, no source. */
    private const AHEAD_H = 2.0;

    /** @param list<SamplingState> $states of the batch */
    public static function isDue(array $states): bool
    {
        foreach ($states as $state) {
            $isMissing = $state->isMissing && $state->line->stage !== Stage::Start;
            if (
                $state->line->measurand === Measurand::Ph->value
                && ($isMissing || ($state->dueInHours !== null && Numbers::atMost($state->dueInHours, self::AHEAD_H)))
            ) {
                return true;
            }
        }

        return false;
    }

    /** @param list<Sampled> $sampled of the batch: the furthest stage that was declared stands; the start is read once */
    public static function stage(array $sampled): Stage
    {
        $stages = array_map(
            static fn(Sampled $one): Stage => $one->stage,
            array_filter($sampled, static fn(Sampled $one): bool => $one->measurand === Measurand::Ph->value),
        );

        return match (true) {
            in_array(Stage::Finished, $stages, true) => Stage::Finished,
            in_array(Stage::Equilibrium, $stages, true) => Stage::Equilibrium,
            default => Stage::Underway,
        };
    }

    /**
     * @param list<string> $needed places that the method asks for
     * @param list<string> $places that it knows
     * @param list<SamplingState> $states of the batch
     *
     * @return non-empty-list<string> where it is drawn, one sample each
     */
    public static function places(array $needed, array $places, array $states): array
    {
        $count = max([
            1,
            ...array_map(
                static fn(SamplingState $state): int => $state->line->measurand === Measurand::Ph->value ? $state->line->count : 1,
                $states,
            ),
        ]);
        $drawn = $needed !== [] ? $needed : array_slice($places, 0, $count);

        return $drawn === [] ? ['blend'] : $drawn;
    }
}
