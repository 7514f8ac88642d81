<?php

declare(strict_types=1);

namespace Rheacid\Models;

use Illuminate\Database\Eloquent\Model;
use Illuminate\Database\Eloquent\Relations\BelongsTo;
use Rheacid\Core\Care\CareKind;
use Rheacid\Core\Care\Dirt;

/**
 * What was done to an electrode, or happened to it.
 *
 * @property-read Person $person
 */
final class CareEvent extends Model
{
    use Sealed;

    protected $casts = [
        'at' => 'datetime',
        'until_at' => 'datetime',
        'kind' => CareKind::class,
        'dirt' => Dirt::class,
    ];

    /** @return BelongsTo<Person, $this> */
    public function person(): BelongsTo
    {
        return $this->belongsTo(Person::class);
    }
}
