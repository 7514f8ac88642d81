<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Rheacid\Core\Solutions\BottleStatus;
use Rheacid\Core\Solutions\SolutionKind;

/** A bottle, by its record or by its line on the board. */
interface Bottle
{
    public function status(): BottleStatus;

    public function holds(): ?SolutionKind;

    /** Null where its uses are not counted. */
    public function usesAllowed(): ?int;
}
