<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Illuminate\Database\Eloquent\Relations\HasMany;

/**
 * A batch’s temperatures over time at one point; it grows by parts.
 *
 * @property-read Batch $batch
 * @property-read Thermometer $thermometer
 */
final class Course extends Model
{
    use Sealed;

    protected $casts = [
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }

    /** @return BelongsTo<Thermometer, $this> */
    public function thermometer(): BelongsTo
    {
        return $this->belongsTo(Thermometer::class);
    }

    /** @return HasMany<CoursePart, $this> */
    public function parts(): HasMany
    {
        return $this->hasMany(CoursePart::class)->orderBy('id');
    }

    /** @return HasMany<CourseStrike, $this> what was struck out of it */
    public function strikes(): HasMany
    {
        return $this->hasMany(CourseStrike::class)->orderBy('from_at');
    }

    /** @return HasMany<CourseFinding, $this> those that stand */
    public function findings(): HasMany
    {
        return $this->hasMany(CourseFinding::class)
            ->whereNotExists(
                static fn($query) => $query->from('course_findings as later')->whereColumn('later.supersedes_id', 'course_findings.id'),
            )
            ->orderBy('id');
    }
}
