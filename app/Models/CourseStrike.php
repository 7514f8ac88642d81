<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;

/**
 * A stretch of a course that a lead excluded: a door, a logger on the desk.
 *
 * @property-read Person $person
 */
final class CourseStrike extends Model
{
    use Sealed;

    protected $casts = ['from_at' => 'datetime', 'to_at' => 'datetime', 'at' => 'datetime'];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
