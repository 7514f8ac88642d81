<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;

/** The display and its electronics. */
final class Meter extends Model
{
    use Sealed;

    protected $casts = [
        'resolution_ph' => 'float',
        'resolution_mv' => 'float',
        'shows_mv' => 'boolean',
        'compensates' => 'boolean',
    ];
}
