<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Batches\DispositionKind;

/**
 * What a lead decided about a deviation, and why.
 *
 * @property-read Person $person
 */
final class Disposition extends Model
{
    use Sealed;

    protected $casts = [
        'disposition' => DispositionKind::class,
        'until_at' => 'datetime',
        'at' => 'datetime',
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
