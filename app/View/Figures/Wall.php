<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Rheacid\Core\Limits\JudgedLimit;
use Rheacid\Core\Limits\Limit;
use Rheacid\Core\Measurands\Measurand;
use Rheacid\Queries\Measure\DecisionLines;

/** A limit as it stands in a figure: hatched when it is due, an outline before. */
final readonly class Wall
{
    public function __construct(public Limit $limit, public bool $isDue) {}

    /** @return list<self> of the limits on pH, the only ones that the ruler has a place for */
    public static function all(DecisionLines $lines): array
    {
        $walls = [];
        foreach ([...$lines->due, ...$lines->notDue] as $one) {
            if ($one->limit->measurand === Measurand::Ph->value) {
                $walls[] = new self($one->limit->limit, $one instanceof JudgedLimit);
            }
        }

        return $walls;
    }

    public function label(): string
    {
        return $this->limit->written();
    }
}
