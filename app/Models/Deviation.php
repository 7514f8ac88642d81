<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Records\Kept;

/** A limit of a batch that was not met, with what was seen. */
final class Deviation extends Model
{
    use Kept;

    protected $casts = [
        'at' => 'datetime',
    ];
}
