<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Records\Kept;

/** Something added to a batch, planned or done. */
final class Addition extends Model
{
    use Kept;

    protected $casts = [
        'rests_on' => 'array',
        'at' => 'datetime',
    ];
}
