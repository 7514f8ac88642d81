<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;

/** That a step had not happened yet, when somebody said so. */
final class BatchStepWait extends Model
{
    use Sealed;

    protected $casts = ['at' => 'datetime'];
}
