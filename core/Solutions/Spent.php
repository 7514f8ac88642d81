<?php

declare(strict_types=1);

namespace Rheacid\Core\Solutions;

/** Why a bottle cannot be used. */
enum Spent: string
{
    case Discarded = 'discarded';
    case NotMadeUp = 'not-made-up';
    case Expired = 'expired';
    case UsedUp = 'used-up';
}
