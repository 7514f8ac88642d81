<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Records\Kept;

/** One use of a bottle: a run takes one at its first immersion, abandoned or not. */
final class LotUse extends Model
{
    use Kept;

    protected $casts = [
        'at' => 'datetime',
    ];
}
