<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Rheacid\Records\Kept;

/** What was worked out from a course, as of when. */
final class CourseFinding extends Model
{
    use Kept;

    protected $casts = [
        'answer' => 'array',
        'as_of' => 'datetime',
        'at' => 'datetime',
    ];
}
