<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Records\Kept;

/** What a lead decided about a deviation, and why. */
final class Disposition extends Model
{
    use Kept;

    protected $casts = [
        'at' => 'datetime',
    ];
}
