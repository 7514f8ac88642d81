<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/**
 * The portion that stands large on a screen: the one that decides; with nothing due the one nearest its next limit; without any limit
 * none.
 */
final readonly class Deciding
{
    private function __construct(public int $result, public int $replicate) {}

    /** @param list<Result> $results that were judged */
    public static function of(JudgedOccasion $judged, array $results): ?self
    {
        $worst = WorstFirst::ordered($judged->due, [])[0] ?? null;
        if ($worst instanceof JudgedLimit) {
            return new self($worst->result, $worst->replicate);
        }
        $nearest = null;
        $spare = INF;
        foreach ($judged->notDue as $later) {
            foreach ($results as $i => $result) {
                if (!$later->limit->isOn($result)) {
                    continue;
                }
                foreach ($result->replicates as $j => $replicate) {
                    $here = $later->limit->limit->margin($replicate->value) - $replicate->guard($later->limit->limit);
                    if ($nearest === null || $here < $spare) {
                        [$nearest, $spare] = [new self($i, $j), $here];
                    }
                }
            }
        }

        return $nearest;
    }
}
