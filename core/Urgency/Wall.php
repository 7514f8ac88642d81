<?php

declare(strict_types=1);

namespace Rheacid\Core\Urgency;

use Rheacid\Core\Limits\Limit;

/** A limit on the clock of a batch: from when on a drawing shows it. */
final readonly class Wall
{
    /** @param float $fromH hours since the batch began */
    public function __construct(public Limit $limit, public float $fromH) {}

    /**
     * The one that a small drawing has a place for: the binding limit whose deadline comes next, else the tightest binding one.
     *
     * @param list<self> $walls
     * @param string|null $next name of the limit whose deadline comes next
     */
    public static function toDraw(array $walls, ?string $next): ?self
    {
        $tightest = null;
        foreach ($walls as $wall) {
            if (!$wall->limit->kind->binds()) {
                continue;
            }
            if ($wall->limit->name === $next) {
                return $wall;
            }
            $tightest = $tightest === null || ($wall->limit->high ?? INF) < ($tightest->limit->high ?? INF) ? $wall : $tightest;
        }

        return $tightest;
    }
}
