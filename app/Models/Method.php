<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Records\Kept;

/** How a product is sampled and measured. A changed method is a new version. */
final class Method extends Model
{
    use Kept;

    protected $casts = [
        'version' => 'integer',
        'steps' => 'array',
        'places' => 'array',
        'portions' => 'integer',
        'agree_within_ph' => 'float',
        'low_c' => 'float',
        'high_c' => 'float',
        'matrix_u_ph' => 'float',
        'settle_window_s' => 'integer',
    ];
}
