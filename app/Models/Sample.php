<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Limits\Stage;
use Rheacid\Records\Kept;

/**
 * A portion of a batch: when, where and at which stage it was drawn.
 *
 * @property-read Batch $batch
 * @property-read Person $person
 */
final class Sample extends Model
{
    use Kept;

    protected $casts = [
        'conditions' => 'array',
        'drawn_at' => 'datetime',
        'stage' => Stage::class,
    ];

    /** @return BelongsTo<Batch, $this> */
    public function batch(): BelongsTo
    {
        return $this->belongsTo(Batch::class);
    }

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }

    /** @return list<string> the conditions that the checker answered with yes */
    public function answeredYes(): array
    {
        return array_values(array_filter($this->conditions, is_string(...)));
    }
}
