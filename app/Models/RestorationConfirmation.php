<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;

/** That a lead has seen that the records were restored from a backup. */
final class RestorationConfirmation extends Model
{
    use Sealed;

    protected $casts = ['at' => 'datetime'];
}
