<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Core\Limits\Overall;
use Rheacid\Records\Kept;

/** What a reading meant on the day: the value and uncertainty used, the limits as they stood, and the outcome. */
final class Decision extends Model
{
    use Kept;

    protected $casts = [
        'value_ph' => 'float',
        'mean_ph' => 'float',
        'expanded_u_ph' => 'float',
        'budget' => 'array',
        'outcomes' => 'array',
        'not_due' => 'array',
        'blocks' => 'array',
        'overall' => Overall::class,
    ];
}
