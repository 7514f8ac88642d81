<?php

declare(strict_types=1);

namespace Rheacid\Core\Limits;

/** How a value with its uncertainty stands against one limit. */
enum Conformity: string
{
    case Inside = 'inside';
    case Inconclusive = 'inconclusive';
    case Outside = 'outside';

    /** 0 is worst. */
    public function rank(): int
    {
        return match ($this) {
            self::Outside => 0,
            self::Inconclusive => 1,
            self::Inside => 2,
        };
    }
}
