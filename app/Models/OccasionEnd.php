<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;

/** That no more places of an occasion will be read. */
final class OccasionEnd extends Model
{
    use Sealed;

    protected $casts = ['at' => 'datetime'];
}
