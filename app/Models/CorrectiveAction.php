<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Records\Kept;

/** What was done about a deviation. */
final class CorrectiveAction extends Model
{
    use Kept;

    protected $casts = [
        'at' => 'datetime',
    ];
}
