<?php

declare(strict_types=1);

namespace Rheacid\View\Figures;

use Rheacid\Core\Limits\Limit;

/** A limit as it stands in a figure: hatched when it is due, an outline before. */
final readonly class Wall
{
    public function __construct(public Limit $limit, public bool $isDue) {}

    public function label(): string
    {
        return $this->limit->written();
    }
}
