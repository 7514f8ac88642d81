<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Records\Kept;

/** A batch’s temperatures over time at one point; it grows by parts. */
final class Course extends Model
{
    use Kept;

    protected $casts = [
        'at' => 'datetime',
    ];
}
