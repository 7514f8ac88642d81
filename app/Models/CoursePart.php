<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;

/** A stretch of a course: what one thermometer read, with its correction. */
final class CoursePart extends Model
{
    use Sealed;

    protected $casts = [
        'points' => 'array',
        'drawn' => 'array',
        'is_complete' => 'boolean',
        'gain' => 'float',
        'offset_c' => 'float',
        'expanded_u_c' => 'float',
        'at' => 'datetime',
    ];

    /** @return list<string> */
    public function largeColumns(): array
    {
        return ['points'];
    }
}
