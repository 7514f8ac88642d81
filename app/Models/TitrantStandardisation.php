<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Records\Kept;

/** What a titrant was found to be, in triplicate. */
final class TitrantStandardisation extends Model
{
    use Kept;

    protected $casts = [
        'runs' => 'array',
        'normality' => 'float',
        'expanded_u' => 'float',
        'at' => 'datetime',
    ];
}
